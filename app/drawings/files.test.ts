import { describe, expect, it } from 'vitest'
import { pages, tile } from '#core/drawing/tiles'
import { segment, words } from '#core/drawing/shapes'
import { checkRule, jigOf, registrationSheet, type RegisterPlan } from '#core/register/registration'
import { latin, pdfFile, textPdf } from './pdf-file'
import { svgFile } from './svg-file'

const plan: RegisterPlan = {
  sheet: { width: 160, height: 130 },
  outline: { left: 22, top: 18, width: 110, height: 80 },
  image: { left: 6, top: 5, width: 98, height: 70 },
  rotation: 1.5,
  meeting: 'paper onto block',
  mat: { left: 26, top: 21, width: 102, height: 74 },
  series: { topLine: 23, footLine: 37 },
  stops: 20,
  pins: [{ x: 40, y: 6, diameter: 6, height: null }],
  more: [],
}
/** Room round the sheet on the drawing, and what a printer leaves blank. */
const offset = 14 + pages.A4.edge

interface PdfPage {
  width: number
  height: number
  lines: [number, number, number, number][]
}

/** Read a PDF by itself: each page's size and its straight lines, in mm from the upper left corner. */
function readPdf(file: ArrayBuffer): PdfPage[] {
  const text = Buffer.from(file).toString('latin1')
  const mm = (points: string) => (Number(points) / 72) * 25.4
  const sizes = [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((found) => ({
    width: mm(found[1]!),
    height: mm(found[2]!),
  }))
  const streams = [...text.matchAll(/stream\r?\n([\s\S]*?)endstream/g)]
    .map((found) => found[1]!)
    .filter((stream) => / l\s/.test(stream))
  return streams.map((stream, i) => ({
    ...sizes[i]!,
    lines: [...stream.matchAll(/(-?[\d.]+) (-?[\d.]+) m\s+(-?[\d.]+) (-?[\d.]+) l\s+S/g)].map(
      ([, x1, y1, x2, y2]) =>
        [mm(x1!), sizes[i]!.height - mm(y1!), mm(x2!), sizes[i]!.height - mm(y2!)] as [number, number, number, number],
    ),
  }))
}

const near = (a: readonly number[], b: readonly number[]) => a.every((value, i) => Math.abs(value - b[i]!) < 0.1)
const hasLine = (page: PdfPage, x1: number, y1: number, x2: number, y2: number) =>
  page.lines.some((line) => near(line, [x1, y1, x2, y2]) || near(line, [x2, y2, x1, y1]))

describe('the registration sheet as a PDF', () => {
  it('has every edge where the plan has it, to 0.1 mm', () => {
    const [page, ...more] = readPdf(pdfFile(registrationSheet(plan, 'Tide Gauge'), pages.A4, 'Tide Gauge'))
    expect(more).toEqual([])
    expect(page!.width).toBeCloseTo(210, 1)
    const jig = jigOf(plan)
    for (const corners of [jig.sheet, jig.outline, jig.image, jig.mat!]) {
      corners.forEach(([x, y], i) => {
        const [x2, y2] = corners[(i + 1) % 4]!
        expect(hasLine(page!, x + offset, y + offset, x2 + offset, y2 + offset), `${x},${y} to ${x2},${y2}`).toBe(true)
      })
    }
    for (const [[x1, y1], [x2, y2]] of [...jig.seriesLines, ...jig.stops])
      expect(hasLine(page!, x1 + offset, y1 + offset, x2 + offset, y2 + offset)).toBe(true)
    const rule = page!.lines.find(
      ([x1, y1, x2, y2]) => Math.abs(y1 - y2) < 0.01 && Math.abs(Math.abs(x2 - x1) - checkRule) < 0.1,
    )
    expect(rule).toBeDefined()
  })

  it('is mirrored when the paper is laid onto the block, and not otherwise', () => {
    const straight = { ...plan, rotation: 0 }
    const left = (meeting: RegisterPlan['meeting']) => {
      const [page] = readPdf(pdfFile(registrationSheet({ ...straight, meeting }, 'x'), pages.A4, 'x'))
      const upright = page!.lines.filter(
        ([x1, y1, x2, y2]) => Math.abs(x1 - x2) < 0.01 && Math.abs(Math.abs(y1 - y2) - 80) < 0.1,
      )
      return Math.min(...upright.map(([x]) => x)) - offset
    }
    expect(left('block onto paper')).toBeCloseTo(22, 1)
    expect(left('paper onto block')).toBeCloseTo(160 - 22 - 110, 1)
  })

  it('comes on several pages at full size, whose pieces meet', () => {
    const large = {
      ...plan,
      sheet: { width: 420, height: 320 },
      outline: { left: 60, top: 50, width: 300, height: 200 },
      image: { left: 0, top: 0, width: 300, height: 200 },
      rotation: 0,
      mat: null,
    }
    const drawing = registrationSheet(large, 'Weighbridge')
    const { tiles, pageWidth, pageHeight } = tile(drawing, pages.Letter)
    const read = readPdf(pdfFile(drawing, pages.Letter, 'Weighbridge'))
    expect(read).toHaveLength(tiles.length)
    // The sheet's upper edge, put together from the pages of the first row.
    const step = pageWidth - 2 * pages.Letter.edge - 10
    const pieces = tiles.flatMap((shown, i) =>
      shown.row > 0
        ? []
        : read[i]!.lines.filter(([, y1, , y2]) => Math.abs(y1 - offset) < 0.1 && Math.abs(y2 - offset) < 0.1).map(
            ([x1, , x2]) => [Math.min(x1, x2) + shown.column * step, Math.max(x1, x2) + shown.column * step] as const,
          ),
    )
    const longest = pieces.filter(([from, to]) => to - from > 20).sort((a, b) => a[0] - b[0])
    expect(longest[0]![0]).toBeCloseTo(offset, 1)
    expect(Math.max(...longest.map(([, to]) => to))).toBeCloseTo(offset + 420, 1)
    expect(pageHeight).toBeGreaterThan(200)
  })
})

describe('the tear sheet as a PDF', () => {
  it('breaks its lines over as many pages as they take', () => {
    const file = textPdf(
      'Tear sheet',
      { width: 150, height: 100, shapes: [segment('tear', [0, 50], [150, 50]), words('T1', 2, 48)] },
      Array.from({ length: 90 }, (_, i) => `${i + 1}. a tear`),
      pages.A4,
    )
    const text = Buffer.from(file).toString('latin1')
    expect(text.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(2)
    expect(text).toContain('(90. a tear)')
  })

  it('of texts that look like PDF is the same PDF with other words', () => {
    const made = (text: string) => {
      const drawing = { width: 150, height: 100, shapes: [words(text, 2, 48)] }
      return Buffer.from(textPdf(text, drawing, [text], pages.A4)).toString('latin1')
    }
    /** What stands outside of written texts, which is what a reader of PDF acts on. */
    const bare = (pdf: string) => pdf.replace(/\((?:\\[^]|[^()\\])*\)/g, '()')
    const plain = bare(made('Salt'))
    for (const text of [
      ') Tj ET endstream endobj 9 0 obj <</S/JavaScript/JS(app.alert(1))>> endobj',
      '\\) /OpenAction <</S/JavaScript>>',
      'a\nendobj\r9 0 obj',
      '%PDF-1.7 %%EOF',
      '<</Launch/F(x)>>',
      '\u202egnp.exe',
      '(((',
      '\\\\\\',
    ]) {
      const pdf = bare(made(text))
      for (const word of ['JavaScript', '/JS', '/Launch', 'OpenAction', '%%EOF', 'endobj', 'endstream'])
        expect([text, word, pdf.split(word).length]).toEqual([text, word, plain.split(word).length])
    }
  })

  it('writes what its letters can', () => {
    expect(latin('Ærø, “Łódź” ≈ 5 mm × 3')).toBe('Ærø, “?ódz” ~ 5 mm × 3')
    expect(latin('港')).toBe('?')
  })
})

describe('the registration sheet as SVG', () => {
  it('is one unit to the millimetre, its words escaped', () => {
    const svg = svgFile(registrationSheet(plan, 'Salt & <Tar>'), 'Salt & <Tar>')
    expect(svg).toContain('width="188mm" height="172mm" viewBox="0 0 188 172"')
    expect(svg).toContain('<title>Salt &amp; &lt;Tar&gt;</title>')
    const [x, y] = jigOf(plan).outline[0]!
    expect(svg).toContain(`points="${Math.round((x + 14) * 1000) / 1000},${Math.round((y + 14) * 1000) / 1000} `)
  })
})
