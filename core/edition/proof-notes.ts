import { IsBoolean, IsIn, IsInt, Max, Min } from 'class-validator'
import { Id, OrNull, Words } from '../ground/shape'
import type { Doer, When } from '../ground/envelope'
import { type Grade, grades } from '../press/dial-in'

/** How a proof came out, and what it was made with beside the setting that its pull keeps. */
export class ProofSaid {
  static readonly sample: ProofSaid = {
    pullId: 'u',
    pressure: -1,
    ink: 0,
    charges: 2,
    passes: 2,
    newsprint: true,
    pictureId: null,
    note: '',
  }

  @Id('pull') pullId!: string
  /** The impression, −2 far too light to 2 far too heavy; null while nobody judged it. */
  @OrNull() @IsIn(grades) pressure!: Grade | null
  /** The ink, likewise. */
  @OrNull() @IsIn(grades) ink!: Grade | null
  @IsInt() @Min(1) @Max(60) charges!: number
  @IsInt() @Min(1) @Max(60) passes!: number
  @IsBoolean() newsprint!: boolean
  @OrNull() @Id('picture', 100) pictureId!: string | null
  @Words(500) note!: string
}

export interface ProofNote extends ProofSaid, Doer, When {}

export function noteOf({ proofNotes }: { proofNotes: readonly ProofNote[] }, pullId: string): ProofNote | undefined {
  return proofNotes.find((note) => note.pullId === pullId)
}
