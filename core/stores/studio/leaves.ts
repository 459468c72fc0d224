import { IsIn } from 'class-validator'
import type { Doer, When } from '../../ground/envelope'
import { Id, OrNull } from '../../ground/shape'

/** What a person is shown once and may then do for good: use a press, use solvents. */
export type Use = 'press' | 'solvents'
export const uses: readonly Use[] = ['press', 'solvents']

/** Who may do what. */
export class LeaveFor {
  @Id('person') personId!: string
  @IsIn(uses) use!: Use
  /** Which press; null for solvents. */
  @OrNull() @Id('press') pressId!: string | null
}

/** That somebody may do it, as staff said. */
export interface Leave extends LeaveFor, When, Doer {
  id: string
  note: string
}

interface Leaves {
  leaves: readonly Leave[]
}

/** The leave a person has for it, if any. */
export function leaveOf({ leaves }: Leaves, { personId, use, pressId }: LeaveFor): Leave | undefined {
  return leaves.find((leave) => leave.personId === personId && leave.use === use && leave.pressId === pressId)
}
