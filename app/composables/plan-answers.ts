import { computed, type Ref } from 'vue'
import { printedAtOnce } from '#core/edition/lock-up'
import { costOf, type CostTerms, lostAtLayer } from '#core/cost/cost'
import { expected } from '#core/plan/expected-pulls'
import { finishingRate, layerRate, proofsOfLayer } from '#core/plan/pass-rate'
import { type EditionPlan, goal } from '#core/plan/plan'
import { chanceFrom, courseFrom, fewestSheets, startAnswers } from '#core/plan/start'
import { planInk } from '#core/run/plan-ink'
import { layersPulled } from '#core/run/outlook'
import { startCourse } from '#core/run/sheets-to-start'

/** What a plan is reckoned with beside itself. */
export interface PlanBeside {
  /** Price of the paper of one print, or null while unknown. */
  piece: number | null
  /** Prints a large sheet gives, or null while the tear is not planned. */
  perSheet: number | null
  /** Whose own pulls count before the room's. */
  printer: string | null
}

/** What a plan answers while one changes it: chances, sheets to start, and what a good print costs. */
export function usePlanAnswers(plan: Ref<EditionPlan>, beside: Ref<PlanBeside>) {
  const edition = useEdition()
  const known = useInkKnown()
  const layers = computed(() => layersPulled(edition.state!, plan.value.layersPlanned))
  const wanted = computed(() => goal(plan.value))
  const rate = computed(() => layerRate(plan.value, edition.record, beside.value.printer))
  const finishing = computed(() => finishingRate(plan.value, edition.record))
  const course = computed(() => startCourse(plan.value, layers.value, edition.record, beside.value.printer))
  const found = computed(() => startAnswers(course.value))
  const usual = computed(() => fewestSheets(found.value.chances, wanted.value, edition.studio.confidence))
  /** What is started: chosen, or else what the room is used to be as sure as. */
  const start = computed(() => plan.value.start ?? usual.value ?? wanted.value)
  const chance = computed(() => chanceFrom(course.value, start.value))
  /** What the plan takes from blank sheets on, on the mean. */
  const mean = computed(() => expected(courseFrom(course.value, start.value)))
  /** Times the block meets paper: fewer where several images are locked up side by side. */
  const pulls = computed(() =>
    mean.value.pulls.reduce((sum, sheets, i) => {
      const layer = edition.state!.layers.filter(({ withoutPull }) => !withoutPull)[i]
      return sum + (layer ? sheets / printedAtOnce(edition.state!, layer) : sheets)
    }, 0),
  )
  const ink = computed(() => planInk(edition.state!, mean.value.pulls, known))
  const terms = computed<CostTerms>(() => ({
    piece: beside.value.piece ?? 0,
    inkGrams: ink.value && pulls.value > 0 ? ink.value.grams / pulls.value : 0,
    inkGram: plan.value.rates.inkGram,
    minutesPerPull: plan.value.rates.minutesPerPull,
    pressHour: plan.value.rates.pressHour,
    labourHour: plan.value.rates.labourHour,
    layers: layers.value,
  }))
  /** What a good print costs is not known while a part of it rests on nothing. */
  const unknown = computed(() =>
    [
      beside.value.piece === null ? 'the paper, once it is chosen under Paper' : '',
      ink.value === null && plan.value.rates.inkGram > 0 ? 'the ink, once the image has a size under Paper' : '',
    ].filter(Boolean),
  )
  const cost = computed(() => costOf(terms.value, start.value, pulls.value, mean.value.good).perGoodPrint)
  const spoilage = computed(() => {
    const clean = costOf(terms.value, wanted.value, wanted.value * layers.value, wanted.value).perGoodPrint
    return Math.max(0, cost.value - clean)
  })
  return {
    layers,
    wanted,
    rate,
    finishing,
    found,
    usual,
    start,
    chance,
    mean,
    pulls,
    ink,
    unknown,
    cost,
    spoilage,
    proofsTaken: computed(() => course.value.proofs.reduce((sum, sheets) => sum + sheets, 0)),
    proofsOf: (layer: number) => proofsOfLayer(layer, edition.record),
    lost: computed(() => lostAtLayer(terms.value)),
  }
}

export type PlanAnswers = ReturnType<typeof usePlanAnswers>
