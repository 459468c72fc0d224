import { isComplete } from './layers-on'
import { isAlive, type SheetStanding, standingOf } from './places'
import { rowOf } from './count-rows'
import { layerNumber } from './layer'
import { stepsLeft } from './finishing'
import { isLive, countedPullsOn, type Pull, pullOf, rememberPulls, resultOn } from './pull'
import { carriersOf } from './sheet'
import type { EditionState } from './state'

/**
 * How every sheet of an edition stands, and how many sheets and pulls there are of each kind. Kept by difference: what a
 * tap costs hardly grows with its edition. Whoever asks first for a state pays for what changed since the last state that
 * was asked for; a fold pays nothing.
 */
export interface Tally {
  standings: SheetStanding[]
  /** How many there are, by key. Sheets’ keys and pulls’ keys are those of `sheetKeys` and `pullKeys`. */
  counts: Map<string, number>
}

const tallies = new WeakMap<EditionState, Tally>()
/** The last state before this one whose tally is known. */
const bases = new WeakMap<EditionState, EditionState>()

/** Told of every step from one state to the next, by the stream’s stamp, so that no evolver can forget it. */
export function follow(before: EditionState, after: EditionState): EditionState {
  // Changed in place, within a fold.
  if (before === after) return after
  const base = tallies.has(before) ? before : bases.get(before)
  if (base) bases.set(after, base)
  return after
}

/** The tally of a state. Not to be asked for within a fold, whose state still changes. */
export function tallyOf(state: EditionState): Tally {
  const known = tallies.get(state)
  if (known) return known
  const base = bases.get(state)
  const before = base && tallies.get(base)
  const tally = base && before && isComparable(base, state) ? byDifference(base, before, state) : tallyAnew(state)
  tallies.set(state, tally)
  bases.delete(state)
  return tally
}

/** How many there are of a key. */
export function tallied(state: EditionState, key: string): number {
  return tallyOf(state).counts.get(key) ?? 0
}

/** Counts whose key begins so, by the rest of the key. */
export function talliedUnder(state: EditionState, prefix: string): Map<string, number> {
  const found = new Map<string, number>()
  for (const [key, count] of tallyOf(state).counts)
    if (key.startsWith(prefix)) found.set(key.slice(prefix.length), count)
  return found
}

/** Every sheet’s standing, in serial order. */
export function standings(state: EditionState): readonly SheetStanding[] {
  return tallyOf(state).standings
}

/** What is rare and bears on every sheet: then the tally starts anew. */
function isComparable(before: EditionState, after: EditionState): boolean {
  return (
    before.layers === after.layers &&
    before.finishing === after.finishing &&
    before.seriesSize === after.seriesSize &&
    before.sheets.length <= after.sheets.length &&
    before.pulls.length <= after.pulls.length
  )
}

/** The whole tally, counted from nothing: what `byDifference` must always equal. */
export function tallyAnew(state: EditionState): Tally {
  rememberPulls(state.pulls)
  const standing = state.sheets.map((sheet) => standingOf(state, sheet))
  const counts = new Map<string, number>()
  for (const one of standing) for (const key of sheetKeys(state, one)) weigh(counts, key, 1)
  for (const pull of state.pulls) for (const key of pullKeys(state, pull)) weigh(counts, key, 1)
  return { standings: standing, counts }
}

function byDifference(base: EditionState, before: Tally, state: EditionState): Tally {
  const pulls = changedPulls(base, state)
  const sheets = changedSheets(base, state, pulls)
  // A pull is looked at again when a sheet took it on or lost it.
  for (const at of sheets)
    for (const sheet of [base.sheets[at], state.sheets[at]])
      for (const id of sheet?.pulls ?? []) {
        const pull = pullOf(state, id)
        if (pull) pulls.add(pull.ordinal - 1)
      }
  const standing = before.standings.slice()
  const counts = new Map(before.counts)
  for (const at of sheets) {
    const old = before.standings[at]
    if (old) for (const key of sheetKeys(base, old)) weigh(counts, key, -1)
    standing[at] = standingOf(state, state.sheets[at]!)
    for (const key of sheetKeys(state, standing[at])) weigh(counts, key, 1)
  }
  for (const at of pulls) {
    const old = base.pulls[at]
    if (old) for (const key of pullKeys(base, old)) weigh(counts, key, -1)
    for (const key of pullKeys(state, state.pulls[at]!)) weigh(counts, key, 1)
  }
  return { standings: standing, counts }
}

