import { afterAll, expect, it } from 'vitest'
import { newFolder } from '../../tests/fixtures/server'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { plainLine, SecurityLog } from './security-log'

let db: Connections
afterAll(() => db.close())

it('keeps what came from outside as one plain line', () => {
  expect(plainLine('red \u001b[31malert\u0007\r\nforged\u2028line\u202e')).toBe('red [31malert forged line')
  expect(plainLine(`a\ud83d${'x'.repeat(300)}`)).toBe(`a ${'x'.repeat(198)}…`)
})

it('tells the newest first, page by page, and is not filled by a flood', async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  const log = new SecurityLog(db)
  for (let i = 0; i < 5; i++) log.note({ kind: 'signed in', person: `p${i}`, address: '10.0.0.5' })
  const [first, second] = await log.newest(2, null)
  expect([first!.person, second!.person, first!.kind]).toEqual(['p4', 'p3', 'signed in'])
  expect((await log.newest(5, second!.id)).map(({ person }) => person)).toEqual(['p2', 'p1', 'p0'])
  for (let i = 0; i < 5_000; i++) log.note({ kind: 'turned away', detail: `knock ${i}` })
  expect((await log.newest(10_000, null)).length).toBe(505)
})

it('counts what is said again within a second', async () => {
  const log = new SecurityLog(db)
  for (let i = 0; i < 200; i++) log.note({ kind: 'made to wait', person: 'p1', address: '10.0.0.9' })
  log.note({ kind: 'wrong secret', person: 'p1', address: '10.0.0.9' })
  log.note({ kind: 'made to wait', person: 'p2', address: '10.0.0.9', detail: 'by a code' })
  expect((await log.newest(3, null)).map(({ kind, person, detail }) => [kind, person, detail])).toEqual([
    ['made to wait', 'p2', 'by a code'],
    ['wrong secret', 'p1', ''],
    ['made to wait', 'p1', '200 times'],
  ])
})

it('tells a line that is being written at that moment', async () => {
  const log = new SecurityLog(db)
  log.note({ kind: 'person added', person: 'p7' })
  void log.write()
  expect((await log.newest(1, null))[0]).toMatchObject({ kind: 'person added', person: 'p7' })
})

it('keeps every line, whatever a knock says it is for', async () => {
  const log = new SecurityLog(db)
  log.note({ kind: 'wrong secret', person: "a'); DROP TABLE people; -- $1 ?", address: '10.0.0.9' })
  log.note({ kind: 'wrong secret', person: 'p8', address: '10.0.0.9' })
  expect((await log.newest(2, null)).map(({ person }) => person)).toEqual(['p8', "a'); DROP TABLE people; -- $1 ?"])
})
