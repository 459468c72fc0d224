import type { PencilLine } from './pencil-line'

/** Height of a pencilled letter, mm: what a line is measured for. */
export const letterHeight = 4
/** Clear paper between what stands left, in the middle and right, mm. */
const clearBetween = 6

/** Width of a written letter as a share of its height, for a plain upright hand; a guess, as hands differ by a fifth. */
const usual = 0.55
const widths: readonly [letters: string, share: number][] = [
  ['mwMW', 0.85],
  ["iljtfrI1.,’'!|", 0.32],
  [' ', 0.35],
  ['ABCDGHKNOQRUVXYZ', 0.7],
]

/** How wide a text comes out in pencil, mm. */
export function handWidth(text: string, height = letterHeight): number {
  return [...text].reduce((sum, letter) => {
    const share = widths.find(([letters]) => letters.includes(letter))?.[1] ?? usual
    return sum + share * height
  }, 0)
}

/** How wide a whole line comes out, mm, with clear paper between its parts. */
export function lineWidth({ left, middle, right }: PencilLine): number {
  const parts = [left, middle, right].filter((part) => part !== '')
  return parts.reduce((sum, part) => sum + handWidth(part), 0) + Math.max(0, parts.length - 1) * clearBetween
}

/**
 * The first letters of a name: “Ansa Quill” signs “A. Q.”.
 * @example
 * initialsOf('Ansa Quill') // 'A. Q.'
 */
export function initialsOf(name: string): string {
  return name
    .trim()
    .split(/[\s-]+/)
    .filter(Boolean)
    .map((part) => `${[...part][0]!.toLocaleUpperCase()}.`)
    .join(' ')
}
