import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { byMaker, orderLines, type StockAsked } from './order-list'
import { addEdition, nothingPrinted } from './year'

const laid: StockAsked = {
  kind: 'paper',
  id: 'l',
  maker: 'Tarn Mill',
  name: 'cream laid',
  unit: 'sheets',
  left: 20,
  wanted: [{ title: 'Kettle', amount: 34 }],
  used: 30,
}

describe('an order list', () => {
  it('asks for what is wanted and four weeks’ use, less what is there', () => {
    expect(orderLines([laid])).toMatchObject([{ order: 34 + 10 - 20, reserve: 10 }])
  })

  it('leaves out what lasts, and rounds up to whole sheets', () => {
    expect(orderLines([{ ...laid, left: 44 }])).toEqual([])
    expect(orderLines([{ ...laid, wanted: [], used: 0, left: 0 }])).toEqual([])
    expect(orderLines([{ ...laid, wanted: [{ title: '', amount: 0.2 }], used: 0, left: 0 }])).toMatchObject([
      { order: 1 },
    ])
    expect(orderLines([{ ...laid, wanted: [], used: 0, left: -3 }])).toMatchObject([{ order: 3 }])
  })

  it('is parted by maker, what has none at the end', () => {
    const lines = orderLines([{ ...laid, maker: '' }, laid, { ...laid, maker: 'Alder & Crake', name: 'board' }])
    expect(byMaker(lines).map(({ maker, lines: those }) => [maker, those.length])).toEqual([
      ['Alder & Crake', 1],
      ['Tarn Mill', 1],
      ['', 1],
    ])
  })
})

describe('a year’s figures', () => {
  it('count pulls by when they were made, as they are judged now', () => {
    const table = new PressTable({ size: 2 })
    table.tear(5)
    const first = table.pull(1)
    table.pull(2)
    table.pull(3)
    table.must('judge-pull', { pullId: first, verdict: 'reject', faults: ['salt'], rescued: null, reason: '' })
    const of2026 = addEdition(nothingPrinted, table.edition, (iso) => iso.startsWith('2026'))
    expect(of2026).toMatchObject({
      impressions: 3,
      methods: [{ method: 'single', pulls: 3, good: 2, doubtful: 0, rejects: 1 }],
      editions: [{ title: 'Tide Gauge', begun: true, closed: false, pulls: 3 }],
    })
    expect(addEdition(nothingPrinted, table.edition, (iso) => iso.startsWith('2025'))).toEqual(nothingPrinted)
    const twice = addEdition(of2026, table.edition, () => true)
    expect(twice.methods).toMatchObject([{ pulls: 6, rejects: 2 }])
  })
})