function weigh(counts: Map<string, number>, key: string, by: 1 | -1): void {
  const count = (counts.get(key) ?? 0) + by
  if (count === 0) counts.delete(key)
  else counts.set(key, count)
}

/** Places among the pulls whose pull is not the same in both states. */
function changedPulls(base: EditionState, state: EditionState): Set<number> {
  const found = new Set<number>()
  if (base.pulls === state.pulls) return found
  for (let i = 0; i < state.pulls.length; i++) if (base.pulls[i] !== state.pulls[i]) found.add(i)
  return found
}

/** Places of the sheets that may stand otherwise: changed themselves, or by a pull on them, or as a standard. */
function changedSheets(base: EditionState, state: EditionState, pulls: ReadonlySet<number>): Set<number> {
  const found = new Set<number>()
  if (base.sheets !== state.sheets)
    for (let i = 0; i < state.sheets.length; i++) if (base.sheets[i] !== state.sheets[i]) found.add(i)
  const touch = (pull: Pull | undefined, of: EditionState) => {
    for (const sheet of pull ? carriersOf(of, pull) : []) found.add(sheet.id - 1)
  }
  for (const at of pulls) {
    touch(base.pulls[at], base)
    touch(state.pulls[at], state)
  }
  if (base.standards !== state.standards)
    for (const { pullId } of [...base.standards, ...state.standards]) touch(pullOf(state, pullId), state)
  return found
}

/** True for a pull that counts and lies on no sheet, or does not count and lies on one. */
export function isOdd(state: EditionState, pull: Pull): boolean {
  if (pull.sheetIds.length === 0) return false
  const carried = carriersOf(state, pull).some(({ parts, pulls }) => parts.length === 0 && pulls.includes(pull.pullId))
  return isLive(pull) !== carried
}

/** Why a sheet is not as it can be, in words; empty as a rule. */
export function sheetOddities(state: EditionState, { sheet, place, layers, verdict }: SheetStanding): string[] {
  const found: string[] = []
  if (new Set(layers).size < layers.length)
    found.push(`Sheet ${sheet.id} carries one layer twice. Void one of its pulls.`)
  if (!sheet.mark || sheet.destroyed?.replaceable) return found
  const { series, number } = sheet.mark
  const label = `${series} ${number}`
  const size = state.seriesSize[series] ?? 0
  if (number < 1 || number > size) found.push(`${label} on sheet ${sheet.id} is outside 1 to ${size}.`)
  if (sheet.destroyed) return found
  if (place.kind !== 'marked') found.push(`Sheet ${sheet.id} is ${place.kind} yet carries ${label}.`)
  if (sheet.signed && !(isComplete(state, layers) && verdict === 'good'))
    found.push(`Sheet ${sheet.id} is signed but is not a finished good print.`)
  return found
}

