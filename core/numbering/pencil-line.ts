import type { EditionPlan, Series } from '../plan/plan'

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

/** A whole number from 1 in roman numerals. */
export function roman(number: number): string {
  let rest = number
  return romans.reduce((text, [value, letters]) => {
    const times = Math.floor(rest / value)
    rest -= times * value
    return text + letters.repeat(times)
  }, '')
}

/** The number as it is pencilled: `7/30`, or `AP II/III` for a proof. */
export function numberAsWritten(plan: EditionPlan, mark: { series: Series; number: number }, size: number): string {
  if (mark.series === 'edition')
    return plan.sizeSchool === 'open'
      ? String(mark.number)
      : `${plan.sizeSchool === 'varied' ? 'EV ' : ''}${mark.number}/${size}`
  const write = plan.numerals === 'roman' ? roman : String
  return `${mark.series} ${write(mark.number)}/${write(size)}`
}

/** What stands left, in the middle and right below the image; the signature is written, not printed. */
export interface PencilLine {
  left: string
  middle: string
  right: string
}

export function pencilLine(
  plan: EditionPlan,
  title: string,
  mark: { series: Series; number: number },
  size: number,
): PencilLine {
  const number = numberAsWritten(plan, mark, size)
  const signature = [plan.artist || 'signature', plan.year].filter((part) => part !== null).join(' ')
  switch (plan.line) {
    case 'number-title-signature':
      return { left: number, middle: title, right: signature }
    case 'title-number-signature':
      return { left: title, middle: number, right: signature }
    case 'number-signature':
      return { left: number, middle: '', right: signature }
  }
}
