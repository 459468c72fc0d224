import { tallied } from '../edition/tally'
import type { EditionState } from '../edition/state'
import { type Layer, layerOf } from '../edition/layer'
import { goal } from '../plan/plan'
import type { WeighedRun } from '../ink/amount'
import { type InkAmount, inkAmount, type InkGuess, inkGuesses, type InkJob, shopFilm } from '../ink/amount'
import { rollUpDefaults } from '../ink/roll-up'
import { rollerSurface } from '../ink/roller'

/** Pulls that use ink beside those on the edition's sheets, until this edition's own show otherwise. */
const usualWarmUps = 2
const usualProofs = 4

/** Pulls a layer still takes: the edition's sheets that lack it, with the warm-ups and proofs that are still to come. */
export function pullsToCome(state: EditionState, layerId: string): { sheets: number; warmUps: number; proofs: number } {
  const lacking = tallied(state, `lacks ${layerId}`)
  const sheets = state.made > 0 ? lacking : state.plan ? (state.plan.start ?? goal(state.plan)) : 0
  const done = state.pulls.filter((pull) => !pull.voided && pull.disputed === null && pull.layerId === layerId)
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
  guess: InkGuess
  /** Area of the runs that the film rests on, mm²; 0 for a guess. */
  measured: number
  /** What is guessed, in words. */
  guessed: string[]
}

/** Block a layer is printed from: the one it names, else the edition's only one, else null. */
export function blockOf(state: EditionState, layer: Layer) {
  const at = state.layers.indexOf(layer)
  return (
    state.blocks.find((block) => layer.blocks.includes(block.id) || layer.blocks.includes(block.block.name)) ??
    (state.blocks.length === 1 || state.plan?.method === 'reduction' ? state.blocks[0] : state.blocks[at]) ??
    null
  )
}

/**
 * How much ink each zone of a layer still takes (MODELS M4).
 * @param runs runs weighed in this room with ink of the kind, for the film
 * @param density g/cm³ by zone, where the batch's is known
 */
export function inkNeed(
  state: EditionState,
  layerId: string,
  runs: readonly WeighedRun[],
  density: ReadonlyMap<string, number> = new Map(),
): ZoneNeed[] {
  const layer = layerOf(state, layerId)
  if (!layer) return []
  const base =
    state.plan?.work === 'large hand work' || state.plan?.work === 'small hand work'
      ? inkGuesses.hand
      : inkGuesses.press
  const { film, area: measured } = shopFilm(runs, base.film)
  const rollUp = layer.rollUp ?? rollUpDefaults
  const block = blockOf(state, layer)
  const image = block?.block.image ?? state.piece?.image ?? null
  const { sheets, warmUps, proofs } = pullsToCome(state, layerId)
  return layer.zones.map(({ id }) => {
    const said = rollUp.zones.find((zone) => zone.zoneId === id)
    const inkedShare =
      said?.inkedShare ?? (layer.zones.length === 1 ? block?.inkedShare?.share : undefined) ?? 0.5 / layer.zones.length
    const known = said?.inkedShare != null || (layer.zones.length === 1 && block?.inkedShare)
    const guess = { ...base, film, density: density.get(id) ?? base.density }
    const job: InkJob = {
      blockArea: image ? image.width * image.height : 0,
      inkedShare,
      wipedShare: said?.wipedShare ?? 0,
      impressions: sheets + warmUps + proofs,
      sessions: sheets > 0 ? Math.max(1, rollUp.sessions) : 0,
      rollerSurface: rollUp.roller ? rollerSurface(rollUp.roller) : 150 * Math.PI * 50,
      slabArea: rollUp.slabArea,
    }
    return {
      zoneId: id,
      job,
      amount: inkAmount(job, guess),
      guess,
      measured,
      guessed: [
        image ? '' : 'the image has no size yet',
        known ? '' : `${Math.round(inkedShare * 100)} % of the block inked`,
        measured > 0 ? '' : `a film of ${film} µm`,
        density.has(id) ? '' : `${guess.density} g/cm³`,
        rollUp.roller ? '' : 'a roller of 150 mm',
      ].filter(Boolean),
    }
  })
}
