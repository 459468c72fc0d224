import { describe, expect, it } from 'vitest'
import { pastEditionColumns, readPastEdition, readPastEditions } from './past-editions'

const lines = (...rows: string[]) => rows.map((row, i) => ({ line: i + 1, fields: row.split(',') }))
const header = pastEditionColumns.join(',')

describe('editions from before the ledger', () => {
  it('are read with their columns in any order, and defaults where nothing is said', () => {
    const { rows, faults } = readPastEditions(lines('rejected,passed,title', '4,96,Old Pier', ',,', '0,12,Lamp'))
    expect(faults).toEqual([])
    expect(rows).toEqual([
      { title: 'Old Pier', method: 'single', work: 'press', passed: 96, rejected: 4, finished: 0, lost: 0 },
      { title: 'Lamp', method: 'single', work: 'press', passed: 12, rejected: 0, finished: 0, lost: 0 },
    ])
  })

  it('reports each broken row by its line and reads the rest', () => {
    const { rows, faults } = readPastEditions(
      lines(
        header,
        'Pier,reduction,press,90,10,20,1',
        ',single,press,1,1,0,0',
        'Lamp,etching,press,1,1,0,0',
        'Kiln,single,press,many,1,0,0',
        'Quay,single,press,0,0,0,0',
        'Jetty,single,press,-2,1,0,0',
        'Mast,single',
      ),
    )
    expect(rows.map((row) => row.title)).toEqual(['Pier'])
    expect(faults.map((fault) => fault.line)).toEqual([3, 4, 5, 6, 7, 8])
    expect(faults[1]!.message).toContain('“etching”')
    expect(faults[2]!.message).toContain('“many”')
    expect(faults[5]!.message).toContain('2 fields')
  })

  it('asks for a first line that names the columns', () => {
    expect(readPastEditions([]).faults[0]!.message).toContain('The file is empty')
    expect(readPastEditions(lines('Old Pier,96,4')).faults).toHaveLength(1)
    expect(readPastEditions(lines('title,passed,rejected,price')).faults[0]!.message).toContain('“price” not known')
  })

  it('refuses totals that cannot be', () => {
    expect(readPastEdition({ title: 'x'.repeat(121), passed: '1', rejected: '0' })).toHaveProperty('fault')
    expect(readPastEdition({ title: 'Pier', passed: '1.5', rejected: '0' })).toHaveProperty('fault')
    expect(readPastEdition({ title: 'Pier', passed: '', rejected: '0' })).toMatchObject({
      fault: expect.stringContaining('“passed” is empty'),
    })
  })
})
