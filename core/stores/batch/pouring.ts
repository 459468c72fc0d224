import type { Upcast } from '../../ground/act'
import { type Refused, refuse } from '../../ground/refusal'
import { type Component, type Poured as PouredInk, weightOf } from '../../ink/component'
import { heldOf } from '../../ink/recipe'
import { inkTaken } from '../tub/events/ink-taken'
import type { TubState } from '../tub/state'
import { tub } from '../tub/stream'
import { inkDrawn } from './events/ink-drawn'
import { type BatchState, grams, scaleTolerance } from './state'
import { batch } from './stream'

interface Poured {
  components: readonly PouredInk[]
}

const tubIds = ({ components }: Poured) => [...new Set(components.flatMap(({ tubId }) => tubId ?? []))]
const batchIds = ({ components }: Poured) => [...new Set(components.flatMap(({ batchId }) => batchId ?? []))]

/** The tubs and left-overs that components come from, each once. */
export function pouredFrom(data: Poured) {
  return { tubs: tubIds(data).map((id) => tub.of(id)), leftOvers: batchIds(data).map((id) => batch.of(id)) }
}

type FromOne = Pick<PouredInk, 'name' | 'milligrams'>

type Taken = ReturnType<typeof inkTaken.on> | ReturnType<typeof inkDrawn.on>

interface Sources {
  batch: BatchState
  tubs: TubState[]
  leftOvers: BatchState[]
}

/** Components that an old ledger wrote without what a left-over held. */
export const withoutHeld: Upcast = (data) => ({
  ...data,
  components: (data.components as object[]).map((component) => ({ ...component, held: null })),
})

/** Components as the batch keeps them: a left-over with what it holds now. */
export function asPoured(leftOvers: readonly BatchState[], data: Poured): Component[] {
  const ids = batchIds(data)
  return data.components.map((component) => {
    const leftOver = component.batchId === null ? undefined : leftOvers[ids.indexOf(component.batchId)]
    return {
      ...component,
      held: leftOver ? { components: heldIn(leftOver), drawDown: leftOver.drawDown } : null,
    }
  })
}

/** What a batch still holds of each component: what was used took its share of every one along. */
export function heldIn({ components, left, mixed }: Pick<BatchState, 'components' | 'left' | 'mixed'>): Component[] {
  if (left === mixed) return components
  const weights = heldOf(
    components.map((component) => component.milligrams),
    left,
  )
  return components.map((component, i) => ({ ...component, milligrams: weights[i]! }))
}

/** What pouring these into a batch takes from tubs and left-overs, or why it cannot be. */
export function pour({ batch, tubs, leftOvers }: Sources, data: Poured): Taken[] | Refused {
  const { components } = data
  if (components.length === 0) return refuse('no-component', 'Weigh in at least one ink.', 'components')
  const light = components.find((component) => component.milligrams <= 0)
  if (light)
    return refuse(
      'weight-range',
      `${light.name || 'A component'} weighs ${grams(light.milligrams)}; a weight is above zero.`,
      'components',
    )
  // What one tub or left-over is named for twice is taken, and asked for, once.
  const outcomes = [
    ...tubIds(data).map((id, i) => takeFromTub(tubs[i]!, allOf(components, 'tubId', id), batch)),
    ...batchIds(data).map((id, i) => takeLeftOver(leftOvers[i]!, allOf(components, 'batchId', id), batch)),
  ]
  return outcomes.find((outcome) => 'refusal' in outcome) ?? (outcomes as Taken[])
}

/** Everything that is poured from one place. */
function allOf(components: readonly PouredInk[], from: 'tubId' | 'batchId', id: string): FromOne {
  const poured = components.filter((component) => component[from] === id)
  return { name: poured[0]!.name, milligrams: weightOf(poured) }
}

function takeFromTub(tub: TubState, { name, milligrams }: FromOne, into: BatchState): Taken | Refused {
  if (tub.name === '')
    return refuse('unknown-tub', `${name} is not in the store any more. Choose another ink.`, 'components')
  return inkTaken.on(tub, { milligrams, batchStream: into.stream })
}

function takeLeftOver(source: BatchState, { name, milligrams }: FromOne, into: BatchState): Taken | Refused {
  if (source.name === '' || source.stream === into.stream)
    return refuse('unknown-batch', `The left-over ${name} is not on the slab any more. Choose another.`, 'components')
  if (milligrams > source.left + scaleTolerance)
    return refuse(
      'not-enough',
      `${grams(milligrams)} of ${source.name} were to be taken, but only ${grams(source.left)} are left. Reweigh it if the book is wrong.`,
      'components',
    )
  return inkDrawn.on(source, {
    milligrams: Math.min(milligrams, source.left),
    editionStream: '',
    layerId: null,
    note: `into ${into.name || 'a new batch'}`,
  })
}
