import { agree, pluralise } from '../units/pluralise'
import type { Refused } from '../ground/refusal'
import { refuse } from '../ground/refusal'
import { type EditionPlan, goal } from '../plan/plan'
import { rateBounds } from '../plan/work'

/** More layers than this are not planned. */
export const mostLayers = 40

/** Why an edition cannot be planned so, or null. */
export function planFault(title: string, plan: EditionPlan): Refused | null {
  if (title.trim() === '') return refuse('title-missing', 'Give the edition a title, as it will be pencilled.', 'title')
  return sizesFault(plan) ?? ratesFault(plan)
}

function sizesFault(plan: EditionPlan): Refused | null {
  if (!Number.isInteger(plan.size) || plan.size < 1 || plan.size > 2000)
    return refuse('size-range', `An edition has 1 to 2000 prints; ${plan.size} was given.`, 'size')
  for (const [series, count] of Object.entries(plan.proofs)) {
    if (!Number.isInteger(count) || count < 0 || count > 500)
      return refuse('proofs-range', `${series} takes 0 to 500 prints; ${count} was given.`, 'proofs')
  }
  if (plan.layersPlanned > mostLayers)
    return refuse(
      'too-many-layers',
      `An edition takes at most ${mostLayers} layers; ${plan.layersPlanned} were given.`,
      'layersPlanned',
    )
  if (plan.start !== null && plan.start < goal(plan))
    return refuse(
      'start-below-goal',
      `${pluralise(goal(plan), 'good print')} ${agree(goal(plan), 'is', 'are')} wanted; so many cannot come from ${pluralise(plan.start!, 'sheet')}. Start more, or want fewer.`,
      'start',
    )
  return null
}

function ratesFault(plan: EditionPlan): Refused | null {
  for (const field of ['expected', 'finishing'] as const) {
    const stated = plan[field]
    if (stated && !(stated.rate >= rateBounds.least && stated.rate <= rateBounds.most))
      return refuse(
        'rate-range',
        `A pass rate lies between ${rateBounds.least * 100} and ${rateBounds.most * 100} %; ${stated.rate * 100} % was given. Nothing is ever certain at a press.`,
        field,
      )
  }
  return null
}
