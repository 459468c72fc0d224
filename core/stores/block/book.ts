import type { ShareReading } from '../../ink/roll-up'
import type { BlockDescription } from '../../block/block'
import type { ExposureRecord } from '../../block/exposure'

/** A block as cut at one moment. */
export interface BlockCut {
  stateId: string
  name: string
  /** Day it was cut, ISO date. */
  cutOn: string
  note: string
  /** A picture or a rubbing of it, by the hash of its file, or null. */
  pictureId: string | null
}

/** What is known of a block: it outlives the editions that are printed from it. */
export interface BlockBook {
  block: BlockDescription
  /** As it was cut, oldest first. */
  states: BlockCut[]
  /** Exposure records of a plate, oldest first; the last is in force. */
  exposures: (ExposureRecord & { at: string })[]
  /** Share of the block that carries ink, 0 to 1, and how it was read. */
  inkedShare: { share: number; reading: ShareReading | null } | null
}

/** A block nothing is known of yet but how it is described. */
export function newBook(block: BlockDescription): BlockBook {
  return { block, states: [], exposures: [], inkedShare: null }
}
