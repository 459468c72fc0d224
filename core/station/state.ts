import { IsIn, IsInt, Max, Min } from 'class-validator'
import { Id, OrNull, Parts, Words } from '../ground/shape'
import { inkFamilies, type InkFamily } from '../ink/family'
import { Finding, type FindingKey, findingKeys, type StationKind } from '../care/findings'
import type { Doer, When } from '../ground/envelope'

/** What is wrong in the room, and what somebody has to do about it. */
export type TaskKind = 'dirty' | 'broken' | 'low' | 'other'
export const taskKinds: readonly TaskKind[] = ['dirty', 'broken', 'low', 'other']

/** How a place was when it was taken over. */
export class AsFound {
  @Parts(() => Finding, findingKeys.length) items!: Finding[]
  @Words(1000) note!: string
  @OrNull() @Id('picture', 100) pictureId!: string | null
}

/** Somebody at work at a press or another station. */
export interface Session extends When, Doer {
  id: string
  found: AsFound
}

/** A layer printed in a session. */
export interface Printed {
  editionStream: string
  title: string
  layerId: string
  layerName: string
  pulls: number
}

/** What a session used, as the pulls of its editions say. */
export interface Used {
  printed: Printed[]
  batchIds: string[]
  rollerIds: string[]
}

/** What was washed at the end, with what, and for how long it worked. */
export class Washed {
  @OrNull() @IsInt() @Min(0) @Max(86_400) seconds!: number | null
  @Words(80) name!: string
  @IsIn(inkFamilies) family!: InkFamily
}

export type Ending = 'left' | 'as it seems' | 'taken over'

/** How a session ended. */
export interface AsLeft extends When, Doer {
  /** By its own person; by staff, as it seemed; or by the next one, since nobody had. */
  how: Ending
  items: Finding[]
  washed: Washed[]
  used: Used
  /** Stock that was drawn, in words. */
  stock: string
  note: string
  pictureId: string | null
}

export interface PastSession extends Session {
  left: AsLeft
}

/** Something that is to be done, until it is. */
export interface Task extends When, Doer {
  id: string
  kind: TaskKind
  /** What was found not to be right, or null when it was said in words only. */
  finding: FindingKey | null
  what: string
  pictureId: string | null
  ownerId: string | null
}

/** When a roller or a batch was last used at a station, in whose session. */
export interface LastUse extends When, Doer {
  id: string
}

/** So many rollers and batches are remembered at a station, those used last. */
export const usesKept = 120

/**
 * A place where people work one after the other: a press under its own id, or another station of the room. Its sessions
 * before the last are read from the ledger.
 */
export interface StationState {
  stream: string
  seq: number
  /** Of a station that is no press: its name; a press has its own. */
  name: string
  kind: StationKind | null
  /** False when the station was given up. */
  isUsed: boolean
  open: Session | null
  last: PastSession | null
  /** What was used here, the newest use first. */
  uses: LastUse[]
  tasks: Task[]
}

export function emptyStation(stream: string): StationState {
  return { stream, seq: 0, name: '', kind: null, isUsed: true, open: null, last: null, uses: [], tasks: [] }
}

export const nothingUsed: Used = { printed: [], batchIds: [], rollerIds: [] }

/** Place in the ledger of the last time something was washed at a station, or null. */
export function washedAt({ last }: Pick<StationState, 'last'>): number | null {
  if (!last) return null
  const isWashed =
    last.left.washed.length > 0 || last.left.items.some(({ key, isRight }) => isRight && key === 'roller')
  return isWashed ? last.left.position : null
}
