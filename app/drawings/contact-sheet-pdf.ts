import type { CardPicture } from './recall-pdf'
import { Leaf, type LeafSize } from './leaf'

/** One picture of the sheet, and the lines beneath it. */
export interface Shown {
  picture: CardPicture
  lines: string[]
}

const columns = 3
const gap = 6
/** How high a picture may stand, mm. */
const tallest = 52
const line = 4.4

/** All prints of a class on as few pages as they take, three in a row, each with whose it is. */
export async function contactSheetPdf(
  title: string,
  subtitle: string,
  shown: readonly Shown[],
  size: LeafSize,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, title)
  leaf.text(title, 20, 'heading')
  leaf.text(subtitle, 10)
  leaf.gap(4)
  const wide = (leaf.inner - gap * (columns - 1)) / columns
  for (let i = 0; i < shown.length; i += columns) {
    const row = shown.slice(i, i + columns)
    const scales = row.map(({ picture }) => Math.min(wide / picture.width, tallest / picture.height))
    const high = Math.max(...row.map(({ picture }, j) => picture.height * scales[j]!))
    const lines = Math.max(...row.map((one) => one.lines.length))
    leaf.room(high + lines * line + gap)
    row.forEach(({ picture, lines: words }, j) => {
      const x = leaf.left + j * (wide + gap)
      const [w, h] = [picture.width * scales[j]!, picture.height * scales[j]!]
      // They stand on one line, as prints on a shelf.
      leaf.pdf.addImage(picture.data, 'JPEG', x, leaf.y + high - h, w, h)
      words.forEach((text, k) =>
        leaf.at(text, x, leaf.y + high + 1.5 + k * line, wide, 8.5, k === 0 ? 'strong' : 'body'),
      )
    })
    leaf.gap(high + lines * line + gap)
  }
  return leaf.finish()
}

/** A list of a class with a column for each line of a student. */
export async function classListPdf(
  title: string,
  subtitle: string,
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  size: LeafSize,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, title)
  leaf.text(title, 20, 'heading')
  leaf.text(subtitle, 10)
  leaf.gap(4)
  const first = 44
  const rest = (leaf.inner - first) / (heads.length - 1)
  const widths = heads.map((_, i) => (i === 0 ? first : rest))
  const head = () => {
    leaf.row(heads, widths, 9, 'strong')
    leaf.rule()
  }
  head()
  for (const cells of rows) {
    if (leaf.room(7)) head()
    leaf.row(cells, widths)
    leaf.gap(1)
  }
  return leaf.finish()
}
