import type { Role } from './envelope'

const pressroom: readonly Role[] = ['manager', 'instructor', 'member', 'student']
const printers: readonly Role[] = ['manager', 'instructor', 'member']
const staff: readonly Role[] = ['manager', 'instructor']
const managers: readonly Role[] = ['manager']

/** Commands that need more than being signed in; everything else is open to all. */
const needed: Record<string, readonly Role[]> = {
  'give-numbers': printers,
  'withdraw-numbers': printers,
  'destroy-print': printers,
  close: printers,
  'amend-size': staff,
  reopen: staff,
  'settle-dispute': staff,
  'withdraw-signing': staff,
  'cut-further': printers,
  'add-lot': printers,
  'count-lot': printers,
  'describe-lot': printers,
  'buy-paper': printers,
  'ration-paper': staff,
  'release-paper': staff,
  'add-past-editions': staff,
  'withdraw-past-edition': staff,
  'set-series-format': printers,
  'add-press': staff,
  'set-roller': printers,
  'retire-roller': printers,
  'add-tub': printers,
  'describe-tub': printers,
  'weigh-tub': printers,
  'set-studio': managers,
  'add-person': managers,
  'change-person': managers,
}

/** Who may give a command. */
export function rolesFor(commandType: string): readonly Role[] {
  return needed[commandType] ?? pressroom
}

export function may(role: Role, commandType: string): boolean {
  return rolesFor(commandType).includes(role)
}
