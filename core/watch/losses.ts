import { layerOf } from '../edition/layer'
import { imageOf } from '../edition/fault-places'
import { isLive, type Pull } from '../edition/pull'
import { sheetOf } from '../edition/sheet'
import { fieldAt } from '../print/fields'
import { paceOver } from '../run/pace'
import type { EditionState } from '../edition/state'

/** What pulls that are not good are told apart by. */
export type LossBy = 'layer' | 'press' | 'paper' | 'ink' | 'place' | 'time of day'
export const lossesBy: readonly LossBy[] = ['layer', 'press', 'paper', 'ink', 'place', 'time of day']

/** Pulls of one kind, with the faults named on them. */
export interface LossRow {
  label: string
  /** Pulls it rests on. */
  pulls: number
  notGood: number
  /** Good prints an hour at the pace of these pulls, pauses left out; null with fewer than two. */
  goodAnHour: number | null
  /** How often each fault was named, most often first. */
  faults: { fault: string; times: number }[]
}

interface Row extends LossRow {
  named: Map<string, number>
  times: number[]
}

/**
 * The losses of an edition, told apart: pulls that count, proofs and warm-up left out, with every fault named on them. By
 * place only faults whose place was said, and of all pulls that carry them.
 * @param hourOf the local hour of a moment, 0 to 23: core knows no time zone
 */
export function lossesOf(state: EditionState, by: LossBy, hourOf: (at: string) => number): LossRow[] {
  const rows = new Map<string, Row>()
  const rowOf = (label: string) => {
    const row: Row = rows.get(label) ?? {
      label,
      pulls: 0,
      notGood: 0,
      goodAnHour: null,
      faults: [],
      named: new Map(),
      times: [],
    }
    rows.set(label, row)
    return row
  }
  const pulls = state.pulls.filter((pull) => pull.kind === 'pull' && isLive(pull))
  if (by === 'layer') for (const { name } of state.layers) rowOf(name)
  for (const pull of pulls) {
    for (const [label, faults] of labelled(state, pull, by, hourOf)) {
      const row = rowOf(label)
      row.pulls += 1
      row.times.push(Date.parse(pull.at))
      if (pull.verdict !== 'good') row.notGood += 1
      for (const fault of faults) row.named.set(fault, (row.named.get(fault) ?? 0) + 1)
    }
  }
  return [...rows.values()].map(({ named, times, ...row }) => ({
    ...row,
    goodAnHour: goodAnHour(row, times),
    faults: [...named].map(([fault, times]) => ({ fault, times })).sort((a, b) => b.times - a.times),
  }))
}

function goodAnHour({ pulls, notGood }: LossRow, times: readonly number[]): number | null {
  const minutes = paceOver([...times].sort((a, b) => a - b))
  return minutes === null ? null : ((pulls - notGood) / pulls) * (60 / minutes)
}

function labelled(
  state: EditionState,
  pull: Pull,
  by: LossBy,
  hourOf: (at: string) => number,
): [label: string, faults: string[]][] {
  switch (by) {
    case 'layer':
      return [[layerOf(state, pull.layerId)?.name ?? '', pull.faults]]
    case 'press': {
      const setup = layerOf(state, pull.layerId)?.setups.find(({ seq }) => seq === pull.setupSeq)?.setup
      return [[setup?.pressName ?? 'no press set', pull.faults]]
    }
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
