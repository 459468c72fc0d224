import { date } from '~/format/days'
import type { jsPDF } from 'jspdf'
import { packingHeight } from '#core/press/stack'
import type { RecallCard } from '#core/run/recall'
import { drawCode } from './card-pdf'
import { latin, newPdf } from './pdf-file'
import { pluralise } from '#core/units/pluralise'

/** A picture for the card, as a page takes it. */
export interface CardPicture {
  data: Uint8Array
  width: number
  height: number
}

const papers = { A4: [210, 297], Letter: [215.9, 279.4] } as const
export type CardPaper = keyof typeof papers

const margin = 14
const gap = 8
/** Type sizes that are tried, the largest that fits the page is taken. pt */
const sizes = [12.5, 11.5, 10.5, 9.5, 8.5, 7.5, 6.5]

/** Heading and lines of each part, in the order one works. */
export function recallParts(card: RecallCard): { title: string; lines: string[] }[] {
  return [
    {
      title: 'Set the press',
      lines: [
        card.setup?.pressName ?? '',
        ...card.setting,
        card.asSet && `Set then: ${card.asSet}.`,
        card.setup?.note ?? '',
      ],
    },
    {
      title: 'Ink',
      lines: card.inks.flatMap(({ zone, name, family, recipe, left }) => [
        `${zone}: ${name}, ${family}; ${left}.`,
        `   ${recipe.map(({ name: part, percent }) => `${part} ${percent} %`).join(', ')}`,
      ]),
    },
    { title: 'Each impression', lines: [...card.routine.map((step, i) => `${i + 1}. ${step}`), ...card.chores] },
    { title: 'Register', lines: card.register },
    { title: 'Block', lines: card.block },
    {
      title: 'What went wrong, what mended it',
      lines: card.faults.map(
        ({ words, times, mended }) =>
          `${words}, ${pluralise(times, 'time')}${mended.length > 0 ? `; mended by ${mended.join(', ')}` : ''}`,
      ),
    },
  ]
    .map(({ title, lines }) => ({ title, lines: lines.filter((line) => line !== '') }))
    .filter(({ lines }) => lines.length > 0)
}

/** The stack in section, thickness to scale. @returns how high it came out, mm */
function drawStack(pdf: jsPDF, { setup }: RecallCard, x: number, y: number, width: number): number {
  if (!setup) return 0
  const layers = [
    ...setup.packing
      .map((piece) => ({
        name: `${piece.count > 1 ? `${piece.count} × ` : ''}${piece.name}`,
        mm: packingHeight([piece]),
      }))
      .reverse(),
    { name: 'the sheet', mm: setup.sheet ?? 0 },
    ...(setup.block ? [{ name: setup.block.name, mm: setup.block.thickness }] : []),
  ]
  const whole = layers.reduce((sum, { mm }) => sum + mm, 0)
  const scale = 26 / Math.max(1, whole)
  pdf.setFontSize(8)
  pdf.setLineWidth(0.2)
  pdf.setLineDashPattern([], 0)
  let from = y
  let said = y - 4
  for (const { name, mm } of layers) {
    const height = Math.max(1.2, mm * scale)
    said = Math.max(said + 4, from + height / 2 + 1)
    pdf.rect(x, from, width * 0.42, height, 'S')
    pdf.line(x + width * 0.42, from + height / 2, x + width * 0.46, said - 1)
    pdf.text(latin(`${name}${mm > 0 ? `, ${Math.round(mm * 100) / 100} mm` : ''}`), x + width * 0.48, said)
    from += height + 0.4
  }
  pdf.setFillColor(40, 40, 40)
  pdf.rect(x - 2, from, width * 0.42 + 4, 2, 'F')
  return Math.max(from + 2, said) - y
}

/**
 * One layer on one page, from which another printer could print it again: text in two columns, the stack to scale, the
 * standard's picture, and a code that opens the bench at this layer.
 */
export function recallPdf(card: RecallCard, link: string, paper: CardPaper, picture: CardPicture | null): ArrayBuffer {
  const [width, height] = papers[paper]
  const pdf = newPdf(width, height, `${card.title}, ${card.layer.name}`)
  const column = (width - 2 * margin - gap) / 2
  pdf.setFont('helvetica', 'bold')
  pdf.setFontSize(19)
  const heading = pdf.splitTextToSize(latin(card.title), width - 2 * margin - 34) as string[]
  pdf.text(heading.slice(0, 2), margin, margin + 6)
  pdf.setFontSize(12)
  const under = margin + 6 + 8 * Math.min(2, heading.length)
  pdf.text(latin(`Layer ${card.layer.number} of ${card.layer.of}: ${card.layer.name}`), margin, under)
  pdf.setFont('helvetica', 'normal')
  pdf.setFontSize(9)
  if (card.standard)
    pdf.text(
      latin(`The ${card.standard.word} is pull ${card.standard.ordinal}, approved ${date(card.standard.at)}.`),
      margin,
      under + 5,
    )
  drawCode(pdf, link, width - margin - 30, margin - 4, 30)
  const top = Math.max(under + 12, margin + 32)
  const left = top + drawStack(pdf, card, margin + 2, top, column) + 6
  let right = top
  if (picture) {
    const scale = Math.min(column / picture.width, 60 / picture.height)
    pdf.addImage(picture.data, 'JPEG', width - margin - column, top, picture.width * scale, picture.height * scale)
    right += picture.height * scale + 6
  }
  const parts = recallParts(card)
  const begin = { left, right, bottom: height - margin }
  const tried = sizes.map((size) => placed(pdf, parts, size, column, begin))
  const { size, places } = tried.find(({ isFull }) => !isFull) ?? tried.at(-1)!
  for (const { part, isLeft, y } of places)
    writePart(pdf, part, size, isLeft ? margin : width - margin - column, y, column)
  pdf.setFontSize(6.5)
  pdf.text(latin(link), width - margin, height - 6, { align: 'right' })
  return pdf.output('arraybuffer')
}

type Part = ReturnType<typeof recallParts>[number]
const lineHigh = (size: number) => size * 0.45

function linesOf(pdf: jsPDF, { lines }: Part, size: number, column: number): string[] {
  pdf.setFont('helvetica', 'normal')
  pdf.setFontSize(size)
  return lines.flatMap((line) => pdf.splitTextToSize(latin(line), column) as string[])
}

const highOf = (pdf: jsPDF, part: Part, size: number, column: number) =>
  (linesOf(pdf, part, size, column).length + 2.2) * lineHigh(size)

/** Where each part goes at a type size: the first beneath the stack it is about, the others where there is more room. */
function placed(
  pdf: jsPDF,
  parts: Part[],
  size: number,
  column: number,
  begin: { left: number; right: number; bottom: number },
) {
  let { left, right } = begin
  const places = parts.map((part, i) => {
    const isLeft = i === 0 || left <= right
    const y = isLeft ? left : right
    const high = highOf(pdf, part, size, column)
    if (isLeft) left += high
    else right += high
    return { part, isLeft, y }
  })
  return { size, places, isFull: Math.max(left, right) > begin.bottom }
}

function writePart(pdf: jsPDF, part: Part, size: number, x: number, y: number, column: number): void {
  const lines = linesOf(pdf, part, size, column)
  pdf.setFont('helvetica', 'bold')
  pdf.setFontSize(size + 1)
  pdf.text(latin(part.title), x, y + lineHigh(size))
  pdf.setFont('helvetica', 'normal')
  pdf.setFontSize(size)
  lines.forEach((line, i) => pdf.text(line, x, y + lineHigh(size) * (i + 2.2)))
}
