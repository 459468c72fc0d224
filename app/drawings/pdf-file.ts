import { jsPDF } from 'jspdf'
import { type Drawing, pens, type Shape } from '#core/drawing/shapes'
import { type Page, tile } from '#core/drawing/tiles'

const pointsPerMm = 72 / 25.4

/** The fonts every PDF reader has know Latin letters only; others lose their marks, or are shown as a question mark. */
export function latin(text: string): string {
  return [...text]
    .map((sign) => {
      if (/[\u0020-\u007e\u00a0-\u00ff\u2013\u2014\u2018-\u201d\u2022\u2026\u20ac]/.test(sign)) return sign
      if (sign === '≈') return '~'
      const bare = sign.normalize('NFKD').replace(/[\u0300-\u036f]/g, '')
      return /^[\u0020-\u007e]+$/.test(bare) ? bare : '?'
    })
    .join('')
}

function draw(pdf: jsPDF, shape: Shape): void {
  const { width, dash } = pens[shape.pen]
  if (shape.kind === 'text') {
    pdf.setFontSize(shape.size * pointsPerMm)
    pdf.text(latin(shape.text), shape.x, shape.y, {
      align: shape.anchor === 'start' ? 'left' : shape.anchor === 'end' ? 'right' : 'center',
    })
    return
  }
  pdf.setLineWidth(width)
  pdf.setLineDashPattern(dash, 0)
  if (shape.kind === 'circle') return void pdf.circle(shape.x, shape.y, shape.radius, 'S')
  const ends = shape.closed ? [...shape.points.slice(1), shape.points[0]!] : shape.points.slice(1)
  ends.forEach(([x, y], i) => pdf.line(shape.points[i]![0], shape.points[i]![1], x, y))
}

export function newPdf(width: number, height: number, title: string): jsPDF {
  const pdf = new jsPDF({
    unit: 'mm',
    format: [width, height],
    orientation: width > height ? 'landscape' : 'portrait',
    compress: false,
  })
  pdf.setProperties({ title: latin(title), creator: 'Ample Tally' })
  pdf.viewerPreferences({ PrintScaling: 'None' })
  return pdf
}

/** A drawing as a PDF at full size, on as many pages as it takes, overlapping and with match marks. */
export function pdfFile(drawing: Drawing, page: Page, title: string): ArrayBuffer {
  const { pageWidth, pageHeight, tiles } = tile(drawing, page)
  const pdf = newPdf(pageWidth, pageHeight, title)
  tiles.forEach((shown, i) => {
    if (i > 0) pdf.addPage([pageWidth, pageHeight], pageWidth > pageHeight ? 'landscape' : 'portrait')
    for (const shape of shown.shapes) draw(pdf, shape)
  })
  return pdf.output('arraybuffer')
}

/** A page with a heading, a drawing fitted to it, and lines of text beneath: the sheet taken to the paper table. */
export function textPdf(heading: string, drawing: Drawing, lines: readonly string[], page: Page): ArrayBuffer {
  const pdf = newPdf(page.width, page.height, heading)
  const left = page.edge + 8
  pdf.setFont('helvetica', 'bold')
  pdf.setFontSize(15)
  pdf.text(latin(heading), left, 20)
  pdf.setFont('helvetica', 'normal')
  for (const shape of drawing.shapes)
    draw(
      pdf,
      shape.kind === 'line'
        ? { ...shape, points: shape.points.map(([x, y]) => [x + left, y + 27]) }
        : { ...shape, x: shape.x + left, y: shape.y + 27 },
    )
  let y = drawing.height + 38
  pdf.setFontSize(10)
  for (const line of lines.flatMap((given) => pdf.splitTextToSize(latin(given), page.width - 2 * left) as string[])) {
    if (y > page.height - 14) {
      pdf.addPage([page.width, page.height])
      y = 20
    }
    pdf.text(line, left, y)
    y += 5
  }
  return pdf.output('arraybuffer')
}
