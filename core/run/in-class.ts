import { figures } from '../edition/count'
import type { PictureShown } from '../edition/hand-in'
import { layerNumber } from '../edition/layer'
import { isLive, newestPulls, type Pull } from '../edition/pull'
import { type Ask, openAsks, signedOff } from '../edition/sign-offs'
import { layerAtPress, waitingFor } from '../edition/stack'
import type { EditionState } from '../edition/state'
import { stateWord } from '../edition/stops'
import { tallied } from '../edition/tally'
import { trialsOf } from '../edition/trials'
import { streamId } from '../ground/envelope'
import { noRates } from '../plan/defaults'
import type { ShopRecord } from '../plan/shop-record'
import { fewestSheets, startAnswers } from '../plan/start'
import type { TrialRecord } from '../print/remedies'
import type { PullKind, Verdict } from '../print/verdicts'
import type { BeforeBell } from './bell'
import { goodAt, layersPulled, outlook } from './outlook'
import { startCourse } from './sheets-to-start'

/** Pulls that are looked at for what goes wrong now. */
const lately = 25

/** One edition of an assignment as it stands at its bench. */
export interface InClass {
  editionId: string
  title: string
  /** Who prints it. */
  personIds: string[]
  state: string
  layers: { id: string; name: string }[]
  /** The layer that is pulled next, null when none is. */
  layer: { id: string; name: string; place: number; of: number; good: number; waiting: number } | null
  /** Its last pulls, oldest first. */
  strokes: { kind: PullKind; verdict: Verdict; bat: boolean; voided: boolean }[]
  goal: number
  good: number
  doubtful: number
  rejects: number
  made: number
  /** Chance of reaching the goal. */
  chance: number
  chanceIsRough: boolean
  lastPullAt: string | null
  lastFault: { fault: string; at: string } | null
  /** Faults of its last pulls, and on how many of them each was. */
  faults: Record<string, number>
  /** Remedies tried on it, and how they came out. */
  trials: TrialRecord
  practised: number
  practice: number | null
  disputed: number
  asks: Ask[]
  /** Whether good paper is signed off. */
  hasPaper: boolean
  /** What the bell is reckoned from, but for the minutes left; null where nothing is to be pulled. */
  bell: (Omit<BeforeBell, 'minutes'> & { paceIsGuess: boolean }) | null
  /** The work as it was handed in last. */
  handedIn: { at: string; pictures: PictureShown[] } | null
  comments: number
}

/** How an edition stands, for whoever walks round the benches. @param record the room's past without it */
export function inClass(state: EditionState, record: ShopRecord): InClass {
  const at = figures(state)
  const layer = layerAtPress(state)
  const { chance, isRough, goal, rate, pace } = outlook(state, record, layer?.id)
  const recent = newestPulls(state, lately, isLive)
  const faulty = recent.findLast(({ faults }) => faults.length > 0)
  const isHere = (pull: Pull) => pull.layerId === layer?.id && pull.disputed === null
  const waiting = layer ? waitingFor(state, layer) : 0
  const good = layer ? goodAt(state, layer.id) : 0
  const needed = layer ? Math.max(0, goodWanted(state, layer.id, goal, record) - good) : 0
  return {
    editionId: streamId(state.stream),
    title: state.title,
    personIds: state.printerIds,
    state: stateWord(state),
    layers: state.layers.map(({ id, name }) => ({ id, name })),
    layer: layer
      ? {
          id: layer.id,
          name: layer.name,
          place: layerNumber(state, layer.id),
          of: Math.max(state.layers.length, state.plan?.layersPlanned ?? 1),
          good,
          waiting,
        }
      : null,
    strokes: newestPulls(state, lately, isHere).map(({ kind, verdict, voided, pullId }) => ({
      kind,
      verdict,
      voided,
      bat: state.standards.some((standard) => standard.pullId === pullId),
    })),
    goal,
    good: at.good,
    doubtful: at.doubtful,
    rejects: at.rejects,
    made: at.made,
    chance,
    chanceIsRough: isRough,
    lastPullAt: newestPulls(state, 1, ({ disputed }) => disputed === null)[0]?.at ?? null,
    lastFault: faulty ? { fault: faulty.faults.at(-1)!, at: faulty.at } : null,
    faults: countFaults(recent),
    trials: trialsOf(state),
    practised: tallied(state, 'live practice'),
    practice: state.assignment?.practice ?? null,
    disputed: tallied(state, 'disputed'),
    asks: openAsks(state),
    hasPaper: signedOff(state, 'paper', null),
    bell:
      layer && at.made > 0 && waiting + needed > 0
        ? {
            pace: pace ?? (state.plan?.rates.minutesPerPull || noRates.minutesPerPull),
            paceIsGuess: pace === null,
            sheets: waiting,
            needed,
            rate: { passed: rate.passed, rejected: rate.rejected },
          }
        : null,
    handedIn: state.handedIn && { at: state.handedIn.at, pictures: state.handedIn.pictures },
    comments: state.comments.length,
  }
}

/** The chance that the layers after this one are to leave it, as the bell's help asks for. */
const laterChance = 0.8

/** Good ones of a layer from which the goal can still be reached: what its later layers and their proofs will take comes on top. */
function goodWanted(state: EditionState, layerId: string, wanted: number, record: ShopRecord): number {
  const pulled = state.layers.slice(0, layerNumber(state, layerId)).filter(({ withoutPull }) => !withoutPull).length
  const layers = layersPulled(state, state.plan?.layersPlanned ?? 1)
  if (!state.plan || pulled >= layers) return wanted
  const { proofs, ...course } = startCourse(state.plan, layers, record, null)
  const { chances } = startAnswers({ ...course, proofs: proofs.slice(pulled) })
  return fewestSheets(chances, wanted, laterChance) ?? wanted
}

function countFaults(pulls: readonly Pull[]): Record<string, number> {
  const found: Record<string, number> = {}
  for (const { faults } of pulls) for (const fault of faults) found[fault] = (found[fault] ?? 0) + 1
  return found
}
