import type { Before, Task } from '../timetable/task'

export type TaskKind = 'block' | 'tear' | 'pull' | 'cut' | 'lay' | 'finish' | 'curate' | 'sign'

/** What lies between one task and the next. */
export interface Wait extends Before {
  /** Ink or colour dries meanwhile. */
  dries: boolean
}

/** One thing to be done for an edition, as it is told and placed. */
export interface EditionTask extends Task {
  kind: TaskKind
  /** “Tear 34 sheets”, “Second layer, 40 pulls”. */
  what: string
  /** The layer it prints, or the place of one that is planned only, as `layer 3`; null for what is no layer's. */
  layerId: string | null
  /** The booking it is done in, or null. */
  bookingId: string | null
  after: readonly Wait[]
  /** Its minutes rest on a guess: nothing was done yet that would show the pace. */
  isGuessed: boolean
}

export const pressResource = (pressId: string) => `press:${pressId}`
export const personResource = (personId: string) => `person:${personId}`

/** The id behind a press among what a task needs, or null. */
export const pressOf = ({ resources }: Pick<Task, 'resources'>): string | null => idOf(resources, 'press:')

/** The person among what a task needs, or null. */
export const personOf = ({ resources }: Pick<Task, 'resources'>): string | null => idOf(resources, 'person:')

const idOf = (resources: readonly string[], prefix: string): string | null =>
  resources.find((one) => one.startsWith(prefix))?.slice(prefix.length) ?? null
