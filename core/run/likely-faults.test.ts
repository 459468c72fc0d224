import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { noRecord } from '../plan/shop-record'
import { likelyFaults } from './likely-faults'

const first = (table: PressTable, faults = {}) =>
  likelyFaults(table.edition, table.layer, { ...noRecord, faults }).slice(0, 4)

describe('the faults offered at the press', () => {
  it('are the usual ones before anything was seen', () => {
    expect(first(new PressTable().tear(4))).toEqual(['salt', 'pale', 'fill', 'register'])
  })

  it('are those this room sees most', () => {
    expect(first(new PressTable().tear(4), { hickey: 9, lap: 3 })).toEqual(['hickey', 'lap', 'salt', 'pale'])
  })

  it('are those of this edition before the room’s, and what was seen last before all', () => {
    const table = new PressTable().tear(6)
    table.pull(1, { verdict: 'reject', faults: ['slur'] })
    table.pull(2, { verdict: 'reject', faults: ['slur'] })
    table.pull(3, { verdict: 'doubtful', faults: ['rim'] })
    expect(first(table, { hickey: 6 })).toEqual(['rim', 'slur', 'hickey', 'salt'])
  })

  it('are all there, each once', () => {
    const all = likelyFaults(new PressTable().tear(1).edition, 'l', noRecord)
    expect(new Set(all).size).toBe(all.length)
    expect(all).toContain('handling')
  })
})
