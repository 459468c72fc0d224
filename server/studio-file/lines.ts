import type { LedgerEvent, Role } from '#core/ground/envelope'
import type { StoredReply } from '#shared/replies/replies'

/** The lines of a studio file, as `public/schemas/studio-file.schema.json` describes them. */
export interface HeadLine {
  line: 'head'
  format: 'ample-tally studio'
  /** 1: without the ids of commands. */
  version: 1 | 2
  studio: string
  people: number
  events: number
  pictures: number
  /** How many ids of commands there are; none in version 1. */
  commands?: number
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

export interface EventLine extends Omit<LedgerEvent<string, Record<string, unknown>>, 'claimedAt'> {
  line: 'event'
  claimedAt?: string
}

/** A command that made events: sent again, it is answered and not counted twice. */
export interface CommandLine {
  line: 'command'
  id: string
  bodyHash: string
  reply: StoredReply
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

export type StudioLine = HeadLine | PersonLine | EventLine | CommandLine | PictureLine | EndLine
