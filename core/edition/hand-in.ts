import type { Doer, When } from '../ground/envelope'

/** A picture handed in, and what it shows. */
export interface PictureShown {
  shows: string
  pictureId: string
}

/** What a student says of their own work, to one of the assignment's points. */
export interface PointSaid {
  point: string
  words: string
}

export interface HandedIn {
  pictures: PictureShown[]
  points: PointSaid[]
  words: string
}

/** What an instructor wrote of the work. */
export interface Comment extends When, Doer {
  words: string
}
