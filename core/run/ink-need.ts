import { type Layer, layerNumber, layerOf } from '../edition/layer'
import { printedAtOnce, pullsFor } from '../edition/lock-up'
import { isLive } from '../edition/pull'
import type { EditionState } from '../edition/state'
import {
  filmRange,
  gramsAnImpression,
  type InkAmount,
  inkAmount,
  type InkGuess,
  inkGuesses,
  type InkJob,
  shopFilm,
  type WeighedRun,
} from '../ink/amount'
import { rollUpDefaults } from '../ink/roll-up'
import { rollerSurface } from '../ink/roller'
import { expected } from '../plan/expected-pulls'
import type { Course } from '../plan/odds'
import { type EditionPlan, goal } from '../plan/plan'
import type { ShopRecord } from '../plan/shop-record'
import { courseFrom } from '../plan/start'
import { courseOf, layersPulled, stackOf } from './outlook'
import { sheetsToStart, startCourse } from './sheets-to-start'

/** Pulls that use ink beside those on the edition's sheets, until this edition's own show otherwise. */
export const usualWarmUps = 2
export const usualProofs = 4

/** What is known beside the edition itself. */
export interface InkKnown {
  /** Runs weighed in this room with ink of the kind, for the film. */
  runs: readonly WeighedRun[]
  /** g/cm³ by zone, where the batch's is known. */
  density: ReadonlyMap<string, number>
  record: ShopRecord
  /** The room's usual confidence, for the sheets to start. */
  confidence: number
}

/** What a layer still prints: the edition's sheets that reach it, and the warm-ups and proofs that are still to come. */
export interface PullsToCome {
  sheets: number
  warmUps: number
  proofs: number
}

/** What the sheets of a plan meet before any is torn. */
function courseAnew(state: EditionState, plan: EditionPlan, record: ShopRecord, confidence: number): Course {
  const layers = layersPulled(state, plan.layersPlanned)
  const start = sheetsToStart(plan, layers, record, null, confidence).sheets ?? goal(plan)
  return courseFrom(startCourse(plan, layers, record, null), start)
}

/** What a layer still prints: the mean of the sheets that will reach it (models.md, M3), not all that are alive. */
export function pullsToCome(
  state: EditionState,
  layerId: string,
  { record, confidence }: Pick<InkKnown, 'record' | 'confidence'>,
): PullsToCome {
  const plan = state.plan
  const place = layerNumber(state, layerId) - 1
  if (!plan || place < 0 || state.layers[place]!.withoutPull) return { sheets: 0, warmUps: 0, proofs: 0 }
  const pulledBefore = state.layers.slice(0, place).filter(({ withoutPull }) => !withoutPull).length
  const course = state.made === 0 ? courseAnew(state, plan, record, confidence) : courseOf(stackOf(state), plan, record)
  const sheets = Math.round(expected(course).pulls[pulledBefore]!)
  const done = state.pulls.filter((pull) => isLive(pull) && pull.layerId === layerId)
  const count = (kind: string) => done.filter((pull) => pull.kind === kind).length
  const begun = count('pull') > 0
  // Once pulls have begun every later session still needs its warm-up, but no more proofs are reckoned with.
  return {
    sheets,
    warmUps: sheets === 0 ? 0 : begun ? 1 : Math.max(0, usualWarmUps - count('warm-up')),
    proofs: begun || sheets === 0 ? 0 : Math.max(0, usualProofs - count('proof')),
  }
}

/** How much ink one zone of a layer still takes, and what the numbers rest on. */
export interface ZoneNeed {
  zoneId: string
  job: InkJob
  amount: InkAmount
  /** Grams in all for the thinnest and the thickest film one meets: on prints and wipings only. */
  least: number
  most: number
  guess: InkGuess
  /** Area of the runs that the film rests on, mm²; 0 for a guess. */
  measured: number
  /** What is guessed, in words. */
  guessed: string[]
}

