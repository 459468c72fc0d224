import fc from 'fast-check'
import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { csvOf } from './csv'

const cell = (text: string) => Papa.parse<string[]>(csvOf([{ a: text }])).data[1]![0]!

it('leaves no cell that a spreadsheet would run', () => {
  for (const text of [
    '=1+1',
    '=HYPERLINK(\n"http://there";"click")',
    '=HYPERLINK(\r"x")',
    '\n=1',
    '\r\n =1',
    '\t=1',
    '\u00a0=1',
    '\ufeff=1',
    '+1+1',
    '-9.20\n=1',
    '-1+cmd|x',
    '@SUM(1)',
    '|calc',
    '＝1+1',
    '＋1',
    '－1',
    '＠SUM(1)',
  ])
    expect(cell(text), JSON.stringify(text)).toBe(`'${text}`)
})

it('of any text makes one that reads back the same, but for the apostrophe', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), (text) => {
      const back = cell(text)
      return back === text || back === `'${text}`
    }),
  )
})

it('leaves numbers, days and plain words alone', () => {
  expect(csvOf([{ a: -9.2, b: '2026-12-01', c: 'Net Loft – Stairs', d: '', e: '-9.20' }])).toBe(
    'a,b,c,d,e\r\n-9.2,2026-12-01,Net Loft – Stairs,,-9.20',
  )
  expect(csvOf([], { columns: ['a', 'b'], header: false })).toBe('')
})
