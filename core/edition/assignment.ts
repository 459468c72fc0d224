/** What students of an assignment ask for before they go on: a press, good paper, each further cut of a block. */
export type Gate = 'press' | 'paper' | 'cut'
export const gates: readonly Gate[] = ['press', 'paper', 'cut']

/** What a class's assignment asks of an edition, copied into it so that it folds by itself. */
export interface Terms {
  gates: Gate[]
  /** Practice pulls that are allowed, or null for any number. */
  practice: number | null
  /** Whether its students may change the plan: the size, the layers. */
  mayReplan: boolean
  /** Pictures to hand in, each by what it shows. */
  pictures: string[]
  /** What students look at their own work for. */
  points: string[]
  /** The day from which its students may tear, pull and cut, ISO date, or null: at once. */
  opens: string | null
  /** The day it is handed in, ISO date, or null. */
  due: string | null
}

export interface Assignment extends Terms {
  courseId: string
  /** The class, by name, as it was called then. */
  course: string
  assignmentId: string
  /** As the class calls it. */
  title: string
}
