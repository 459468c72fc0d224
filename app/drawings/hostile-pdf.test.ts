import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it, vi } from 'vitest'
import type { EditionRecord } from '#core/edition/record'
import { segment, words } from '#core/drawing/shapes'
import { pages } from '#core/drawing/tiles'
import { allocate, candidatesFor } from '#core/edition/allocate'
import { editionRecord } from '#core/edition/record'
import { emptyStudio } from '#core/stores/studio/state'
import { bare, pdfTexts, pdfWords } from '../../tests/fixtures/pdf-texts'
import { PressTable } from '../../tests/fixtures/press-table'
import { stationCardPdf } from './card-pdf'
import { classListPdf } from './contact-sheet-pdf'
import { LackingLetters } from './leaf'
import { certificatesPdf, labelsPdf, recordPdf, signingListPdf } from './papers-pdf'
import { textPdf } from './pdf-file'
import { recallPdf } from './recall-pdf'
import { statementsPdf } from './statements-pdf'

// Faces are fetched by address in a browser; here they lie beside.
const lying = (url: string) => (url.startsWith('/@fs/') ? url.slice('/@fs'.length) : join(process.cwd(), url))
vi.stubGlobal('fetch', (url: string) => Promise.resolve(new Response(readFileSync(lying(url)))))

const writing = { size: () => '1 × 1', day: (iso: string) => iso.slice(0, 10) }
const soon = () => Promise.resolve()

function printed(): EditionRecord {
  const table = new PressTable({ size: 2, sizeSchool: 'declared' }).tear(2)
  table.pull(1)
  table.pull(2)
  table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2] })
  table.must('curate-run', { sheetIds: [1, 2], verdict: 'good', reason: '' })
  table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
  return editionRecord(table.edition, emptyStudio(), () => 'p', 'UTC')
}
const record = printed()

/** Whatever of a record is written by hand says this. */
const saying = (text: string): EditionRecord => ({
  ...record,
  title: text,
  studio: text,
  artist: text,
  printers: [text],
  colours: [text],
  closingNote: text,
  paper: record.paper.map((paper) => ({ ...paper, name: text })),
  layers: record.layers.map((layer) => ({ ...layer, name: text, press: text, packing: text, inks: [text] })),
  amendments: [{ size: 3, reason: text, at: '2026-11-02T09:00:00.000Z', by: text }],
})

/** Made by the program, not written by anybody. */
const link = 'https://room.example/bench/e?layer=l3'
const line = { left: '', middle: '', right: '' }
const numbers = ['1/2', '2/2']
const recall = (text: string) => ({
  title: text,
  layer: { id: 'l', name: text, number: 1, of: 1 },
  standard: { word: text, ordinal: 1, at: '2026-11-02T09:00:00.000Z', pictureId: null },
  setup: null,
  setting: [text],
  asSet: text,
  inks: [{ zone: text, name: text, family: text, recipe: [{ name: text, percent: 100 }], left: text }],
  routine: [text],
  chores: [text],
  register: [text],
  faults: [{ words: text, times: 1, mended: [text] }],
  block: [text],
})
const statement = (text: string) => ({
  key: text,
  lines: [
    {
      at: '2026-11-02',
      personId: 'p',
      what: text,
      editionStream: null,
      cents: 1,
      isReckoned: false,
      isUnpriced: false,
      settledBy: null,
    },
  ],
  cents: 1,
  open: 1,
})
const said = (text: string) => ({
  heading: text,
  span: text,
  money: () => text,
  titleOf: () => text,
  nameOf: () => text,
})

/** No field takes more. */
const longest = 2_000

/** Every paper there is, of one text wherever somebody may write. */
const papers: Record<string, (text: string) => Promise<ArrayBuffer> | ArrayBuffer> = {
  record: (text) => recordPdf(saying(text), 'A4', writing, soon),
  certificates: (text) => certificatesPdf(saying(text), numbers, 'A4', writing, soon),
  labels: (text) => labelsPdf(saying(text), numbers, 'A4'),
  'signing list': (text) =>
    signingListPdf(
      text,
      [{ sheet: 1, signed: true, line: { ...line, left: text, middle: text, right: text } as never }],
      'A4',
    ),
  'statement of charges': (text) => statementsPdf([statement(text) as never], said(text), 'A4'),
  'list of a class': (text) => classListPdf(text, text, [text, text], [[text, text]], 'A4'),
  'recall card': (text) => recallPdf(recall(text) as never, link, 'A4', null),
  'card of a station': (text) => stationCardPdf(text, link),
  'tear sheet': (text) =>
    textPdf(
      text,
      { width: 90, height: 90, shapes: [segment('tear', [0, 5], [9, 5]), words(text, 2, 4)] },
      [text],
      pages.A4,
    ),
}

it.each(Object.entries(papers))('%s with texts that look like PDF is the same with other words', async (_, made) => {
  const plain = bare(await made('Salt'))
  for (const text of pdfTexts) {
    const pdf = bare(await made(text))
    for (const word of pdfWords)
      expect([text, word, pdf.split(word).length]).toEqual([text, word, plain.split(word).length])
  }
})

it.each(Object.entries(papers))(
  'a %s with a text without end, or of letters no face has, is made or says why',
  async (_, made) => {
    for (const text of [
      'x'.repeat(longest),
      'wide words '.repeat(longest / 10),
      '\u202egnp.exe',
      '\u0000\u0007',
      '港🖨️',
    ]) {
      const began = Date.now()
      try {
        expect((await made(text)).byteLength).toBeGreaterThan(500)
      } catch (error) {
        expect(error).toBeInstanceOf(LackingLetters)
      }
      expect(Date.now() - began).toBeLessThan(20_000)
    }
  },
)
