import { allSeries, type Series } from '../print/series'
import type { EditionState } from './state'
import { isLive, livePullsOn } from './pull'
import { hasEveryLayer, isAlive, type Place, standings } from './places'

/** One line of the count, as it would be pencilled in a ledger. */
export interface CountRow {
  key: string
  label: string
  sheets: number
}

export interface Count {
  rows: CountRow[]
  /** Sheets made: what the rows must add up to. */
  made: number
  total: number
  balances: boolean
  /** What is wrong and where to look, in sentences; empty when it balances. */
  findings: string[]
  /** Late pulls that wait for a person to settle them. */
  disputed: number
}

const seriesPlural: Record<Series, string> = { edition: 'edition', AP: 'AP', PP: 'PP', HC: 'HC' }

function rowKey(place: Place): { key: string; label: string; order: number } | null {
  switch (place.kind) {
    case 'split':
      return null
    case 'blank':
      return { key: 'blank', label: 'blank', order: 0 }
    case 'drying':
      return { key: `drying-${place.layer}`, label: `layer ${place.layer}, drying`, order: 20 + place.layer }
    case 'waiting':
      return { key: `waiting-${place.layer}`, label: `waiting for layer ${place.layer}`, order: 20 + place.layer - 0.5 }
    case 'doubtful':
      return { key: 'doubtful', label: 'doubtful', order: 50 }
    case 'good':
      return place.curated
        ? { key: 'curated', label: 'curated good', order: 61 }
        : { key: 'good', label: 'good', order: 60 }
    case 'marked': {
      const order = 70 + allSeries.indexOf(place.series) * 2
      return place.signed
        ? { key: `signed-${place.series}`, label: `${seriesPlural[place.series]}, signed`, order: order + 1 }
        : { key: `numbered-${place.series}`, label: `${seriesPlural[place.series]}, numbered`, order }
    }
    case 'bat':
      return { key: 'bat', label: 'BAT', order: 80 }
    case 'proof':
      return { key: `proof-${place.proof}`, label: proofLabel(place.proof), order: 81 }
    case 'left behind':
      return { key: `left-behind-${place.layer}`, label: `left behind at layer ${place.layer}`, order: 89 }
    case 'reject':
      return place.layer === 0
        ? { key: 'rejects-0', label: 'spoiled blank', order: 90 }
        : { key: `rejects-${place.layer}`, label: `rejects, layer ${place.layer}`, order: 90 + place.layer }
    case 'destroyed':
      return { key: 'destroyed', label: 'destroyed', order: 110 }
  }
}

function proofLabel(proof: string): string {
  const words: Record<string, string> = {
    WP: 'working proofs',
    SP: 'state proofs',
    CTP: 'colour trials',
    progressive: 'progressives',
    'warm-up': 'warm-up pulls',
    ghost: 'ghosts',
    practice: 'practice pulls',
  }
  return words[proof] ?? proof
}

/**
 * Reconcile an edition: every sheet in exactly one place, the places adding up to the sheets made, no number used twice
 * nor on a sheet that may carry none. Pure; run after every write and shown on every edition screen.
 */
export function countEdition(state: EditionState): Count {
  const tally = new Map<string, CountRow & { order: number }>()
  for (const { place } of standings(state)) {
    const row = rowKey(place)
    if (row === null) continue
    const known = tally.get(row.key)
    if (known) known.sheets += 1
    else tally.set(row.key, { ...row, sheets: 1 })
  }
  const rows = [...tally.values()]
    .sort((a, b) => a.order - b.order)
    .map(({ key, label, sheets }) => ({ key, label, sheets }))
  const total = rows.reduce((sum, row) => sum + row.sheets, 0)
  const findings = [...sumFindings(state, total), ...pullFindings(state), ...numberFindings(state)]
  const disputed = state.pulls.filter((pull) => pull.disputed !== null && !pull.disputed.settled).length
  return { rows, made: state.made, total, balances: findings.length === 0, findings, disputed }
}

function sumFindings(state: EditionState, total: number): string[] {
  if (total === state.made) return []
  const difference = state.made - total
  return [
    difference > 0
      ? `${difference} of ${state.made} sheets are in no place. Look at what was torn and split.`
      : `${-difference} sheets too many are counted. Look at what was torn and split.`,
  ]
}

function pullFindings(state: EditionState): string[] {
  const findings: string[] = []
  const carried = new Map<string, number>()
  for (const sheet of state.sheets) {
    const layers = livePullsOn(state, sheet)
      .filter((pull) => pull.kind === 'pull')
      .map((pull) => pull.layerId)
    if (new Set(layers).size < layers.length)
      findings.push(`Sheet ${sheet.id} carries one layer twice. Void one of its pulls.`)
    if (sheet.parts.length === 0) for (const id of sheet.pulls) carried.set(id, (carried.get(id) ?? 0) + 1)
  }
  for (const pull of state.pulls) {
    if (isLive(pull) && pull.sheetIds.length > 0 && !carried.has(pull.pullId))
      findings.push(`Pull ${pull.ordinal} is counted but lies on no sheet.`)
    if (!isLive(pull) && carried.has(pull.pullId))
      findings.push(`Pull ${pull.ordinal} is void but still lies on a sheet.`)
  }
  return findings
}

function numberFindings(state: EditionState): string[] {
  const findings: string[] = []
  const used = new Map<string, number>()
  for (const { sheet, place, verdict } of standings(state)) {
    if (!sheet.mark || (sheet.destroyed && sheet.destroyed.replaceable)) continue
    const { series, number } = sheet.mark
    const label = `${series} ${number}`
    const twice = used.get(label)
    if (twice !== undefined) findings.push(`${label} stands on sheets ${twice} and ${sheet.id}.`)
    used.set(label, sheet.id)
    const size = state.seriesSize[series] ?? 0
    if (number < 1 || number > size) findings.push(`${label} on sheet ${sheet.id} is outside 1 to ${size}.`)
    if (sheet.destroyed) continue
    if (place.kind !== 'marked') findings.push(`Sheet ${sheet.id} is ${place.kind} yet carries ${label}.`)
    if (sheet.signed && !(hasEveryLayer(state, sheet) && verdict === 'good')) {
      findings.push(`Sheet ${sheet.id} is signed but is not a finished good print.`)
    }
  }
  return findings
}

/** Sheets in each place of interest, for headings and the strip. */
export interface Figures {
  made: number
  blank: number
  good: number
  doubtful: number
  rejects: number
  numbered: number
  signed: number
  /** Sheets that may still become a print. */
  alive: number
}

export function figures(state: EditionState): Figures {
  const result: Figures = {
    made: state.made,
    blank: 0,
    good: 0,
    doubtful: 0,
    rejects: 0,
    numbered: 0,
    signed: 0,
    alive: 0,
  }
  for (const { place } of standings(state)) {
    if (place.kind === 'blank') result.blank += 1
    if (place.kind === 'good' || place.kind === 'marked') result.good += 1
    if (place.kind === 'doubtful') result.doubtful += 1
    if (place.kind === 'reject') result.rejects += 1
    if (place.kind === 'marked') result.numbered += 1
    if (place.kind === 'marked' && place.signed) result.signed += 1
    if (isAlive(place)) result.alive += 1
  }
  return result
}
