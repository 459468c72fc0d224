import { Length } from 'class-validator'
import { mostPoints } from './assignment'
import { Id, Parts, Words } from '../ground/shape'
import type { Doer, When } from '../ground/envelope'

/** A picture handed in, and what it shows. */
export class PictureShown {
  @Length(1, 120) shows!: string
  @Id('picture') pictureId!: string
}

/** What a student says of their own work, to one of the assignment's points. */
export class PointSaid {
  @Length(1, 200) point!: string
  @Words(2000) words!: string
}

export class HandedIn {
  static readonly sample: HandedIn = {
    pictures: [{ shows: 'the whole edition', pictureId: 'p' }],
    points: [{ point: 'even inking', words: 'the last two are pale' }],
    words: 'one more evening would have helped',
  }

  @Parts(() => PictureShown, mostPoints * 2) pictures!: PictureShown[]
  @Parts(() => PointSaid, mostPoints) points!: PointSaid[]
  @Words(4000) words!: string
}

/** What an instructor wrote of the work. */
export interface Comment extends When, Doer {
  words: string
}
