import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import type { Assignment } from '../assignment'
import { HandedIn } from '../hand-in'
import { edition } from '../stream'
import { theirs } from '../who'

const handedIn = defineEvent(edition, 'handed-in', (state, data: HandedIn, event) =>
  changed(state, { handedIn: { ...data, ...whenOf(event), ...doerOf(event) } }),
)

/** The work is handed in: the pictures the assignment names, and what its student says to each of its points. */
export const handIn = defineAct(edition, 'hand-in', HandedIn, theirs, {
  events: [handedIn],
  rule: ({ edition }, data) =>
    edition.assignment === null
      ? refuse('no-assignment', 'This edition belongs to no class’s assignment; there is nobody to hand it in to.')
      : (missing(edition.assignment, data) ?? [handedIn.on(edition, data)]),
})

function missing({ pictures, points }: Assignment, given: HandedIn): Refused | null {
  const picture = pictures.find((shows) => !given.pictures.some((one) => one.shows === shows))
  if (picture !== undefined)
    return refuse(
      'picture-missing',
      `The assignment asks for a picture of ${picture}. Add it, then hand in.`,
      'pictures',
    )
  const point = points.find((asked) => !given.points.some((one) => one.point === asked && one.words.trim() !== ''))
  return point === undefined ? null : refuse('point-missing', `Say something to “${point}”, then hand in.`, 'points')
}
