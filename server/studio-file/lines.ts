import type { LedgerEvent, Role } from '#core/ground/envelope'

/** The lines of a studio file, as `public/schemas/studio-file.schema.json` describes them. */
export interface HeadLine {
  line: 'head'
  format: 'ample-tally studio'
  version: 1
  studio: string
  people: number
  events: number
  pictures: number
  /** How many events there are of each kind of stream. */
  streams: Record<string, number>
  head: string
}

export interface PersonLine {
  line: 'person'
  id: string
  name: string
  role: Role
  active: boolean
}

export interface EventLine extends LedgerEvent<string, Record<string, unknown>> {
  line: 'event'
}

export interface PictureLine {
  line: 'picture'
  id: string
  media: 'image/webp'
  /** Base64. */
  data: string
}

export interface EndLine {
  line: 'end'
  lines: number
  sha256: string
}

export type StudioLine = HeadLine | PersonLine | EventLine | PictureLine | EndLine
