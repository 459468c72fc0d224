import { type Staying, stayingFaults } from '../edition/fault-places'
import { isLive, type Pull } from '../edition/pull'
import type { EditionState } from '../edition/state'
import { faultWord } from '../print/faults'
import { type Drift, type DriftDesign, designFor, driftOf } from './drift'
import { sameFault, sameFaultFalseAfter } from './same-fault'
import { inkTrend, type InkTrend } from './trend'
import { type Yield, yieldOf } from './yield'

/** What a run is warned of, the most telling first. */
export type WarningKey = 'staying' | 'same fault' | 'drift' | 'ink trend' | 'ink open'

export interface Warning {
  key: WarningKey
  /** Why, in numbers. */
  words: string
  /** The fault behind it, or null where none was named. */
  fault: string | null
}

export interface RunWatch {
  /** Good pulls of this layer, doubtful ones not counted as good. */
  yield: Yield | null
  design: DriftDesign
  drift: Drift
  trend: InkTrend
  /** Since ink was last laid on the slab: pulls and minutes; null while nobody said when. */
  sinceInk: { pulls: number; minutes: number } | null
  warnings: Warning[]
}

/** What a run is held against. */
export interface WatchedBy {
  /** Share of pulls planned not to be good, without this edition's own. */
  planned: number
  /** Minutes the ink may lie open, or null when it need not be watched. */
  openMinutes: number | null
  now: number
}

/** A pull or a change of a layer, in the order they happened. */
type Happened = { pull: Pull } | { changed: true }

/** Pulls that count, with what was changed between them: an adjustment, or a remedy that is tried. */
function happenings(state: EditionState, layerId: string): Happened[] {
  const changes = [
    ...state.adjustments.filter((one) => one.layerId === layerId && !one.voided),
    ...state.trials.filter((one) => one.layerId === layerId),
  ]
    .map(({ afterPull }) => afterPull)
    .sort((a, b) => a - b)
  const found: Happened[] = []
  let next = 0
  for (const pull of state.pulls) {
    for (; next < changes.length && changes[next]! < pull.ordinal; next++) found.push({ changed: true })
    if (pull.layerId === layerId && pull.kind === 'pull' && isLive(pull)) found.push({ pull })
  }
  for (; next < changes.length; next++) found.push({ changed: true })
  return found
}

/**
 * Watch the run of a layer (models.md, M11): warm-up and proofs are left out, doubtful counts as not good. The score of drift
 * is started anew by whatever was changed after it had spoken; the ink's trend by any change.
 */
export function watchRun(state: EditionState, layerId: string, by: WatchedBy): RunWatch {
  const happened = happenings(state, layerId)
  const pulls = happened.flatMap((one) => ('pull' in one ? [one.pull] : []))
  const design = designFor(by.planned)
  const drift = driftWithin(design, happened)
  const trend = inkTrend(happened.flatMap((one) => ('pull' in one ? (one.pull.grade ?? []) : 'adjusted')))
  const sinceInk = inkLaid(state, layerId, pulls, by.now)
  const fresh = pullsSinceChange(happened)
  return {
    yield: yieldOf(pulls.filter(({ verdict }) => verdict === 'good').length, pulls.length),
    design,
    drift: drift.drift,
    trend,
    sinceInk,
    warnings: [
      ...stayingWarning(stayingFaults(state, layerId), fresh),
      ...sameFaultWarning(fresh, by.planned),
      ...(drift.drift.isAlarm ? [driftWarning(drift.drift, design, drift.pulls)] : []),
      ...(trend.isAlarm ? [trendWarning(trend)] : []),
      ...inkWarning(sinceInk, by.openMinutes),
    ],
  }
}

function driftWithin(design: DriftDesign, happened: readonly Happened[]): { drift: Drift; pulls: Pull[] } {
  let pulls: Pull[] = []
  const drift = () =>
    driftOf(
      design,
      pulls.map(({ verdict }) => verdict !== 'good'),
    )
  for (const one of happened) {
    if ('pull' in one) pulls.push(one.pull)
    else if (drift().isAlarm) pulls = []
  }
  return { drift: drift(), pulls }
}

