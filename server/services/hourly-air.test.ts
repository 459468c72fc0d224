import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 } from 'uuid'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { RoomAirState } from '#core/stores/climate/state'
import { studioDefaults } from '#core/stores/studio/state'
import { SimulatedRoomSensor } from '../devices/room-sensor'
import { HourlyAir } from './hourly-air'
import { openPressroom, type Pressroom } from './pressroom'

const hour = 3600_000
const nine = Date.parse('2026-11-02T09:00:30.000Z')
let room: Pressroom
let manager = ''
beforeAll(async () => {
  room = await openPressroom(mkdtempSync(join(tmpdir(), 'ample-tally-air-')), false)
  const set = { name: 'Rope Works', line: 'number-title-signature', destroyedNumber: 'retired', currency: '€' } as const
  const added = await room.people.setUp('Ansa Quill', 'net loft', { ...studioDefaults, ...set })
  if ('refusal' in added) throw new Error(added.refusal.message)
  manager = added.person.id
})
afterAll(() => room.close())

const state = () => room.ledger.read<RoomAirState>('climate:room')

it('the sensor is read once an hour while it is on, in the name of who switched it on', async () => {
  const sensor = new SimulatedRoomSensor(() => nine)
  const hourly = new HourlyAir(room.ledger, room.people, sensor)
  expect(await hourly.look(nine)).toBe(false)
  const on = { type: 'watch-climate', stream: 'climate:room', data: { isOn: true } }
  const context = {
    personId: manager,
    role: 'manager',
    commandId: v7(),
    occurredAt: new Date(nine).toISOString(),
  } as const
  await room.ledger.submit({
    command: on,
    context: { ...context, isSure: true },
    device: 'd',
    via: null,
  })
  // Asked twice at once, as when the disk is slow: the hour has one reading.
  expect(await Promise.all([hourly.look(nine), hourly.look(nine)])).toEqual([true, false])
  expect(await hourly.look(nine + hour / 2)).toBe(false)
  sensor.standIn('unplug')
  expect(await hourly.look(nine + hour)).toBe(false)
  sensor.standIn('plug')
  expect(await hourly.look(nine + 2 * hour)).toBe(true)
  expect((await state()).readings.map(({ at }) => at.slice(11, 16))).toEqual(['09:00', '11:00'])
})
