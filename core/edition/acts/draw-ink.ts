import { IsInt, Max, Min } from 'class-validator'
import { heaviest } from '../../ink/amount'
import { Id, OrNull, Unit, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { inkDrawn } from '../../stores/batch/events/ink-drawn'
import { grams, scaleTolerance } from '../../stores/batch/state'
import { batch } from '../../stores/batch/stream'
import { edition } from '../stream'
import { theirs } from '../who'

class Draw {
  static readonly sample: Draw = { milligrams: 20, editionStream: 'edition:e', layerId: 'l', note: '' }

  @IsInt() @Min(1) @Max(heaviest) @Unit('mg') milligrams!: number
  @Words(80) editionStream!: string
  @OrNull() @Id('layer') layerId!: string | null
  @Words(200) note!: string
}

/** Ink is taken to a press, for an edition, by those who print it. */
export const drawInk = defineAct(batch, 'draw-ink', Draw, theirs, {
  needs: ({ editionStream }: Draw) => ({ edition: edition.of(streamId(editionStream)) }),
  events: [inkDrawn],
  rule: ({ batch }, data) => {
    if (data.milligrams > batch.left + scaleTolerance)
      return refuse(
        'not-enough',
        `${grams(data.milligrams)} were to be drawn, but only ${grams(batch.left)} of ${batch.name} are left. Reweigh the batch if the book is wrong.`,
        'milligrams',
      )
    if (batch.left <= 0)
      return refuse(
        'not-enough',
        `Nothing is left of ${batch.name}. Reweigh the batch if the book is wrong.`,
        'milligrams',
      )
    return [inkDrawn.on(batch, { ...data, milligrams: Math.min(data.milligrams, batch.left) })]
  },
})
