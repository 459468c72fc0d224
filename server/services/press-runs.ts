import { layerOf } from '#core/edition/layer'
import type { EditionState } from '#core/edition/state'
import { labOfHex } from '#core/ink/colour'
import { type InkOf, runAtPress } from '#core/run/at-press'
import { changeOver, learntFactor, minutesOf, type RunAtPress } from '#core/run/change-over'
import type { BatchSummary, PressSummary } from '#shared/replies/replies'
import { pullsAtPress } from '../database/over-events'
import { summariesOf } from '../database/summaries'
import type { Pressroom } from './pressroom'

/** Pulls that are looked at for past change-overs, the newest. */
const lookedAt = 3000
interface Run {
  stream: string
  layerId: string
  setupSeq: number
  from: number
  to: number
}

/** What is known of the room's inks. */
export async function inksOf({ db }: Pressroom): Promise<InkOf> {
  const batches = await summariesOf<BatchSummary>(db.reader, 'batch')
  const known = new Map(batches.map(({ id, family, colour }) => [id, { family, lightness: labOfHex(colour).l }]))
  return (id) => known.get(id)
}

/** Pulls at a press as runs of one layer, in the order of the ledger. */
async function runsAt({ db }: Pressroom, pressId: string): Promise<Run[]> {
  const pulls = await pullsAtPress(db.long, pressId, lookedAt)
  const runs: Run[] = []
  for (const { stream, layerId, setupSeq, at } of pulls) {
    const minute = Date.parse(at) / 60_000
    const last = runs.at(-1)
    if (last?.stream === stream && last.layerId === layerId && last.setupSeq === setupSeq)
      last.to = Math.max(last.to, minute)
    else runs.push({ stream, layerId, setupSeq, from: minute, to: minute })
  }
  return runs
}

type Learnt = ReturnType<typeof learntFactor>

/** What was learnt a while ago still holds: the past of a press grows slowly, and reading it is long. */
const holds = 10 * 60_000
const known = new WeakMap<Pressroom, Map<string, { at: number; learnt: Promise<Learnt> }>>()

/** What changing over at a press took against what is guessed, from its own past. */
export function learntAt(room: Pressroom, press: PressSummary, inkOf: InkOf): Promise<Learnt> {
  const ofRoom = known.get(room) ?? new Map<string, { at: number; learnt: Promise<Learnt> }>()
  known.set(room, ofRoom)
  const before = ofRoom.get(press.id)
  if (before && Date.now() - before.at < holds) return before.learnt
  const learnt = learnAt(room, press, inkOf)
  ofRoom.set(press.id, { at: Date.now(), learnt })
  // What could not be read is asked for anew.
  learnt.catch(() => ofRoom.delete(press.id))
  return learnt
}

async function learnAt(room: Pressroom, press: PressSummary, inkOf: InkOf): Promise<Learnt> {
  const runs = await runsAt(room, press.id)
  const facts = new Map<string, RunAtPress | null>()
  const factsOf = async ({ stream, layerId, setupSeq }: Run): Promise<RunAtPress | null> => {
    const key = `${stream} ${layerId} ${setupSeq}`
    if (!facts.has(key)) {
      const layer = layerOf(await room.ledger.read<EditionState>(stream), layerId)
      const setup = layer?.setups.find(({ seq }) => seq === setupSeq)?.setup
      facts.set(key, layer && setup ? runAtPress(layer, inkOf, press.divisions, setup) : null)
    }
    return facts.get(key)!
  }
  const past: { guess: number; found: number }[] = []
  for (const [i, run] of runs.entries()) {
    const before = runs[i - 1]
    if (!before) continue
    const found = run.from - before.to
    const [from, to] = [await factsOf(before), await factsOf(run)]
    if (from && to) past.push({ guess: minutesOf(changeOver(from, to)), found })
  }
  return learntFactor(past)
}
