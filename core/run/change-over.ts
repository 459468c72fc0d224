import type { InkFamily } from '../ink/family'

/** A run at a press, as far as it tells what has to be done before the next one. */
export interface RunAtPress {
  batchIds: readonly string[]
  family: InkFamily | null
  /** L* of its lightest ink, 0 to 100; null while no ink is chosen. */
  lightness: number | null
  /** Turns of the screws above zero, the mean of both; null of a press without screws, or while nobody set it. */
  turns: number | null
  /** Pieces of packing by name; null while nobody set it. */
  packing: Readonly<Record<string, number>> | null
}

/** Minutes between two runs: guesses of the craft, until the room has shown its own. */
export const guessed = {
  /** Roller and slab washed for another ink. */
  wash: 20,
  /** Only wiped down, where a darker ink of the same family follows. */
  wipe: 8,
  /** A turn of both screws. */
  turn: 1,
  /** A card taken out or laid in. */
  card: 1,
} as const

/** What changing over takes, minutes. */
export interface ChangeOver {
  wash: number
  screws: number
  packing: number
}

export const noChange: ChangeOver = { wash: 0, screws: 0, packing: 0 }

/**
 * What has to be done at a press between one run and the next (models.md, M20): the same ink needs no wash, a darker one of the
 * same family less; then the screws by their turns, and the packing by its pieces.
 */
export function changeOver(from: RunAtPress, to: RunAtPress): ChangeOver {
  return { wash: washBetween(from, to), screws: screwsBetween(from, to), packing: packingBetween(from, to) }
}

export const minutesOf = ({ wash, screws, packing }: ChangeOver): number => wash + screws + packing

function washBetween(from: RunAtPress, to: RunAtPress): number {
  if (to.batchIds.length > 0 && to.batchIds.every((id) => from.batchIds.includes(id))) return 0
  const isDarker = from.lightness !== null && to.lightness !== null && to.lightness <= from.lightness
  return isDarker && from.family === to.family ? guessed.wipe : guessed.wash
}

const screwsBetween = (from: RunAtPress, to: RunAtPress): number =>
  from.turns === null || to.turns === null ? 0 : Math.abs(to.turns - from.turns) * guessed.turn

function packingBetween(from: RunAtPress, to: RunAtPress): number {
  if (from.packing === null || to.packing === null) return 0
  const names = new Set([...Object.keys(from.packing), ...Object.keys(to.packing)])
  const moved = [...names].reduce(
    (sum, name) => sum + Math.abs((to.packing![name] ?? 0) - (from.packing![name] ?? 0)),
    0,
  )
  return moved * guessed.card
}

/** A gap so many times as long as guessed is a pause, as between pulls (models.md, M11). */
const pauseTimes = 3
/** The guess weighs as much as so many change-overs that came as guessed. */
const guessCount = 3

/**
 * What the guess is multiplied by in this room: the mean of logarithms of found over guessed, the guess counting as three
 * that came as expected. What was guessed to take nothing teaches nothing, nor does a pause.
 * @param past minutes guessed and found of past change-overs at the press
 */
export function learntFactor(past: readonly { guess: number; found: number }[]): { factor: number; count: number } {
  const telling = past.filter(({ guess, found }) => guess > 0 && found > 0 && found <= pauseTimes * guess)
  const logs = telling.reduce((sum, { guess, found }) => sum + Math.log(found / guess), 0)
  return { factor: Math.exp(logs / (telling.length + guessCount)), count: telling.length }
}
