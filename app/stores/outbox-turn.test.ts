import { expect, it, vi } from 'vitest'
import { v7 } from 'uuid'
import { browserGlobals } from '../../tests/fixtures/browser-globals'
import type { CommandRequest } from '#shared/commands/envelope'
import { useOutbox } from './outbox'

const tap = (): CommandRequest => ({
  commandId: v7(),
  device: 'station',
  by: 'p1',
  occurredAt: '2026-11-02T09:00:00.000Z',
  type: 'pull',
  stream: 'edition:e1',
  data: {},
})
const stored = { status: 200, body: { position: 1, stream: 'edition:e1', seq: 1, made: 1, disputed: null, events: [] } }

// By itself: the stores of other tests are tabs of the same browser, and would send what this one leaves.
it('a tap that comes between the last answer and the next turn is sent at once', async () => {
  const server = browserGlobals()
  server.answer = () => stored
  // The turn is handed on a while after the last answer, as a busy browser does.
  const request = navigator.locks.request.bind(navigator.locks)
  vi.spyOn(navigator.locks, 'request').mockImplementation((async (name: string, act: () => Promise<void>) => {
    await request(name, act)
    await new Promise((rest) => setTimeout(rest, 100))
  }) as never)
  const outbox = useOutbox()
  await outbox.put(tap())
  await vi.waitUntil(() => outbox.unsent === 0)
  await outbox.put(tap())
  await vi.waitUntil(() => outbox.unsent === 0, { timeout: 2_000 })
  expect(server.asked.filter(({ path }) => path === '/api/commands')).toHaveLength(2)
})
