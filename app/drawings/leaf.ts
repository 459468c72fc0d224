import type { jsPDF } from 'jspdf'
import type { Fact } from '#core/edition/record-facts'
import { embedFaces, type Face, lackingIn } from './pdf-fonts'
import { newPdf } from './pdf-file'

export const leafSizes = { A4: [210, 297], Letter: [215.9, 279.4] } as const
export type LeafSize = keyof typeof leafSizes

const margin = 20
const pointsPerMm = 72 / 25.4
/** From one line to the next, as a share of the size of its letters. */
const leading = 1.35

/** Said where the faces of the papers lack a letter: nothing is printed wrongly. */
export class LackingLetters extends Error {
  constructor(readonly letters: string[]) {
    super(
      `The typeface of the papers has no “${letters.join('”, “')}”. Print the page itself, which takes the letters of this device, or write it otherwise.`,
    )
  }
}

/** A paper being set, line by line, page after page, in the room's own faces. */
export class Leaf {
  y = margin
  readonly width: number
  readonly height: number
  private lacking = new Set<string>()

  private constructor(
    readonly pdf: jsPDF,
    private readonly foot: string,
  ) {
    this.width = pdf.internal.pageSize.getWidth()
    this.height = pdf.internal.pageSize.getHeight()
  }

  static async of(size: LeafSize, title: string): Promise<Leaf> {
    const [width, height] = leafSizes[size]
    const pdf = newPdf(width, height, title)
    await embedFaces(pdf)
    return new Leaf(pdf, title)
  }

  get left(): number {
    return margin
  }

  get inner(): number {
    return this.width - 2 * margin
  }

  newPage(): void {
    this.pdf.addPage([this.width, this.height])
    this.y = margin
  }

  /** Room for so much, mm, on this page or the next. @returns true when it went to the next */
  room(high: number): boolean {
    if (this.y + high <= this.height - margin) return false
    this.newPage()
    return true
  }

  private set(face: Face, size: number, text: string): void {
    for (const letter of lackingIn(this.pdf, face, text)) this.lacking.add(letter)
    this.pdf.setFont(face, 'normal')
    this.pdf.setFontSize(size)
  }

  /** Lines of a text as wide as given, at a place, y left as it is. @returns how high it came out, mm */
  at(text: string, x: number, y: number, width: number, size: number, face: Face = 'body'): number {
    this.set(face, size, text)
    const lines = this.pdf.splitTextToSize(text, width) as string[]
    const step = (size * leading) / pointsPerMm
    lines.forEach((line, i) => this.pdf.text(line, x, y + step * (i + 0.8)))
    return lines.length * step
  }

  /** How wide a text is, mm. */
  widthOf(text: string, size: number, face: Face): number {
    this.set(face, size, text)
    return this.pdf.getTextWidth(text)
  }

  /** A paragraph over the whole width. */
  text(text: string, size = 10, face: Face = 'body'): void {
    if (text === '') return
    this.set(face, size, text)
    for (const line of this.pdf.splitTextToSize(text, this.inner) as string[]) {
      const step = (size * leading) / pointsPerMm
      this.room(step)
      this.pdf.text(line, margin, this.y + step * 0.8)
      this.y += step
    }
  }

  gap(mm: number): void {
    this.y += mm
  }

  rule(): void {
    this.pdf.setLineWidth(0.2)
    this.pdf.line(margin, this.y, this.width - margin, this.y)
    this.y += 2
  }

  /** A fact: its term at the left, its lines beside it. */
  fact({ term, lines }: Fact, size = 10): void {
    const column = 38
    const step = (size * leading) / pointsPerMm
    this.set('body', size, lines.join(' '))
    const wrapped = lines.flatMap((line) => this.pdf.splitTextToSize(line, this.inner - column) as string[])
    this.room(step * Math.min(wrapped.length, 3))
    this.at(term, margin, this.y, column - 4, size, 'strong')
    this.set('body', size, '')
    for (const line of wrapped) {
      this.room(step)
      this.set('body', size, line)
      this.pdf.text(line, margin + column, this.y + step * 0.8)
      this.y += step
    }
    this.y += 1.6
  }

  /** One row of a table: each cell cut to its column, the face of each as given. */
  row(cells: readonly string[], columns: readonly number[], size = 9, face: Face = 'body'): void {
    const step = (size * leading * 1.15) / pointsPerMm
    let x = margin
    cells.forEach((cell, i) => {
      this.set(face, size, cell)
      const [first = ''] = this.pdf.splitTextToSize(cell, columns[i]! - 2) as string[]
      this.pdf.text(first, x, this.y + step * 0.75)
      x += columns[i]!
    })
    this.y += step
  }

  /** Number the pages and hand the file over. @throws LackingLetters where a letter could not be set */
  finish(): ArrayBuffer {
    if (this.lacking.size > 0) throw new LackingLetters([...this.lacking])
    const pages = this.pdf.getNumberOfPages()
    this.pdf.setFont('body', 'normal')
    this.pdf.setFontSize(8)
    for (let page = 1; page <= pages; page++) {
      this.pdf.setPage(page)
      this.pdf.text(`${this.foot}   ${page} of ${pages}`, this.width - margin, this.height - 10, { align: 'right' })
    }
    return this.pdf.output('arraybuffer')
  }
}
