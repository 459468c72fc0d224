import { dayOf } from '../time/room-day'
import type { Context } from '../ground/envelope'
import { type Refused, refuse } from '../ground/refusal'
import { isStaff } from '../ground/who'
import { type Leave, leaveOf } from '../stores/studio/leaves'
import type { Assignment, Gate } from './assignment'
import { type Layer, setupInForce } from './layer'
import type { Objection, PullData } from './pull'
import { type SignOff, signedOff } from './sign-offs'

type Asker = Pick<Context, 'personId' | 'role'>
type AskerNow = Asker & Pick<Context, 'occurredAt' | 'zone'>
interface Assigned {
  assignment: Assignment | null
  signOffs: readonly SignOff[]
}

const isGated = ({ assignment }: Assigned, gate: Gate, { role }: Asker): boolean =>
  !isStaff(role) && assignment !== null && assignment.gates.includes(gate)

/** Why somebody may not begin yet, or null: the assignment opens on a day, by the room's calendar. */
export function dayGate(
  { assignment }: Pick<Assigned, 'assignment'>,
  { role, occurredAt, zone }: AskerNow,
): Refused | null {
  const opens = assignment?.opens ?? null
  if (opens === null || isStaff(role) || dayOf(occurredAt, zone) >= opens) return null
  return refuse('opens-later', `${assignment!.title} opens on ${opens}. Until then plan it, and prepare the block.`)
}

/** Why somebody may not take good paper yet, or null. */
export function paperGate(edition: Assigned, asker: Asker): Refused | null {
  if (!isGated(edition, 'paper', asker) || signedOff(edition, 'paper', null)) return null
  return refuse('paper-gate', 'Good paper is given when a proof has passed. Ask for it: your instructor signs it off.')
}

/** Why somebody may not cut a layer's block further yet, or null. */
export function cutGate(edition: Assigned, layer: Layer, asker: Asker): Refused | null {
  if (!isGated(edition, 'cut', asker) || signedOff(edition, 'cut', layer.id)) return null
  return refuse(
    'cut-gate',
    `No more of ${layer.name} can be printed once the block is cut. Ask first: your instructor signs the cut off.`,
  )
}

/** Why somebody may not set up that press yet, or null. */
export function pressGate(
  edition: Assigned,
  { id, name }: { id: string; name: string },
  room: { leaves: readonly Leave[] },
  asker: Asker,
): Refused | null {
  if (!isGated(edition, 'press', asker)) return null
  if (leaveOf(room, { personId: asker.personId, use: 'press', pressId: id })) return null
  return refuse('press-gate', `Ask to be shown ${name} first: your instructor signs its use off.`, 'pressId')
}

/** Why the plan is not theirs to change, or null. */
export function planGate({ assignment }: Assigned, { role }: Asker): Refused | null {
  if (assignment === null || assignment.mayReplan || isStaff(role)) return null
  return refuse('plan-gate', `${assignment.title} sets the plan for the whole class. Ask your instructor to change it.`)
}

/** What the assignment has against a pull that somebody gave: it is kept, and counted once staff have looked. */
export function gateObjection(
  edition: Assigned,
  layer: Layer,
  pull: Pick<PullData, 'sheetIds'>,
  room: { leaves: readonly Leave[] },
  asker: AskerNow,
): Objection | null {
  const setup = setupInForce(layer)
  const press = setup && pressGate(edition, { id: setup.pressId, name: setup.pressName }, room, asker)
  const refused = dayGate(edition, asker) ?? press ?? (pull.sheetIds.length > 0 ? paperGate(edition, asker) : null)
  return refused && { rule: refused.refusal.code, message: refused.refusal.message }
}
