/** The units printers measure in. Everything is stored in mm; 1 in = 25.4 mm exactly. */
export type LengthUnit = 'mm' | 'in'
export const lengthUnits: readonly LengthUnit[] = ['mm', 'in']

export const mmPerInch = 25.4

/** A length that was read, in mm, or the words that say why it was not. */
export type ReadLength = { mm: number } | { refused: string }

const vulgar: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const unitWords: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: mmPerInch,
  inch: mmPerInch,
  inches: mmPerInch,
  '"': mmPerInch,
}

/** One spelling for what printers write in many: fractions as n/d, a decimal point, plain quotes and spaces. */
function plain(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${vulgar[sign]!}`)
    .replace(/⁄/g, '/')
    .replace(/''|[″“”]/g, '"')
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .replace(/^\s*[≈~]/, '')
    .replace(/^([^,]*\d)?,(\d+)/, (_, whole: string | undefined, part: string) => `${whole ?? '0'}.${part}`)
    .trim()
    .toLowerCase()
}

const number = String.raw`\d+(?:\.\d+)?|\.\d+`
const fraction = String.raw`(\d+)\s*/\s*(\d+)`
const shape = new RegExp(
  String.raw`^(?:(?:(\d+)(?:\s*-\s*|\s+))?${fraction}|(${number}))\s*(mm|cm|inches|inch|in|")?\.?$`,
)

/**
 * Read a length as printers write it (models.md, M1): `216`, `216 mm`, `21,6cm`, `8.5 in`, `8 1/2"`, `8-1/2`, `¾ in`.
 * A bare number takes `unit`; a bare fraction is inches.
 * @returns mm, or a refusal that repeats what was typed
 * @example
 * readLength('15 1/2', 'in') // { mm: 393.7 }
 */
export function readLength(text: string, unit: LengthUnit): ReadLength {
  const typed = text.trim()
  if (typed === '') return { refused: 'Nothing was typed. Write a length such as 216 mm or 8 1/2".' }
  if (/^[-−–]/.test(typed)) return { refused: `“${typed}” is below zero. A length is zero or more.` }
  const match = shape.exec(plain(typed))
  const unreadable = {
    refused: `“${typed}” cannot be read as a length. Write it like 216 mm, 21.6 cm, 8.5 in or 8 1/2".`,
  }
  if (!match) return unreadable
  const [, whole, above, below, decimal, word] = match
  if (below !== undefined && Number(below) === 0) return unreadable
  const value = decimal !== undefined ? Number(decimal) : Number(whole ?? 0) + Number(above) / Number(below)
  const factor = word !== undefined ? unitWords[word]! : decimal === undefined || unit === 'in' ? mmPerInch : 1
  return { mm: value * factor }
}

/** Rounding that moved a length by more than this is said with ≈. */
const silent = 0.1

/** Halves up, forgiving the last bits that binary fractions leave. */
function nearest(value: number): number {
  return Math.floor(value + 0.5 + 1e-9)
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b)
}

function sixteenths(count: number): string {
  const whole = Math.floor(count / 16)
  const rest = count % 16
  if (rest === 0) return String(whole)
  const shared = greatestCommonDivisor(rest, 16)
  return `${whole > 0 ? `${whole} ` : ''}${rest / shared}/${16 / shared}`
}

/** The figure alone, without its unit: mm to 0.5, inches to the nearest sixteenth, and whether that moved it. */
function figure(mm: number, unit: LengthUnit): { text: string; moved: boolean } {
  const shown = unit === 'mm' ? nearest(mm * 2) / 2 : nearest((mm / mmPerInch) * 16) / 16
  const back = unit === 'mm' ? shown : shown * mmPerInch
  return { text: unit === 'mm' ? String(shown) : sixteenths(shown * 16), moved: Math.abs(back - mm) > silent + 1e-9 }
}

/**
 * A length as it is read off a ruler (models.md, M1): `216.5 mm`, `8 7/16"`, with ≈ when rounding moved it by more than 0.1 mm.
 * @param mm zero or more
 */
export function showLength(mm: number, unit: LengthUnit): string {
  const { text, moved } = figure(mm, unit)
  return `${moved ? '≈' : ''}${text}${unit === 'mm' ? ' mm' : '"'}`
}

/**
 * Two sides and their unit once: `300 × 230 mm`, `≈11 13/16 × 9 1/16"`.
 * @example
 * showSize(760, 560, 'mm') // '760 × 560 mm'
 */
export function showSize(width: number, height: number, unit: LengthUnit): string {
  const sides = [figure(width, unit), figure(height, unit)]
  return `${sides.some((side) => side.moved) ? '≈' : ''}${sides.map((side) => side.text).join(' × ')}${unit === 'mm' ? ' mm' : '"'}`
}

/**
 * A thickness as it is read off a caliper, which a ruler's rounding would lose: mm to 0.01, inches to 0.001.
 * @param mm zero or more
 */
export function showThickness(mm: number, unit: LengthUnit): string {
  return unit === 'mm' ? `${nearest(mm * 100) / 100} mm` : `${nearest((mm / mmPerInch) * 1000) / 1000}"`
}

/** Longest length anyone measures at a press, mm. */
export const longest = 5000
