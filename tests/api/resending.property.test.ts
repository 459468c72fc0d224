import { tornRight } from '../fixtures/torn'
import fc from 'fast-check'
import { v7 } from 'uuid'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { EditionState } from '#core/edition/state'
import { lotDefaults } from '#core/stores/lot/defaults'
import { type Connections, openConnections } from '../../server/database/connections'
import { migrate } from '../../server/database/migrations'
import { Ledger, type Submission } from '../../server/services/ledger'
import { plan } from '../fixtures/plan'
import { newFolder } from '../fixtures/server'

let db: Connections
let ledger: Ledger
beforeAll(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  ledger = new Ledger(db, () => {})
  await ledger.open()
})
afterAll(() => db.close())

function submission(stream: string, type: string, data: object, device = 'd'): Submission {
  return {
    command: { type, stream, data },
    device,
    via: null,
    context: { personId: 'p', role: 'manager', commandId: v7(), occurredAt: new Date().toISOString() },
  }
}

/** Each device sends its taps in order, some several times, some long after; nothing is answered in between. */
it('yields each tap once, each device’s in its order, however sending is repeated and delayed', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.record({ device: fc.integer({ min: 0, max: 2 }), times: fc.integer({ min: 1, max: 3 }) }), {
        minLength: 1,
        maxLength: 24,
      }),
      fc.infiniteStream(fc.nat(1000)),
      async (taps, random) => {
        const id = v7()
        const stream = `edition:${id}`
        await ledger.submit(
          submission(`lot:${id}`, 'add-lot', {
            ...lotDefaults,
            maker: '',
            name: 'laid',
            width: 700,
            height: 500,
            weight: 200,
            price: 1,
            sheets: 500,
          }),
        )
        await ledger.submit(submission(stream, 'start-edition', { title: 'Tide Gauge', plan }))
        await ledger.submit(submission(stream, 'tear', tornRight(id, taps.length, taps.length)))
        const layerId = (await ledger.read<EditionState>(stream)).layers[0]!.id
        const made = taps.map((tap, i) => ({
          ...tap,
          sent: submission(
            stream,
            'pull',
            {
              layerId,
              kind: 'pull',
              proofKind: null,
              verdict: 'good',
              sheetIds: [i + 1],
              faults: [],
              rescued: null,
              wetOnWet: false,
              setupSeq: 0,
              batchIds: [],
            },
            `device ${tap.device}`,
          ),
        }))
        // A device goes on to its next tap only after the first sending of the one before; repeats come any time later.
        const queues = [0, 1, 2].map((device) => made.filter((tap) => tap.device === device))
        const repeats: Submission[] = []
        const sending: Promise<unknown>[] = []
        while (queues.some((queue) => queue.length > 0) || repeats.length > 0) {
          const pick = random.next().value! % 4
          const tap = pick < 3 ? queues[pick]!.shift() : undefined
          if (tap) {
            sending.push(ledger.submit(tap.sent))
            for (let again = 1; again < tap.times; again++) repeats.push(tap.sent)
          } else if (repeats.length > 0)
            sending.push(ledger.submit(repeats.splice(random.next().value! % repeats.length, 1)[0]!))
          if (random.next().value! % 5 === 0) await Promise.all(sending)
        }
        expect(await Promise.all(sending)).toEqual(sending.map(() => expect.objectContaining({ status: 'stored' })))
        const { pulls } = await ledger.read<EditionState>(stream)
        expect(pulls.map((pull) => pull.pullId).sort()).toEqual(made.map((tap) => tap.sent.context.commandId).sort())
        expect(pulls.every((pull) => pull.disputed === null)).toBe(true)
        for (const device of [0, 1, 2]) {
          const own = made.filter((tap) => tap.device === device).map((tap) => tap.sent.context.commandId)
          expect(pulls.map((pull) => pull.pullId).filter((pullId) => own.includes(pullId))).toEqual(own)
        }
      },
    ),
    { numRuns: 25 },
  )
})
