import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { plan } from '../../tests/fixtures/plan'
import { newFolder } from '../../tests/fixtures/server'
import type { EditionState } from '#core/edition/state'
import type { Command } from '#core/house/streams'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { Ledger, type Submission } from './ledger'
import { StateCache } from './state-cache'
import { emptyLot } from '#core/stores/lot/state'

let db: Connections
let ledger: Ledger
let commands = 0

const submission = (command: Command): Submission => ({
  command,
  context: {
    personId: 'p1',
    role: 'manager',
    commandId: `command-${++commands}`,
    occurredAt: '2026-11-02T09:00:00.000Z',
  },
  device: 'd1',
  via: null,
})
const give = (type: string, stream: string, data: object) => ledger.submit(submission({ type, stream, data }))
const start = (stream: string) => give('start-edition', stream, { title: 'Tide Gauge', plan })
const note = (stream: string, i: number) => give('add-layer', stream, { name: `layer ${i}`, blocks: [] })

beforeEach(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  ledger = new Ledger(db, () => {})
  await ledger.open()
})
afterEach(() => db.close())

describe('one bad command among others', () => {
  it('costs only itself, and is answered with a reference', async () => {
    const logged = vi.spyOn(console, 'error').mockImplementation(() => {})
    // A tear without its lists makes the act fall over; the request check would never let it through.
    const answers = await Promise.all([start('edition:a'), give('tear', 'edition:a', {}), start('edition:b')])
    expect(answers.map((answer) => answer.status)).toEqual(['stored', 'refused', 'stored'])
    expect(answers[1]).toMatchObject({ refusal: { code: 'stumbled', message: expect.stringContaining('reference') } })
    expect(logged.mock.calls[0]![0]).toContain('“tear” on edition:a')
    expect(logged.mock.calls[0]![1]).toBeInstanceOf(TypeError)
    logged.mockRestore()
    expect(await ledger.read('edition:b')).toMatchObject({ title: 'Tide Gauge', seq: 2 })
  })

  it('leaves the streams it looked at as they were', async () => {
    const logged = vi.spyOn(console, 'error').mockImplementation(() => {})
    const [, bad, good] = await Promise.all([
      start('edition:a'),
      give('give-numbers', 'edition:a', { series: 'edition' }),
      note('edition:a', 1),
    ])
    logged.mockRestore()
    expect([bad!.status, good!.status]).toEqual(['refused', 'stored'])
    expect((await ledger.read<EditionState>('edition:a')).layers).toHaveLength(2)
  })
})

describe('what is durable', () => {
  it('is answered as stored even when telling it goes wrong', async () => {
    const logged = vi.spyOn(console, 'error').mockImplementation(() => {})
    const shouting = new Ledger(db, () => {
      throw new Error('a tab fell over')
    })
    await shouting.open()
    const answer = await shouting.submit(
      submission({ type: 'start-edition', stream: 'edition:a', data: { title: 'Slipway', plan } }),
    )
    expect(answer.status).toBe('stored')
    expect(logged.mock.calls[0]![0]).toContain('are stored')
    logged.mockRestore()
    expect(await new Ledger(db, () => {}).read('edition:a')).toMatchObject({ title: 'Slipway' })
  })

  it('is answered with its events, and in the same way when it is sent again', async () => {
    const one = submission({ type: 'start-edition', stream: 'edition:a', data: { title: 'Slipway', plan } })
    const [first, again] = [await ledger.submit(one), await ledger.submit(one)]
    expect(first).toMatchObject({
      repeated: false,
      events: [
        { type: 'edition-started', seq: 1 },
        { type: 'layer-added', seq: 2 },
      ],
    })
    expect(again).toEqual({ ...first, repeated: true })
    const [twice, other] = await Promise.all(
      [one, one].map((same) =>
        ledger.submit({
          ...same,
          context: { ...same.context, commandId: 'c-twice' },
          command: { ...same.command, stream: 'edition:b' },
        }),
      ),
    )
    expect(other).toEqual({ ...twice, repeated: true })
  })
})

describe('a cold read beside a commit', () => {
  it('never leaves an older state behind', async () => {
    await start('edition:a')
    for (let round = 1; round <= 40; round++) {
      // Everything is forgotten, then read and written at once.
      ledger = new Ledger(db, () => {})
      await ledger.open()
      const reading = Array.from({ length: 3 }, () => ledger.read('edition:a'))
      const writing = note('edition:a', round)
      const more = new Promise((resolve) => setImmediate(resolve)).then(() => ledger.read('edition:a'))
      expect((await writing).status, `round ${round}`).toBe(round < 40 ? 'stored' : 'refused')
      await Promise.all([...reading, more])
      expect((await ledger.read<EditionState>('edition:a')).layers).toHaveLength(Math.min(40, round + 1))
    }
  })

  it('and no older state takes the place of a newer one', () => {
    const cache = new StateCache()
    const at = (seq: number) => ({ state: { ...emptyLot('lot:l'), seq }, hash: String(seq) })
    for (const seq of [0, 3, 2, 5, 4]) cache.keep(at(seq))
    expect(cache.get('lot:l')).toEqual(at(5))
    cache.keep({ ...at(0), state: { ...emptyLot('lot:other') } })
    expect(cache.get('lot:other')).toBeUndefined()
  })
})
