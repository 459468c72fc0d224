import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 } from 'uuid'
import { afterEach, beforeEach, expect, it } from 'vitest'
import type { EditionState } from '#core/edition/state'
import type { CommandData, CommandType } from '#core/house/acts'
import { samples } from '../../tests/fixtures/requests'
import { tornRight } from '../../tests/fixtures/torn'
import { summariesOf } from '../database/summaries'
import { editionCost, readCharges } from './charges'
import { openPressroom, type Pressroom } from './pressroom'

let room: Pressroom
let manager = ''
const studio = { ...samples['set-studio'], inkGram: 0.1, pressHour: 10 }

async function give<T extends CommandType>(at: string, stream: string, type: T, data: CommandData<T>): Promise<string> {
  const state = await room.ledger.read(stream)
  const commandId = v7()
  const answer = await room.ledger.submit({
    command: { type, stream, data: JSON.parse(JSON.stringify(data)) as object, expectedSeq: state.seq },
    context: { personId: manager, role: 'manager', commandId, occurredAt: at, isSure: true },
    device: 'd',
    via: null,
    recordedAt: at,
  })
  if (answer.status !== 'stored') throw new Error(`${type}: ${JSON.stringify(answer)}`)
  return commandId
}

/** A room in that zone, with a pull either side of eleven at night in Greenwich, and ink drawn between them. */
async function printed(zone: string): Promise<void> {
  const morning = '2026-11-02T09:00:00.000Z'
  await give(morning, 'calendar', 'set-hours', { timeZone: zone, hours: [] })
  await give(morning, 'lot:l', 'add-lot', { ...samples['add-lot'], price: 0, sheets: 20 })
  await give(morning, 'press:p', 'add-press', samples['add-press'])
  await give(morning, 'edition:e', 'start-edition', samples['start-edition'])
  const torn = { ...tornRight('l', 4, 16, { width: 300, height: 230 }), offcuts: [], rationId: null }
  await give(morning, 'edition:e', 'tear', torn)
  const layerId = (await room.ledger.read<EditionState>('edition:e')).layers[0]!.id
  await give(morning, 'edition:e', 'set-press', { ...samples['set-press'], layerId })
  const { setups } = (await room.ledger.read<EditionState>('edition:e')).layers[0]!
  const pull = { ...samples.pull, layerId, faults: [], batchIds: [], setupSeq: setups[0]!.seq }
  await give('2026-11-02T22:45:00.000Z', 'edition:e', 'pull', { ...pull, sheetIds: [1] })
  await give('2026-11-02T22:50:00.000Z', 'batch:b', 'mix-batch', {
    ...samples['mix-batch'],
    components: [{ tubId: null, batchId: null, name: 'black', milligrams: 90_000 }],
  })
  const draw = { milligrams: 10_000, editionStream: 'edition:e', layerId, note: '' }
  await give('2026-11-02T22:55:00.000Z', 'batch:b', 'draw-ink', draw)
  await give('2026-11-02T23:15:00.000Z', 'edition:e', 'pull', { ...pull, sheetIds: [2] })
}

beforeEach(async () => {
  room = await openPressroom(mkdtempSync(join(tmpdir(), 'ample-tally-charges-')), false)
  const added = await room.people.setUp('Ansa Quill', 'net loft', studio)
  if ('refusal' in added) throw new Error(added.refusal.message)
  manager = added.person.id
})
afterEach(() => room.close())

const days = { from: '2026-11-01', to: '2026-11-30' }
const told = async (from = days.from, to = days.to) =>
  (await readCharges(room, { from, to }, null)).lines
    .filter(({ kind }) => kind !== 'paper')
    .map(({ what, cents }) => [what.replace(/, about.*/, ''), cents])

it.each([
  ['Europe/Oslo', ['1 pull at Long press', '1 pull at Long press'], ['1 pull at Long press', '10.0 g of slate']],
  ['UTC', ['2 pulls at Long press'], ['2 pulls at Long press', '10.0 g of slate']],
  ['Pacific/Auckland', ['2 pulls at Long press'], []],
  ['Asia/Kolkata', ['2 pulls at Long press'], []],
])('in %s pulls are told apart by the days of the room', async (zone, pulls, onTheSecond) => {
  await printed(zone)
  const whole = (await told()).map(([what]) => what)
  expect(whole.filter((what) => String(what).includes('pull'))).toEqual(pulls)
  expect((await told('2026-11-02', '2026-11-02')).map(([what]) => what).sort()).toEqual(onTheSecond.sort())
  // What is typed for a day is of that day, wherever the room is.
  await give('2026-11-04T09:00:00.000Z', `account:${manager}`, 'type-charge', samples['type-charge'])
  expect(await told('2026-11-02', '2026-11-02')).toContainEqual(['locker', 500])
  expect(await told('2026-11-03', '2026-11-03')).not.toContainEqual(['locker', 500])
})

it('what is settled stays as it was when the room’s usual prices change', async () => {
  await printed('Europe/Oslo')
  const { position, lines, span } = await readCharges(room, days, null)
  const cents = lines.reduce((sum, line) => sum + line.cents, 0)
  expect(lines.find(({ kind }) => kind === 'ink')!.cents).toBe(100)
  const settled = { ...span, upTo: position, cents, corrections: [], note: '' }
  await give('2026-12-01T09:00:00.000Z', `account:${manager}`, 'settle-statement', settled)
  await give('2026-12-01T10:00:00.000Z', 'studio', 'set-studio', { ...studio, inkGram: 0.5, pressHour: 40 })
  const after = await readCharges(room, days, null)
  expect(after.lines.map((line) => [line.cents, line.settledBy !== null])).toEqual(
    lines.map((line) => [line.cents, true]),
  )
  // What is drawn from now on costs what it costs now.
  const draw = { milligrams: 10_000, editionStream: 'edition:e', layerId: null, note: '' }
  await give('2026-12-02T09:00:00.000Z', 'batch:b', 'draw-ink', draw)
  const next = await readCharges(room, { from: '2026-12-01', to: '2026-12-31' }, null)
  expect(next.lines.map((line) => line.cents)).toEqual([500])
})

it('an edition costs what its lines in the charges come to, whatever else the room prints', async () => {
  await printed('Europe/Oslo')
  const layerId = (await room.ledger.read<EditionState>('edition:e')).layers[0]!.id
  const at = '2026-11-03T09:00:00.000Z'
  await give(at, 'edition:other', 'start-edition', { ...samples['start-edition'], title: 'Other' })
  const draw = { milligrams: 20_000, editionStream: 'edition:other', layerId: null, note: '' }
  await give(at, 'batch:b', 'draw-ink', draw)
  await give(at, 'batch:b', 'draw-ink', { ...draw, milligrams: 5_000, editionStream: 'edition:e', layerId })
  const { lines } = await readCharges(room, days, null)
  for (const id of ['e', 'other']) {
    const own = lines.filter(({ editionStream }) => editionStream === `edition:${id}`)
    const cost = await editionCost(room, id)
    expect([id, cost.cents]).toEqual([id, own.reduce((sum, { cents }) => sum + cents, 0)])
    expect(cost.byKind.map(({ kind }) => kind).sort()).toEqual([...new Set(own.map(({ kind }) => kind))].sort())
  }
})

it('lists go to their end: of more lots than a page ever held, none is left out', async () => {
  for (let i = 0; i < 505; i++)
    await give('2026-11-02T09:00:00.000Z', `lot:n${i}`, 'add-lot', { ...samples['add-lot'], sheets: 1 })
  expect(await summariesOf(room.db.reader, 'lot')).toHaveLength(505)
})
