import { defineAct } from '../../../ground/act'
import { refuse } from '../../../ground/refusal'
import { anyone } from '../../../ground/who'
import { inkDrawn } from '../events/ink-drawn'
import { grams, scaleTolerance } from '../state'
import { batch } from '../stream'

interface Draw {
  milligrams: number
  editionStream: string
  layerId: string | null
  note: string
}

/** Ink is taken to a press. */
export const drawInk = defineAct(batch, 'draw-ink', anyone, {
  events: [inkDrawn],
  rule: ({ batch }, data: Draw) => {
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
