import { beforeAll, describe, expect, it } from 'vitest'
import { openToOthers } from '../../tests/fixtures/anothers'
import { plan } from '../../tests/fixtures/plan'
import { samples } from '../../tests/fixtures/requests'
import { tornRight } from '../../tests/fixtures/torn'
import type { BlockState } from '../stores/block/state'
import { lotDefaults } from '../stores/lot/defaults'
import { studioDefaults } from '../stores/studio/state'
import type { Role } from '../ground/envelope'
import { actOf, acts, type CommandType } from './acts'
import { decide, emptyState, evolve, singleStreams, statesFor, type StreamState } from './streams'

/** The room of the matrix: everything in it that is somebody's is Ida's; Tam and Wren have an edition of their own. */
class Room {
  readonly states = new Map<string, StreamState>()
  private commands = 0

  of = (stream: string): StreamState => this.states.get(stream) ?? emptyState(stream)

  outcome(type: string, stream: string, data: unknown, personId: string, role: Role): string {
    const commandId = `c${++this.commands}`
    const occurredAt = new Date(Date.UTC(2026, 10, 2, 9, this.commands)).toISOString()
    const command = { type, stream, data, expectedSeq: this.of(stream).seq }
    const context = { personId, role, commandId, occurredAt, zone: 'Europe/Oslo' }
    const decision = decide(statesFor(command, this.of), command, context)
    return 'refusal' in decision ? decision.refusal.code : 'done'
  }

  give(type: CommandType, stream: string, data: unknown, personId = 'ansa', role: Role = 'manager'): void {
    const commandId = `c${++this.commands}`
    const occurredAt = new Date(Date.UTC(2026, 10, 2, 9, this.commands)).toISOString()
    const command = { type, stream, data, expectedSeq: this.of(stream).seq }
    const decision = decide(statesFor(command, this.of), command, {
      personId,
      role,
      commandId,
      occurredAt,
      zone: 'Europe/Oslo',
    })
    if ('refusal' in decision) throw new Error(`${type}: ${decision.refusal.message}`)
    for (const event of decision.events) {
      const state = this.of(event.stream)
      const happened = { ...event, seq: state.seq + 1, actor: personId, occurredAt }
      this.states.set(event.stream, evolve(state, happened))
    }
  }
}

const strangers = [
  ['tam', 'member'],
  ['wren', 'student'],
] as const

const room = new Room()
beforeAll(() => {
  const settings = {
    ...studioDefaults,
    name: 'Rope Works',
    line: 'number-signature',
    destroyedNumber: 'retired',
    currency: '€',
  }
  room.give('set-up', 'studio', { managerId: 'ansa', settings })
  for (const [personId, role] of [['ida', 'member'], ...strangers] as const)
    room.give('add-person', 'studio', { personId, role })
  room.give('add-lot', 'lot:l', {
    ...lotDefaults,
    maker: '',
    name: 'laid',
    width: 760,
    height: 560,
    weight: 200,
    price: 4,
    sheets: 500,
  })
  for (const who of ['ida', 'tam', 'wren'])
    room.give(
      'start-edition',
      `edition:${who}`,
      { title: `Of ${who}`, plan },
      who,
      who === 'wren' ? 'student' : 'member',
    )
  room.give('tear', 'edition:ida', tornRight('l', 8, 8), 'ida', 'member')
  room.give('prepare-block', 'edition:ida', { ...samples['prepare-block'], blockId: 'k' }, 'ida', 'member')
  for (const [who] of strangers)
    room.give('use-block', `edition:${who}`, { blockId: 'k', editionIds: editionsOfBlock() })
  room.give('ration-paper', 'lot:l', { personId: 'ida', sheets: 8 })
  const { rations } = room.of('lot:l') as unknown as { rations: { id: string }[] }
  rationId = rations[0]!.id
  room.give('release-paper', 'lot:l', { rationId, sheets: 8 })
  room.give('add-press', 'press:p', { ...samples['add-press'], pictureId: null })
  room.give('set-station', 'station:s', { name: 'table', kind: 'ink table', isUsed: true })
  room.give('open-session', 'station:s', { ...samples['open-session'], editionIds: [], items: [] }, 'ida', 'member')
  sessionId = (room.of('station:s') as unknown as { open: { id: string } }).open.id
  room.give('raise-task', 'station:s', { ...samples['raise-task'], pictureId: null }, 'ida', 'member')
  taskId = (room.of('station:s') as unknown as { tasks: { id: string }[] }).tasks[0]!.id
  room.give('own-task', 'station:s', { taskId, ownerId: 'ida' }, 'ida', 'member')
  const booking = {
    bookingId: 'b',
    placeId: 'p',
    personId: 'ida',
    from: '2026-11-10T09:00:00.000Z',
    until: '2026-11-10T10:00:00.000Z',
  }
  room.give(
    'book',
    'calendar',
    { bookings: [{ ...booking, editionId: null, layerId: null, isFixed: false, note: '' }] },
    'ida',
    'member',
  )
  room.give(
    'close-room',
    'calendar',
    { from: '2026-12-24T00:00', until: '2026-12-26T00:00', personId: 'ida', why: 'away' },
    'ida',
    'member',
  )
  closureId = (room.of('calendar') as unknown as { closures: { id: string }[] }).closures[0]!.id
})
let rationId = ''
let sessionId = ''
let taskId = ''
let closureId = ''
const editionsOfBlock = () => (room.of('block:k') as BlockState).editions.map(idOf)
const idOf = (stream: string) => stream.slice(stream.indexOf(':') + 1)