/** Pulls since something was changed: a fault that was acted on is not warned of again by the same pulls. */
function pullsSinceChange(happened: readonly Happened[]): Pull[] {
  const from = happened.findLastIndex((one) => !('pull' in one))
  return happened.slice(from + 1).flatMap((one) => ('pull' in one ? [one.pull] : []))
}

/** The fault named most often on pulls that are not good. */
function mostNamed(pulls: readonly Pull[]): string | null {
  const times = new Map<string, number>()
  for (const { faults, verdict } of pulls)
    if (verdict !== 'good') for (const fault of faults) times.set(fault, (times.get(fault) ?? 0) + 1)
  return [...times].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}

const percent = (share: number) => `${Math.round(share * 100)} %`
const pullsWords = (n: number) => `${Math.round(n)} ${Math.round(n) === 1 ? 'pull' : 'pulls'}`

function driftWarning(drift: Drift, design: DriftDesign, pulls: readonly Pull[]): Warning {
  const fault = mostNamed(pulls.slice(-drift.pulls))
  return {
    key: 'drift',
    words: `${drift.bad} of the last ${drift.pulls} not good${fault ? `, most of them ${faultWord(fault)}` : ''}; ${percent(design.planned)} is planned. Chance alone says this once in ${pullsWords(design.falseAfter)}.`,
    fault,
  }
}

function sameFaultWarning(pulls: readonly Pull[], planned: number): Warning[] {
  const same = sameFault(pulls.map(({ faults }) => faults))
  if (!same) return []
  const alone = sameFaultFalseAfter(Math.min(0.999, Math.max(0.001, planned)))
  return [
    {
      key: 'same fault',
      words: `${faultWord(same.fault)} on ${same.times} of the last ${same.of}. Chance alone says this once in ${pullsWords(alone)} or more.`,
      fault: same.fault,
    },
  ]
}

/** What was acted on is not said again until the fault comes again. */
function stayingWarning(known: readonly Staying[], since: readonly Pull[]): Warning[] {
  const staying = known.find(({ fault }) => since.some(({ faults }) => faults.includes(fault)))
  return staying
    ? [
        {
          key: 'staying',
          words: `${faultWord(staying.fault)} stays in one place, ${staying.pulls} of ${staying.of}: look at block, packing and bed.`,
          fault: staying.fault,
        },
      ]
    : []
}

function trendWarning({ average, limit, graded }: InkTrend): Warning {
  const much = average > 0
  return {
    key: 'ink trend',
    words: `${much ? 'Too much' : 'Too little'} ink: the last ${graded} graded pulls average ${average > 0 ? '+' : '−'}${Math.abs(average).toFixed(1)} against the standard, beyond ${limit.toFixed(1)}. ${much ? 'A pass fewer, or unload the roller.' : 'A pass more, or charge sooner.'}`,
    fault: null,
  }
}

/** Since the slab was last given ink, or the block washed and inked anew; null while nobody said when. */
function inkLaid(state: EditionState, layerId: string, pulls: readonly Pull[], now: number): RunWatch['sinceInk'] {
  const laid = state.adjustments.findLast(
    (one) => one.layerId === layerId && !one.voided && (one.kind === 'fresh-ink' || one.kind === 'washed'),
  )
  if (!laid) return null
  return {
    pulls: pulls.filter(({ ordinal }) => ordinal > laid.afterPull).length,
    minutes: Math.max(0, (now - Date.parse(laid.at)) / 60_000),
  }
}

function inkWarning(since: RunWatch['sinceInk'], openMinutes: number | null): Warning[] {
  if (!since || openMinutes === null || since.minutes < openMinutes) return []
  return [
    {
      key: 'ink open',
      words: `The ink has lain open for ${Math.round(since.minutes)} min, ${pullsWords(since.pulls)}; it stays open for about ${openMinutes}. Lay it afresh.`,
      fault: null,
    },
  ]
}
