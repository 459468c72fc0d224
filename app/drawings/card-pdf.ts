import type { jsPDF } from 'jspdf'
import { linkCode } from './link-code'
import { latin, newPdf } from './pdf-file'

/** The quiet edge a code wants around it, in its squares. */
const quiet = 4

/** A link's code on a page, with its quiet edge. mm. */
export function drawCode(pdf: jsPDF, link: string, x: number, y: number, edge: number): void {
  const { size, runs } = linkCode(link)
  const square = edge / (size + 2 * quiet)
  pdf.setFillColor(0, 0, 0)
  for (const run of runs)
    pdf.rect(x + (run.x + quiet) * square, y + (run.y + quiet) * square, run.length * square, square, 'F')
}

/** The card that hangs at a station, A6 upright: its name, what to do, and the code that opens its page. */
export function stationCardPdf(name: string, link: string): ArrayBuffer {
  const [width, height] = [105, 148]
  const pdf = newPdf(width, height, name)
  pdf.setFont('helvetica', 'bold')
  pdf.setFontSize(22)
  const title = (pdf.splitTextToSize(latin(name), width - 20) as string[]).slice(0, 2)
  pdf.text(title, width / 2, 20, { align: 'center' })
  drawCode(pdf, link, (width - 75) / 2, 32, 75)
  pdf.setFont('helvetica', 'normal')
  pdf.setFontSize(11)
  pdf.text(['Open your session when you come,', 'close it when you leave.'], width / 2, 118, { align: 'center' })
  pdf.setFontSize(7)
  pdf.text(pdf.splitTextToSize(latin(link), width - 16) as string[], width / 2, 138, { align: 'center' })
  return pdf.output('arraybuffer')
}
