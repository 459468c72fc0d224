import type { EditionPlan } from './plan'
import { proofSeries } from '../print/series'

/** One thing two versions of a plan say differently. */
export interface PlanChange {
  what: string
  before: string
  after: string
}

const proofsOf = ({ proofs }: EditionPlan) => proofSeries.map((series) => `${proofs[series]} ${series}`).join(', ')

const sayings: [what: string, says: (plan: EditionPlan) => string][] = [
  ['prints', (plan) => String(plan.size)],
  ['proofs', proofsOf],
  ['size', (plan) => plan.sizeSchool],
  ['method', (plan) => plan.method],
  ['printed', (plan) => plan.work],
  ['layers', (plan) => String(plan.layersPlanned)],
  ['started', (plan) => (plan.start === null ? 'undecided' : String(plan.start))],
  ['wanted by', (plan) => plan.due ?? 'no date'],
]

/** What of a plan that bears on the edition was changed; numbering customs, rates and prices are smaller matters. */
export function planChanges(before: EditionPlan, after: EditionPlan): PlanChange[] {
  return sayings
    .map(([what, says]) => ({ what, before: says(before), after: says(after) }))
    .filter((change) => change.before !== change.after)
}
