import type { Mark, SizeSchool } from './series'

/** The custom in which the pencilled line is laid out below the image. */
export type LineCustom = 'number-title-signature' | 'title-number-signature' | 'number-signature'
export const lineCustoms: readonly LineCustom[] = [
  'number-title-signature',
  'title-number-signature',
  'number-signature',
]

/** How an edition's numbers are written. */
export interface NumberTerms {
  sizeSchool: SizeSchool
  /** For proofs. */
  numerals: 'roman' | 'arabic'
}

/** How an edition's line is written. */
export interface LineTerms extends NumberTerms {
  line: LineCustom
  /** Who signs. */
  artist: string
  /** Year pencilled after the signature, or null for none. */
  year: number | null
}

const romans: [number, string][] = [
  [1000, 'M'],
  [900, 'CM'],
  [500, 'D'],
  [400, 'CD'],
  [100, 'C'],
  [90, 'XC'],
  [50, 'L'],
  [40, 'XL'],
  [10, 'X'],
  [9, 'IX'],
  [5, 'V'],
  [4, 'IV'],
  [1, 'I'],
]

/**
 * A whole number from 1 in roman numerals.
 * @example
 * roman(14) // 'XIV'
 */
export function roman(number: number): string {
  let rest = number
  return romans.reduce((text, [value, letters]) => {
    const times = Math.floor(rest / value)
    rest -= times * value
    return text + letters.repeat(times)
  }, '')
}

/**
 * The number as it is pencilled: `7/30`, or `AP II/III` for a proof.
 * @example
 * numberAsWritten({ numerals: 'roman' }, { series: 'AP', number: 2 }, 4) // 'AP II/IV'
 */
export function numberAsWritten(terms: NumberTerms, mark: Mark, size: number): string {
  if (mark.series === 'edition')
    return terms.sizeSchool === 'open'
      ? String(mark.number)
      : `${terms.sizeSchool === 'varied' ? 'EV ' : ''}${mark.number}/${size}`
  const write = terms.numerals === 'roman' ? roman : String
  return `${mark.series} ${write(mark.number)}/${write(size)}`
}

/** What stands left, in the middle and right below the image; the signature is written, not printed. */
export interface PencilLine {
  left: string
  middle: string
  right: string
}

export function pencilLine(terms: LineTerms, title: string, mark: Mark, size: number): PencilLine {
  const number = numberAsWritten(terms, mark, size)
  const signature = [terms.artist || 'signature', terms.year].filter((part) => part !== null).join(' ')
  switch (terms.line) {
    case 'number-title-signature':
      return { left: number, middle: title, right: signature }
    case 'title-number-signature':
      return { left: title, middle: number, right: signature }
    case 'number-signature':
      return { left: number, middle: '', right: signature }
  }
}
