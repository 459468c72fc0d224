import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { browserGlobals, type SpokenServer, SpokenStream } from '../../tests/fixtures/browser-globals'
import type { LedgerEvent } from '#core/ground/envelope'
import { decide, emptyState, evolve, type StreamState, statesFor } from '#core/house/streams'
import { lotDefaults } from '#core/stores/lot/defaults'
import { lot as lotStream } from '#core/stores/lot/stream'
import { useLive } from './live'
import { useSession } from './session'
import { useSupplies } from './supplies'

let server: SpokenServer
let states: Map<string, StreamState>
let events: LedgerEvent[]

/** The ledger of a room, as far as its stores go. */
function give(stream: string, type: string, data: object): LedgerEvent[] {
  const command = { type, stream, data, expectedSeq: undefined }
  const occurredAt = '2026-11-02T09:00:00.000Z'
  const context = { personId: 'p1', role: 'manager' as const, commandId: `c${events.length}`, occurredAt, zone: 'UTC' }
  const decision = decide(
    statesFor(command, (name) => states.get(name) ?? emptyState(name)),
    command,
    context,
  )
  if ('refusal' in decision) throw new Error(decision.refusal.message)
  return decision.events.map((event) => {
    const state = states.get(event.stream) ?? emptyState(event.stream)
    const stored: LedgerEvent = {
      ...event,
      position: events.length + 1,
      seq: state.seq + 1,
      actor: 'p1',
      via: null,
      device: 'd',
      commandId: context.commandId,
      occurredAt,
      recordedAt: occurredAt,
      claimedAt: null,
      hash: '',
    }
    events.push(stored)
    states.set(event.stream, evolve(state, stored))
    return stored
  })
}
const lot = (name: string) => ({
  ...lotDefaults,
  maker: '',
  name,
  width: 760,
  height: 560,
  weight: 200,
  price: 4,
  sheets: 100,
})
const asked = () => server.asked.map(({ path }) => path)
const hear = (told: readonly LedgerEvent[]) => {
  for (const event of told) SpokenStream.open[0]!.say('stored', event)
}

beforeEach(() => {
  server = browserGlobals()
  states = new Map()
  events = []
  give('lot:a', 'add-lot', lot('cream laid'))
  give('lot:b', 'add-lot', lot('white kozo'))
  server.answer = (_method, path) => {
    const names = new URLSearchParams(path.split('?')[1]).get('of')!.split(',')
    const pageOf = (kind: string) => ({
      states: [...states.values()].filter(({ stream }) => stream.startsWith(`${kind}:`)).reverse(),
      next: null,
    })
    const data = Object.fromEntries(names.map((kind) => [kind, pageOf(kind)]))
    return { status: 200, body: { position: events.length, data } }
  }
})
afterEach(() => void vi.useRealTimers())

describe('the stores', () => {
  it('are read when they are looked at, each once', async () => {
    const supplies = useSupplies()
    expect(asked()).toEqual([])
    await supplies.whenRead('lots')
    expect(supplies.lots.map(({ id, name }) => [id, name])).toEqual([
      ['b', 'white kozo'],
      ['a', 'cream laid'],
    ])
    await supplies.whenRead('lots')
    expect(asked()).toEqual(['/api/streams?of=lot'])
  })

  it('are asked for together when they are looked at together', async () => {
    const supplies = useSupplies()
    await Promise.all([supplies.whenRead('lots', 'presses'), supplies.whenRead('tubs')])
    expect(asked()).toEqual(['/api/streams?of=lot%2Cpress%2Ctub'])
    expect([supplies.lots.length, supplies.presses.length, supplies.tubs.length]).toEqual([2, 0, 0])
  })

  it('follow the ledger without being read again, what changed last first, the rest as it was', async () => {
    const supplies = useSupplies()
    await supplies.whenRead('lots')
    const [kozo] = supplies.lots
    hear(give('lot:a', 'count-lot', { sheets: 41, reason: 'counted' }))
    hear(give('lot:c', 'add-lot', lot('new here')))
    expect(supplies.lots.map(({ id, left }) => [id, left])).toEqual([
      ['c', 100],
      ['a', 41],
      ['b', 100],
    ])
    expect(supplies.lots[2]).toBe(kozo)
    expect(asked()).toEqual(['/api/streams?of=lot'])
  })

  it('hold what an answer said before the live stream says it, and count it once', async () => {
    const supplies = useSupplies()
    await supplies.whenRead('lots')
    const own = give('lot:a', 'count-lot', { sheets: 7, reason: 'counted' })
    useLive().answered(own)
    expect(supplies.lots[0]).toMatchObject({ id: 'a', left: 7 })
    hear(own)
    expect(supplies.lots[0]).toMatchObject({ id: 'a', left: 7, seq: own[0]!.seq })
  })

  it('hold at once what a form gave', async () => {
    useLive()
    const supplies = useSupplies()
    await supplies.whenRead('lots')
    const read = server.answer
    server.answer = (method, path, body) => {
      if (path !== '/api/commands') return read(method, path, body)
      const { stream, type, data } = body as { stream: string; type: string; data: object }
      const made = give(stream, type, data)
      return { status: 200, body: { position: events.length, stream, seq: 1, made: 1, disputed: null, events: made } }
    }
    await useSession().give('add-lot', lotStream.of('d'), lot('brought today'))
    expect(supplies.lots[0]!.name).toBe('brought today')
  })

  it('that cannot be read say so, and are read once the server is back', async () => {
    vi.useFakeTimers()
    const read = server.answer
    server.answer = () => 'unreachable'
    const supplies = useSupplies()
    await expect(supplies.whenRead('lots')).rejects.toThrow('cannot be reached')
    expect([supplies.areRead('lots'), supplies.troubleOf('lots') !== '']).toEqual([false, true])
    server.answer = read
    await vi.advanceTimersByTimeAsync(3_500)
    expect([supplies.areRead('lots'), supplies.troubleOf('lots'), supplies.lots.length]).toEqual([true, '', 2])
  })
})
