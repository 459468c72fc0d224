import type { EditionRecord } from '#core/edition/record'
import { certificateFacts, recordFacts, type Writing } from '#core/edition/record-facts'
import type { PencilLine } from '#core/print/pencil-line'
import { Leaf, type LeafSize } from './leaf'
import { labelLines, law, subtitle } from './papers-words'

/** Told how much of a paper is set, from 0 to 1; awaited, so that the page stays alive. */
export type Progress = (share: number) => Promise<void>
const everyRows = 40

/** The edition record: its facts, and one line for each numbered print. */
export async function recordPdf(
  record: EditionRecord,
  size: LeafSize,
  writing: Writing,
  progress: Progress,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, record.title)
  leaf.text(record.title, 22, 'heading')
  leaf.text(subtitle(record), 11)
  leaf.text(record.studio, 11)
  leaf.gap(5)
  leaf.rule()
  for (const fact of recordFacts(record, writing)) leaf.fact(fact)
  leaf.gap(4)
  const columns = [26, 18, 46, 22, 24, leaf.inner - 136]
  const head = () => {
    leaf.row(['Number', 'Sheet', 'Paper', 'Pulls', 'Signed', 'Left'], columns, 9, 'strong')
    leaf.rule()
  }
  const numbered = record.sheets.filter(({ number }) => number !== '')
  leaf.room(24)
  head()
  for (const [i, line] of numbered.entries()) {
    if (leaf.room(6)) head()
    leaf.row(
      [
        line.number,
        String(line.sheet),
        line.paper,
        line.pulls,
        line.place === 'destroyed' ? 'destroyed' : line.signed,
        line.left,
      ],
      columns,
    )
    if (i % everyRows === everyRows - 1) await progress((i + 1) / numbered.length)
  }
  leaf.gap(5)
  leaf.text(law, 8)
  return leaf.finish()
}

/** A certificate for each of these numbers, a page each. */
export async function certificatesPdf(
  record: EditionRecord,
  numbers: readonly string[],
  size: LeafSize,
  writing: Writing,
  progress: Progress,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, `Certificate, ${record.title}`)
  for (const [i, number] of numbers.entries()) {
    if (i > 0) leaf.newPage()
    leaf.gap(18)
    leaf.text('Certificate', 12, 'strong')
    leaf.gap(4)
    leaf.text(record.title, 26, 'heading')
    leaf.text(subtitle(record), 12)
    leaf.gap(10)
    leaf.rule()
    leaf.gap(2)
    for (const fact of certificateFacts(record, number, writing)) leaf.fact(fact, 11)
    leaf.gap(16)
    leaf.pdf.setLineWidth(0.2)
    leaf.pdf.line(leaf.left, leaf.y, leaf.left + 80, leaf.y)
    leaf.pdf.line(leaf.left + 96, leaf.y, leaf.left + leaf.inner, leaf.y)
    leaf.at(`for ${record.studio}`, leaf.left, leaf.y + 1, 80, 9)
    leaf.at('on', leaf.left + 96, leaf.y + 1, 40, 9)
    leaf.gap(14)
    leaf.text(law, 8)
    if (i % everyRows === everyRows - 1) await progress((i + 1) / numbers.length)
  }
  return leaf.finish()
}

/** Labels, two to a row, for the backs of mats and for drawers. */
export async function labelsPdf(
  record: EditionRecord,
  numbers: readonly string[],
  size: LeafSize,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, `Labels, ${record.title}`)
  const [across, high] = [2, 36]
  const wide = leaf.inner / across
  for (const [i, number] of numbers.entries()) {
    const column = i % across
    if (column === 0) leaf.room(high)
    const x = leaf.left + column * wide
    leaf.pdf.setLineWidth(0.1)
    leaf.pdf.rect(x, leaf.y, wide - 4, high - 4)
    let y = leaf.y + 3
    const [title, artist, print, paper] = labelLines(record, number)
    y += leaf.at(title, x + 4, y, wide - 12, 13, 'heading')
    y += leaf.at(artist, x + 4, y, wide - 12, 9)
    y += leaf.at(print, x + 4, y, wide - 12, 9, 'strong')
    leaf.at(paper, x + 4, y, wide - 12, 8)
    if (column === across - 1 || i === numbers.length - 1) leaf.y += high
  }
  return leaf.finish()
}

export interface SigningLine {
  sheet: number
  line: PencilLine
  signed: boolean
}

const sheetColumn = 18
const boxColumn = 12
const usualHand = 13

/** Columns as wide as the widest line needs, in whatever order the studio writes; where the page is narrower, a smaller hand. */
function pencilColumns(leaf: Leaf, parts: readonly string[][]): { hand: number; columns: number[] } {
  const widest = [0, 1, 2].map((at) =>
    Math.max(0, ...parts.map((line) => leaf.widthOf(line[at] ?? '', usualHand, 'pencil'))),
  )
  const needed = widest.reduce((sum, width) => sum + width + 4, 0)
  const room = leaf.inner - sheetColumn - boxColumn
  const share = Math.min(1, room / needed)
  const spare = Math.max(0, room - needed) / 3
  return { hand: usualHand * share, columns: widest.map((width) => (width + 4) * share + spare) }
}

/** The list to sign by, in the order of the stack, with the exact lines in a pencil's hand and a box to tick. */
export async function signingListPdf(
  title: string,
  lines: readonly SigningLine[],
  size: LeafSize,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, `Signing list, ${title}`)
  leaf.text(title, 20, 'heading')
  leaf.text(`${lines.filter(({ signed }) => signed).length} of ${lines.length} signed`, 10)
  leaf.gap(5)
  const parts = lines.map(({ line }) => [line.left, line.middle, line.right])
  const { hand, columns } = pencilColumns(leaf, parts)
  for (const [i, { sheet, signed }] of lines.entries()) {
    leaf.room(9)
    const y = leaf.y
    leaf.at(`sheet ${sheet}`, leaf.left, y + 1, sheetColumn, 8)
    let x = leaf.left + sheetColumn
    for (const [at, part] of parts[i]!.entries()) {
      leaf.at(part, x, y, columns[at]!, hand, 'pencil')
      x += columns[at]!
    }
    const box = leaf.left + leaf.inner - 5
    leaf.pdf.setLineWidth(0.25)
    leaf.pdf.rect(box, y + 1, 4.5, 4.5)
    if (signed) {
      leaf.pdf.line(box + 1, y + 3.4, box + 2, y + 4.6)
      leaf.pdf.line(box + 2, y + 4.6, box + 3.8, y + 1.8)
    }
    leaf.y = y + 8.5
  }
  return leaf.finish()
}