/** What one sheet counts as. */
function sheetKeys(state: EditionState, standing: SheetStanding): string[] {
  const { sheet, place, layers, verdict } = standing
  const keys = [`is ${place.kind}`]
  const row = rowOf(place)
  if (row) keys.push(`row ${row.key}`)
  if (place.kind === 'marked' && place.signed) keys.push('is signed')
  if (verdict === 'good' && 'layer' in place) keys.push(`good ${place.kind} ${place.layer}`)
  else if (verdict === 'good') keys.push(`good ${place.kind}`)
  const last = layers.at(-1)
  if (last !== undefined && isAlive(place) && !sheet.dry.includes(last)) keys.push('wet')
  if (sheetOddities(state, standing).length > 0) keys.push('odd sheet')
  if (sheet.curated?.verdict === 'good') keys.push('curated good')
  if (isAlive(place) && isComplete(state, layers)) {
    keys.push('printed')
    if (stepsLeft(state, sheet).length === 0) keys.push('finished off')
  }
  if (sheet.mark && !sheet.destroyed?.replaceable) keys.push(`number ${sheet.mark.series} ${sheet.mark.number}`)
  return [...keys, ...stackKeys(state, standing), ...passKeys(state, standing), ...proofKeys(state, standing)]
}

/** What it still has to meet: the layer it waits for, and how many there are. */
function stackKeys(state: EditionState, { sheet, place, layers }: SheetStanding): string[] {
  if (!isAlive(place)) return []
  if (sheet.mark) return ['certain']
  const missing = state.layers.filter((layer) => !layers.includes(layer.id))
  const keys = missing.map((layer) => `lacks ${layer.id}`)
  const next = state.layers[layers.length]
  if (next && state.layers.slice(0, layers.length).every((layer) => layers.includes(layer.id)))
    keys.push(`ready ${next.id}`)
  if (missing.length > 0) keys.push('unfinished')
  const to =
    place.kind === 'doubtful' ? 'doubtful, to go' : place.kind === 'good' && place.curated ? 'curated, to go' : 'to go'
  return [...keys, `${to} ${missing.length}`]
}

/**
 * What the sheet says of the room's pass rates (models.md, M3): each layer on it passed or not, and so did finishing. A sheet
 * lost between presses is lost at the layer it last carried; one that carries every layer and is lost since, in finishing.
 */
function passKeys(state: EditionState, { sheet, place, layers }: SheetStanding): string[] {
  if (place.kind === 'split') return []
  const pulls = countedPullsOn(state, sheet).filter((pull) => pull.kind === 'pull')
  const isOverruled = sheet.curated !== null && sheet.curated.verdict !== 'reject'
  const isRejected = (pull: Pull) => resultOn(state, pull, sheet).verdict === 'reject' && !isOverruled
  const isWhole = isComplete(state, layers)
  const isLostSince = sheet.spoiled !== null || sheet.destroyed !== null || sheet.curated?.verdict === 'reject'
  const last = pulls.reduce<Pull | null>(
    (a, b) => (a && layerNumber(state, a.layerId) > layerNumber(state, b.layerId) ? a : b),
    null,
  )
  const keys = pulls.map((pull) => {
    const isLost = isRejected(pull) || (isLostSince && !isWhole && pull === last)
    return `${isLost ? 'rejected' : 'passed'} ${pull.by}`
  })
  if (place.kind === 'marked' || (place.kind === 'good' && place.curated)) keys.push('finished')
  else if (isLostSince && isWhole && !pulls.some(isRejected)) keys.push('lost in finishing')
  return keys
}

/** The layer whose proof took this sheet out of the stack. */
function proofKeys(state: EditionState, { sheet, place }: SheetStanding): string[] {
  if (place.kind !== 'proof' && place.kind !== 'standard' && place.kind !== 'bat') return []
  const proof = countedPullsOn(state, sheet).find((pull) => pull.kind !== 'pull')
  return proof ? [`proofed ${proof.layerId}`] : []
}

/** What one pull counts as. */
function pullKeys(state: EditionState, pull: Pull): string[] {
  const keys = isOdd(state, pull) ? ['odd pull'] : []
  if (pull.disputed && !pull.disputed.settled) keys.push('disputed')
  if (!isLive(pull)) return keys
  keys.push('live', `live ${pull.kind}`)
  if (pull.kind === 'pull') keys.push(`pulled ${pull.layerId}`)
  for (const fault of pull.faults) keys.push(`fault ${fault}`)
  return keys
}
