import { expect, it } from 'vitest'
import type { RecallCard } from '#core/run/recall'
import { linkCode } from './link-code'
import { recallPdf } from './recall-pdf'

const card: RecallCard = {
  title: 'Net Loft Stairs',
  layer: { id: 'l3', name: 'slate blue', number: 3, of: 4 },
  standard: { word: 'standard', ordinal: 44, at: '2026-11-02T09:00:00.000Z', pictureId: null },
  setup: {
    pressId: 'p',
    pressName: 'Long press',
    packing: [{ name: 'felt', thickness: 2.4, pieceId: null, count: 1 }],
    block: { name: 'the block', thickness: 23.3 },
    sheet: 0.32,
    nip: 0.3,
    left: { turns: 10, divisions: 5 },
    right: { turns: 10, divisions: 5.5 },
    note: '',
  },
  setting: ['Raise both screws.', 'Lay in the block.'],
  asSet: 'left 10 turns, 5 divisions, right 10 turns, 5.5 divisions from zero',
  inks: [],
  routine: ['mask up: the sky', 'lay the sheet to the stops'],
  chores: [],
  register: ['Stops of 30 mm along two edges.'],
  faults: [{ words: 'salty', times: 3, mended: ['one more pass'] }],
  block: ['the block, kept in the plan chest.'],
}
const text = (file: ArrayBuffer) => Buffer.from(file).toString('latin1')
const pagesOf = (pdf: string) => pdf.match(/\/Type \/Page\b/g)!.length

it('a recall card is one page, with everything on it, on either paper', () => {
  for (const [paper, wide] of [
    ['A4', '595.27'],
    ['Letter', '612.'],
  ] as const) {
    const pdf = text(recallPdf(card, 'https://room.example/bench/e?layer=l3', paper, null))
    expect(pagesOf(pdf)).toBe(1)
    expect(pdf).toContain(`MediaBox [0 0 ${wide}`)
    for (const word of ['Net Loft Stairs', 'slate blue', 'pull 44', 'mask up', 'one more pass', 'plan chest'])
      expect(pdf).toContain(word)
  }
})

it('however much there is to say, it stays on one page, in smaller type', () => {
  const long = { ...card, faults: Array.from({ length: 25 }, () => card.faults[0]!), chores: card.routine }
  const pdf = text(recallPdf({ ...long, register: Array(20).fill('Stops along two edges.') }, 'x', 'A4', null))
  expect(pagesOf(pdf)).toBe(1)
  const lowest = Math.min(...[...pdf.matchAll(/ ([\d.]+) Td/g)].map(([, y]) => Number(y)))
  expect(lowest).toBeGreaterThan(0)
})

it('a link’s code holds its three finder squares', () => {
  const { size, runs } = linkCode('https://room.example/stations/s1')
  const row = (y: number) => runs.filter((run) => run.y === y)
  expect(row(0)[0]).toEqual({ x: 0, y: 0, length: 7 })
  expect(row(0).at(-1)).toEqual({ x: size - 7, y: 0, length: 7 })
  expect(row(size - 1)[0]).toEqual({ x: 0, y: size - 1, length: 7 })
})