/** What one pull takes of a zone's ink with its wiping and handling, mg. */
export function perPull({ amount, job, guess }: Pick<ZoneNeed, 'amount' | 'job' | 'guess'>): number {
  const wiped = gramsAnImpression(job.blockArea, job.wipedShare, guess.film, guess.density)
  return (amount.anImpression + wiped) * (1 + guess.loss) * 1000
}

/** The blocks a layer names, several of them locked up together. */
const blocksNamed = (state: EditionState, layer: Layer) =>
  state.blocks.filter((block) => layer.blocks.includes(block.id) || layer.blocks.includes(block.block.name))

/** Area that one pull prints: of every block that is locked up, else of the image as often as it is. mm², 0 while unknown. */
function areaPrinted(state: EditionState, layer: Layer, image: { width: number; height: number } | null): number {
  const named = blocksNamed(state, layer)
  if (named.length > 1) return named.reduce((sum, { block }) => sum + block.image.width * block.image.height, 0)
  return image ? image.width * image.height * (named.length === 0 ? printedAtOnce(state, layer) : 1) : 0
}

/** Block a layer is printed from: the one it names, else the edition's only one, else null. */
export function blockOf(state: EditionState, layer: Layer) {
  const at = state.layers.indexOf(layer)
  return (
    blocksNamed(state, layer)[0] ??
    (state.blocks.length === 1 || state.plan?.method === 'reduction' ? state.blocks[0] : state.blocks[at]) ??
    null
  )
}

/**
 * How much ink each zone of a layer takes (models.md, M4).
 * @param pulls what it still takes, or what another reckoning says
 */
export function inkNeed(
  state: EditionState,
  layerId: string,
  known: InkKnown,
  pulls: PullsToCome = pullsToCome(state, layerId, known),
): ZoneNeed[] {
  const layer = layerOf(state, layerId)
  if (!layer) return []
  const base =
    state.plan?.work === 'large hand work' || state.plan?.work === 'small hand work'
      ? inkGuesses.hand
      : inkGuesses.press
  const { film, area: measured } = shopFilm(known.runs, base.film)
  const rollUp = layer.rollUp ?? rollUpDefaults
  const block = blockOf(state, layer)
  const image = block?.block.image ?? state.piece?.image ?? null
  const { sheets, warmUps, proofs } = pulls
  return layer.zones.map(({ id }) => {
    const said = rollUp.zones.find((zone) => zone.zoneId === id)
    const inkedShare =
      said?.inkedShare ?? (layer.zones.length === 1 ? block?.inkedShare?.share : undefined) ?? 0.5 / layer.zones.length
    const isRead = said?.inkedShare != null || (layer.zones.length === 1 && block?.inkedShare)
    const guess = { ...base, film, density: known.density.get(id) ?? base.density }
    const job: InkJob = {
      blockArea: areaPrinted(state, layer, image),
      inkedShare,
      wipedShare: said?.wipedShare ?? 0,
      impressions: pullsFor(state, layer, sheets) + warmUps + proofs,
      sessions: sheets > 0 ? Math.max(1, rollUp.sessions) : 0,
      rollerSurface: rollUp.roller ? rollerSurface(rollUp.roller) : 150 * Math.PI * 50,
      slabArea: rollUp.slabArea,
    }
    return {
      zoneId: id,
      job,
      amount: inkAmount(job, guess),
      least: inkAmount(job, { ...guess, film: Math.min(film, filmRange.least) }).total,
      most: inkAmount(job, { ...guess, film: Math.max(film, filmRange.most) }).total,
      guess,
      measured,
      guessed: [
        image ? '' : 'the image has no size yet',
        isRead ? '' : `${Math.round(inkedShare * 100)} % of the block inked`,
        measured > 0 ? '' : `a film of ${film} µm`,
        known.density.has(id) ? '' : `${guess.density} g/cm³`,
        rollUp.roller ? '' : 'a roller of 150 mm',
      ].filter(Boolean),
    }
  })
}
