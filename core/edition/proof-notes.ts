import type { Doer, When } from '../ground/envelope'
import type { Grade } from '../press/dial-in'

/** How a proof came out, and what it was made with beside the setting that its pull keeps. */
export interface ProofSaid {
  pullId: string
  /** The impression, −2 far too light to 2 far too heavy; null while nobody judged it. */
  pressure: Grade | null
  /** The ink, likewise. */
  ink: Grade | null
  charges: number
  passes: number
  newsprint: boolean
  pictureId: string | null
  note: string
}

export interface ProofNote extends ProofSaid, Doer, When {}

export function noteOf({ proofNotes }: { proofNotes: readonly ProofNote[] }, pullId: string): ProofNote | undefined {
  return proofNotes.find((note) => note.pullId === pullId)
}