/** What an act's data may name, as Ida's. */
const hers = (): Record<string, unknown> => ({
  blockId: 'k',
  blockIds: ['k'],
  rationId,
  lotId: 'l',
  editionId: 'ida',
  editionIds: editionsOfBlock(),
  editionStream: 'edition:ida',
  earlierId: 'ida',
  sessionId,
  taskId,
  closureId,
  bookingId: 'b',
  bookingIds: ['b'],
  personId: 'ida',
  personIds: ['ida'],
  artistId: 'ida',
  printerIds: ['ida'],
  ownerId: 'ida',
  placeId: 'p',
  pressId: 'p',
})

/** The sample with everything in it that can be somebody's replaced by what is Ida's. */
function naming(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(naming)
  if (typeof value !== 'object' || value === null) return value
  const known = hers()
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, key in known ? known[key] : naming(inner)]),
  )
}

/** What of hers can be reached through an edition of one's own. */
const throughOwn: Partial<Record<CommandType, object>> = {
  'use-block': {},
  'change-block': {},
  'record-block-state': {},
  'find-exposure': {},
  'set-inked-share': {},
  close: { block: 'cancelled with a proof' },
  tear: { ...tornRight('l', 8, 8), lotSheets: 2 },
}

const special: Partial<Record<CommandType, object>> = {
  book: {
    bookings: [{ ...samples.book.bookings[0], bookingId: 'b9', placeId: 'p', personId: 'ida', editionId: 'ida' }],
  },
  'close-session': { ...samples['close-session'], editionIds: [] },
  'return-paper': { sheets: 1 },
}

const dataFor = (type: CommandType, more: object = {}) => ({
  ...(naming({ ...(samples as Record<string, object>)[type], ...more }) as object),
  ...special[type],
  ...(type === 'return-paper' ? { rationId } : {}),
  ...(type === 'close-session' ? { sessionId } : {}),
})

function streamOf(type: CommandType): string {
  const { kind } = actOf.get(type)!.stream
  if (singleStreams.includes(kind)) return kind
  const known: Record<string, string> = {
    edition: 'edition:ida',
    block: 'block:k',
    lot: 'lot:l',
    press: 'press:p',
    station: 'station:s',
    account: 'account:ida',
  }
  return known[kind] ?? `${kind}:x`
}

const kept = new Set(['not-allowed', 'not-theirs'])

describe('a thing of another’s', () => {
  it.each(acts.map(({ type }) => type).filter((type) => !['start-edition', 'print-again', 'set-up'].includes(type)))(
    '%s: is done to it by nobody else, unless it says why',
    (type) => {
      for (const [personId, role] of strangers) {
        const outcome = room.outcome(type, streamOf(type), dataFor(type), personId, role)
        // Students may do less of what is open; nobody does more than is open.
        if (openToOthers[type] === undefined)
          expect([type, role, outcome]).toEqual([type, role, expect.toSatisfy((code: string) => kept.has(code))])
        else if (role === 'member') expect([type, outcome, kept.has(outcome)]).toEqual([type, outcome, false])
      }
    },
  )

  it.each(Object.keys(throughOwn) as CommandType[])('%s: is not reached through an edition of one’s own', (type) => {
    for (const [personId, role] of strangers) {
      const outcome = room.outcome(type, `edition:${personId}`, dataFor(type, throughOwn[type]), personId, role)
      expect([type, role, outcome]).toEqual([type, role, 'not-theirs'])
    }
  })

  it('is hers to do all that with', () => {
    for (const type of [
      'change-block',
      'record-block-state',
      'find-exposure',
      'set-inked-share',
      'tear',
      'keep-block',
      'cancel-block',
      'return-paper',
      'close-session',
      'cancel-bookings',
      'withdraw-closure',
      'own-task',
    ] as const)
      expect([
        type,
        kept.has(room.outcome(type, streamOf(type), dataFor(type, throughOwn[type]), 'ida', 'member')),
      ]).toEqual([type, false])
  })

  it('that says it is open is an act there is', () => {
    for (const type of Object.keys(openToOthers)) expect(actOf.has(type), type).toBe(true)
  })
})
