import { Part, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, type Refused, refuse } from '../../ground/refusal'
import { planDefaults } from '../../plan/defaults'
import { EditionPlan } from '../../plan/plan'
import { planGate } from '../gates'
import type { EditionState } from '../state'
import { allSeries, isOpenWork, type ProofSeries, proofSeries } from '../../print/series'
import { sizesUnder } from '../numbers'
import { planFault } from '../plan-fault'
import { anySigned } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class PlanChanged {
  static readonly sample: PlanChanged = { title: 'Tide Gauge', plan: EditionPlan.sample, reason: '' }

  @Words(120) title!: string
  @Part(() => EditionPlan) plan!: EditionPlan
  @Words(500) reason!: string
}

const planChanged = defineEvent(
  edition,
  'plan-changed',
  (state, { title, plan, reason }: PlanChanged, event) =>
    changed(state, {
      title,
      plan,
      // Numbers that are given already move with the plan.
      seriesSize: sizesUnder(plan, state.seriesSize),
      earlierPlans:
        state.plan === null
          ? state.earlierPlans
          : appended(state.earlierPlans, {
              plan: state.plan,
              reason,
              at: event.occurredAt,
              ...doerOf(event),
              sheetsTorn: state.made,
            }),
    }),
  [(data) => ({ ...data, plan: { ...planDefaults, ...(data.plan as object) } })],
)

/** The plan changes. It may until the first number is signed; from then on its size only by amendment. */
export const changePlan = defineAct(edition, 'change-plan', PlanChanged, theirs, {
  guarded: true,
  events: [planChanged],
  rule: ({ edition }, data, asker) =>
    planGate(edition, asker) ??
    planFault(data.title, data.plan) ??
    becomesAnother(edition, data.plan) ??
    sizeIsFixed(edition, data.plan) ??
    schoolNeedsReason(edition, data) ??
    belowNumbers(edition, data.plan) ?? [planChanged.on(edition, { ...data, title: data.title.trim() })],
})

/** What was begun as an edition stays one, and open work stays that: each counts its sheets in its own way. */
function becomesAnother(state: EditionState, plan: EditionPlan): Refused | null {
  if (isOpenWork(state.plan) === isOpenWork(plan) || state.pulls.length === 0) return null
  return refuse(
    'open-work',
    'Something is pulled already. Open work and an edition count their sheets differently: start the other as its own.',
    'plan.sizeSchool',
  )
}

function sizeIsFixed(state: EditionState, plan: EditionPlan): Refused | null {
  const before = state.plan!
  const moved = sizesUnder(plan, state.seriesSize)
  const same =
    before.size === plan.size &&
    proofSeries.every((series) => before.proofs[series] === plan.proofs[series]) &&
    allSeries.every((series) => moved[series] === state.seriesSize[series])
  if (same || !anySigned(state)) return null
  return refuse(
    'size-fixed',
    'A print is signed, so the size is fixed. Change it by an amendment, with a reason, under Sign.',
    'size',
  )
}

function schoolNeedsReason(state: EditionState, { plan, reason }: PlanChanged): Refused | null {
  if (state.plan!.sizeSchool === plan.sizeSchool || state.made === 0 || reason.trim() !== '') return null
  return reasonMissing('Sheets are torn already: say why the way of counting the edition changes.')
}

/** Numbers that are given already stay within their series. */
function belowNumbers(state: EditionState, plan: EditionPlan): Refused | null {
  for (const series of Object.keys(state.seriesSize)) {
    const wanted = series === 'edition' ? plan.size : plan.proofs[series as ProofSeries]
    const given = state.sheets.filter((sheet) => sheet.mark?.series === series).map((sheet) => sheet.mark!.number)
    const highest = Math.max(0, ...given)
    if (wanted < highest)
      return refuse(
        'size-below-numbers',
        `Number ${highest} of ${series} is given already. Take the numbers back first, or keep at least ${highest}.`,
        'size',
      )
  }
  return null
}
