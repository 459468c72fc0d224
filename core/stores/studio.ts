import { type Context, type Decision, type Happening, refuse, type Role } from '../ledger/envelope'
import type { LineCustom } from '../plan/plan'

export interface StudioEvents {
  'studio-set': { name: string, line: LineCustom, destroyedNumber: 'replaced' | 'retired', currency: string }
  'person-added': { personId: string, role: Role }
  'person-changed': { personId: string, role: Role, active: boolean }
}

export interface StudioCommands {
  'set-studio': StudioEvents['studio-set']
  'add-person': StudioEvents['person-added']
  'change-person': StudioEvents['person-changed']
}

/** The studio's own stream. Names and secrets of people live outside the ledger, under their ids. */
export interface StudioState {
  stream: string
  seq: number
  name: string
  line: LineCustom
  /** What happens to the number of a signed print that is destroyed. */
  destroyedNumber: 'replaced' | 'retired'
  currency: string
  people: Record<string, { role: Role, active: boolean }>
}

export function emptyStudio(stream = 'studio'): StudioState {
  return { stream, seq: 0, name: '', line: 'number-title-signature', destroyedNumber: 'retired', currency: '€', people: {} }
}

/** Total: an unknown event only moves the sequence. */
export function evolveStudio(state: StudioState, event: Happening): StudioState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'studio-set': return { ...next, ...(event.data as StudioEvents['studio-set']) }
    case 'person-added': {
      const { personId, role } = event.data as StudioEvents['person-added']
      return { ...next, people: { ...state.people, [personId]: { role, active: true } } }
    }
    case 'person-changed': {
      const { personId, role, active } = event.data as StudioEvents['person-changed']
      return { ...next, people: { ...state.people, [personId]: { role, active } } }
    }
    default: return next
  }
}

function lastManager(state: StudioState, personId: string): boolean {
  const managers = Object.entries(state.people).filter(([, person]) => person.role === 'manager' && person.active)
  return managers.length === 1 && managers[0]![0] === personId
}

export function decideStudio(state: StudioState, command: { type: string, data: unknown }, _context: Context): Decision {
  const append = (type: keyof StudioEvents): Decision => ({ events: [{ stream: state.stream, type, version: 1, data: command.data }] })
  switch (command.type) {
    case 'set-studio': {
      const data = command.data as StudioCommands['set-studio']
      return data.name.trim() === '' ? refuse('name-missing', 'Give the pressroom a name.', 'name') : append('studio-set')
    }
    case 'add-person': {
      const data = command.data as StudioCommands['add-person']
      return state.people[data.personId] ? refuse('already-there', 'This person is in the studio already.') : append('person-added')
    }
    default: {
      const data = command.data as StudioCommands['change-person']
      if (!state.people[data.personId]) return refuse('unknown-person', 'That person is not in the studio.')
      if (lastManager(state, data.personId) && (data.role !== 'manager' || !data.active)) {
        return refuse('last-manager', 'This is the only manager. Make someone else a manager first.')
      }
      return append('person-changed')
    }
  }
}
