/** What a studio file holds, for whoever is to say yes to it. */
export interface StudioFileReport {
  studio: string
  /** Those who may open the room once it is here. */
  managers: { id: string; name: string }[]
  people: number
  editions: number
  impressions: number
  events: number
  pictures: number
  /** Days of the first and the last event, or null without any. */
  kept: { from: string; to: string } | null
  /** What the whole ledger hashes to. */
  head: string
  /** What is worth knowing and stands against nothing. */
  remarks: string[]
}

/** How far a file that is to be brought in has come. */
export interface BringingInReply {
  phase: 'none' | 'reading' | 'read' | 'taking'
  /** Events read so far, and how many there should be. */
  looked: number
  of: number
  /** Everything that is wrong, the first of it told. */
  problems: string[]
  problemCount: number
  /** Null while it is read, and when it is no studio file. */
  report: StudioFileReport | null
}
