import { layerOf } from '../edition/layer'
import { imageOf } from '../edition/fault-places'
import { isLive, type Pull } from '../edition/pull'
import { sheetOf } from '../edition/sheet'
import { fieldAt } from '../print/fields'
import { paceOver } from '../run/pace'
import type { EditionState } from '../edition/state'

/** What pulls that are not good are told apart by. */
export type LossBy = 'layer' | 'press' | 'set-up' | 'paper' | 'ink' | 'place' | 'time of day' | 'person'
export const lossesBy: readonly LossBy[] = [
  'layer',
  'press',
  'set-up',
  'paper',
  'ink',
  'place',
  'time of day',
  'person',
]
/** What the editions of a room can be held side by side by: layers and set-ups are an edition's own. */
export const roomLossesBy: readonly LossBy[] = ['press', 'paper', 'ink', 'place', 'time of day', 'person']

/** Pulls of one kind, with the faults named on them. */
export interface LossRow {
  /** Of a person her id. */
  label: string
  /** By set-up, the press of it; null else. */
  pressId: string | null
  /** Pulls it rests on. */
  pulls: number
  notGood: number
  /** Minutes a pull takes at their pace, pauses left out; null with fewer than two. */
  minutes: number | null
  /** How often each fault was named, most often first. */
  faults: { fault: string; times: number }[]
}

/** Good prints an hour at the pace of these pulls; null while it is not known. */
export function goodAnHour({ pulls, notGood, minutes }: Pick<LossRow, 'pulls' | 'notGood' | 'minutes'>): number | null {
  return minutes === null || pulls === 0 ? null : ((pulls - notGood) / pulls) * (60 / minutes)
}

/** What is asked of the losses beside the pulls themselves. */
export interface LossQuestion {
  by: LossBy
  /** The local hour of a moment, 0 to 23: core knows no time zone. */
  hourOf: (at: string) => number
  /** By person only hers: null for everybody's. */
  person: string | null
  /** Of one layer alone, or null for all. */
  layerId: string | null
}

interface Row extends LossRow {
  named: Map<string, number>
  /** When its pulls were, edition by edition. */
  times: number[][]
}

/**
 * The losses of editions, told apart: pulls that count, proofs and warm-up left out, with every fault named on them. By
 * place only faults whose place was said, and of all pulls that carry them. The pace is of pulls of one edition after one
 * another.
 */
export function lossesOf(editions: readonly EditionState[], question: LossQuestion): LossRow[] {
  const rows = new Map<string, Row>()
  const rowOf = (label: string, pressId: string | null = null) => {
    const row: Row = rows.get(label) ?? {
      label,
      pressId,
      pulls: 0,
      notGood: 0,
      minutes: null,
      faults: [],
      named: new Map(),
      times: [],
    }
    rows.set(label, row)
    return row
  }
  for (const state of editions) {
    if (question.by === 'layer') for (const { name } of state.layers) rowOf(name)
    const times = new Map<Row, number[]>()
    const timesOf = (row: Row) => {
      const known = times.get(row) ?? []
      times.set(row, known)
      return known
    }
    for (const pull of state.pulls) {
      if (pull.kind !== 'pull' || !isLive(pull)) continue
      if (question.layerId !== null && pull.layerId !== question.layerId) continue
      for (const [label, faults, pressId] of labelled(state, pull, question)) {
        const row = rowOf(label, pressId)
        row.pulls += 1
        timesOf(row).push(Date.parse(pull.at))
        if (pull.verdict !== 'good') row.notGood += 1
        for (const fault of faults) row.named.set(fault, (row.named.get(fault) ?? 0) + 1)
      }
    }
    for (const [row, at] of times) row.times.push(at)
  }
  return [...rows.values()].map(({ named, times, ...row }) => ({
    ...row,
    minutes: paceOfAll(times),
    faults: [...named].map(([fault, times]) => ({ fault, times })).sort((a, b) => b.times - a.times),
  }))
}

/** The pace over several runs: each weighs as its pulls do. */
function paceOfAll(runs: readonly (readonly number[])[]): number | null {
  let minutes = 0
  let pulls = 0
  for (const run of runs) {
    const pace = paceOver([...run].sort((a, b) => a - b))
    if (pace === null) continue
    minutes += pace * run.length
    pulls += run.length
  }
  return pulls === 0 ? null : minutes / pulls
}

function labelled(
  state: EditionState,
  pull: Pull,
  { by, hourOf, person }: LossQuestion,
): [label: string, faults: string[], pressId?: string][] {
  switch (by) {
    case 'layer':
      return [[layerOf(state, pull.layerId)?.name ?? '', pull.faults]]
    case 'press': {
      const setup = layerOf(state, pull.layerId)?.setups.find(({ seq }) => seq === pull.setupSeq)?.setup
      return [[setup?.pressName ?? 'no press set', pull.faults]]
    }
    case 'set-up': {
      const setups = layerOf(state, pull.layerId)?.setups ?? []
      const at = setups.findIndex(({ seq }) => seq === pull.setupSeq)
      if (at < 0) return [['no press set', pull.faults]]
      const { pressName, pressId } = setups[at]!.setup
      return [[`${pressName}, set-up ${at + 1}`, pull.faults, pressId]]
    }
    case 'person':
      return person === null || person === pull.by ? [[pull.by, pull.faults]] : []
    case 'paper':
      return [[sheetOf(state, pull.sheetIds[0] ?? 0)?.lotName ?? 'not known', pull.faults]]
    case 'ink': {
      const names = layerOf(state, pull.layerId)?.zones.flatMap(({ batchId, batchName }) =>
        batchId && pull.batchIds.includes(batchId) ? [batchName] : [],
      )
      return (names?.length ? names : ['no batch named']).map((name) => [name, pull.faults])
    }
    case 'time of day': {
      const from = Math.floor(hourOf(pull.at) / 2) * 2
      return [[`${String(from).padStart(2, '0')} to ${String(from + 2).padStart(2, '0')} h`, pull.faults]]
    }
    case 'place':
      return placesOf(state, pull)
  }
}

/** The nine fields of the print in which its faults were seen. */
function placesOf(state: EditionState, pull: Pull): [string, string[]][] {
  const image = imageOf(state)
  if (!image) return []
  const fields = new Map<string, string[]>()
  for (const { pullId, fault, x, y } of state.faultPlaces) {
    if (pullId !== pull.pullId || !pull.faults.includes(fault)) continue
    const label = fieldAt(x / image.width, y / image.height).words
    fields.set(label, [...(fields.get(label) ?? []), fault])
  }
  return [...fields]
}
