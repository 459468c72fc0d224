import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createPinia, setActivePinia } from 'pinia'
import { v7 } from 'uuid'
import { browserGlobals, type SpokenServer } from '../../tests/fixtures/browser-globals'
import type { SentEvent } from '#core/ground/envelope'
import type { CommandRequest } from '#shared/commands/envelope'
import { kept } from '~/outbox/kept'
import { useLive } from './live'
import { useOutbox } from './outbox'

let server: SpokenServer
const sent = () => server.asked.filter(({ path }) => path === '/api/commands').map(({ body }) => body as CommandRequest)
const tap = (n: number): CommandRequest => ({
  commandId: v7(),
  device: 'station',
  by: 'p1',
  occurredAt: new Date(n).toISOString(),
  type: 'pull',
  stream: 'edition:e1',
  data: { n },
})
const numbers = (commands: readonly CommandRequest[]) => commands.map(({ data }) => (data as { n: number }).n)
/** The event it made, as a tab hears it. */
const heardOf = ({ commandId, stream }: CommandRequest) =>
  ({ commandId, stream, position: 1, seq: 1, type: 'pulled', version: 1, data: {} }) as SentEvent
const stored = { status: 200, body: { position: 1, stream: 'edition:e1', seq: 1, made: 1, disputed: null, events: [] } }
const refused = { status: 422, body: { code: 'closed', message: 'This edition is closed.' } }
const onDisk = async () => numbers(await (await kept()).getAll('outbox'))

/** The same browser in another tab: its own stores, the same disk and wire. */
function anotherTab() {
  setActivePinia(createPinia())
  return useOutbox()
}

beforeEach(async () => {
  vi.restoreAllMocks()
  vi.useRealTimers()
  server = browserGlobals()
  await (await kept()).clear('outbox')
  await (await kept()).clear('refused')
})

describe('the outbox', () => {
  it('keeps a tap on disk until the server has stored it', async () => {
    const outbox = useOutbox()
    await outbox.put(tap(1))
    expect(await onDisk()).toEqual([1])
    await vi.waitUntil(() => outbox.hindrance !== '')
    expect(outbox.hindrance).toContain('cannot be reached')
    server.answer = () => stored
    await outbox.send()
    await vi.waitUntil(() => outbox.unsent === 0)
    expect(await onDisk()).toEqual([])
  })

  it('sends what an earlier page left, in the order it was given', async () => {
    const first = useOutbox()
    for (const n of [1, 2, 3]) await first.put(tap(n))
    server = browserGlobals()
    server.answer = () => stored
    const later = useOutbox()
    await later.load()
    await vi.waitUntil(() => later.unsent === 0)
    expect(numbers(sent())).toEqual([1, 2, 3])
  })

  it('sends a tap again with the same id when the answer was lost', async () => {
    const outbox = useOutbox()
    let lost = true
    server.answer = () => {
      if (!lost) return stored
      lost = false
      return 'unreachable'
    }
    await outbox.put(tap(1))
    await vi.waitUntil(() => outbox.unsent === 0, { timeout: 5000 })
    const [first, second] = sent()
    expect(second).toEqual(first)
  })

  it('goes on behind a refused tap, and keeps the reason until it is read', async () => {
    const outbox = useOutbox()
    const heard: string[] = []
    outbox.onAnswer((command, result) =>
      heard.push(`${numbers([command])[0]} ${'error' in result ? 'refused' : 'stored'}`),
    )
    server.answer = (_method, _path, body) => (numbers([body as CommandRequest])[0] === 2 ? refused : stored)
    for (const n of [1, 2, 3]) await outbox.put(tap(n))
    await vi.waitUntil(() => outbox.unsent === 0)
    expect(heard).toEqual(['1 stored', '2 refused', '3 stored'])
    expect(outbox.refused).toMatchObject([{ message: 'This edition is closed.', command: { data: { n: 2 } } }])
    expect(await (await kept()).count('refused')).toBe(1)
    await outbox.putAway()
    expect(await (await kept()).count('refused')).toBe(0)
  })

  it.each([500, 401, 429, 507])('waits on status %d, since that passes', async (status) => {
    const outbox = useOutbox()
    server.answer = () => ({ status, body: { code: 'later', message: 'Later.' } })
    await outbox.put(tap(1))
    await vi.waitUntil(() => outbox.hindrance === 'Later.')
    expect(outbox.unsent).toBe(1)
    expect(outbox.refused).toEqual([])
  })

  it('waits until a PIN of one’s own is chosen', async () => {
    const outbox = useOutbox()
    server.answer = () => ({ status: 403, body: { code: 'change-secret', message: 'Choose one.' } })
    await outbox.put(tap(1))
    await vi.waitUntil(() => outbox.hindrance === 'Choose one.')
    expect([outbox.unsent, outbox.refused]).toEqual([1, []])
  })

  it('takes a tap that comes while others are under way', async () => {
    const outbox = useOutbox()
    server.answer = async (_method, _path, body) => {
      if (numbers([body as CommandRequest])[0] === 1) await outbox.put(tap(2))
      return stored
    }
    await outbox.put(tap(1))
    await vi.waitUntil(() => outbox.unsent === 0)
    expect(numbers(sent())).toEqual([1, 2])
  })

  it('sends what another tab left behind, and tells that tab what became of it', async () => {
    const first = useOutbox()
    const heard: string[] = []
    first.onAnswer((command, result) =>
      heard.push(`${numbers([command])[0]} ${'error' in result ? result.error.message : 'stored'}`),
    )
    const second = anotherTab()
    await second.load()
    await first.put(tap(1))
    await first.put(tap(2))
    await vi.waitUntil(() => second.unsent === 2)
    server.answer = (_method, _path, body) => (numbers([body as CommandRequest])[0] === 2 ? refused : stored)
    await second.send()
    await vi.waitUntil(() => first.unsent === 0 && second.unsent === 0)
    await vi.waitUntil(() => heard.length === 2)
    expect(heard).toEqual(['1 stored', '2 This edition is closed.'])
    expect(await onDisk()).toEqual([])
    await vi.waitUntil(() => first.refused.length === 1)
  })

  it('loses none of the taps that come while what is on disk is read', async () => {
    const outbox = useOutbox()
    await Promise.all([outbox.look(), outbox.put(tap(1)), outbox.look(), outbox.put(tap(2)), outbox.look()])
    expect(numbers(outbox.waiting).sort()).toEqual([1, 2])
    server.answer = () => stored
    await outbox.send()
    await vi.waitUntil(() => outbox.unsent === 0)
    await outbox.look()
    expect(outbox.unsent).toBe(0)
  })
})

describe('a tap that is heard of as stored before it is answered', () => {
  const answeredOf = async (commandId: string) =>
    (await (await kept()).getAll('answered')).filter(({ command }) => command.commandId === commandId)

  it('is off the disk at once, so that a page loaded meanwhile does not show it twice', async () => {
    let answer = () => {}
    const late = new Promise<void>((resolve) => (answer = resolve))
    server.answer = async () => {
      await late
      return stored
    }
    const outbox = useOutbox()
    const command = tap(1)
    await outbox.put(command)
    await vi.waitUntil(() => sent().length === 1)
    useLive().answered([heardOf(command)])
    await vi.waitUntil(async () => (await onDisk()).length === 0)
    await anotherTab().look()
    expect(useOutbox().unsent).toBe(0)
    answer()
    await vi.waitUntil(() => outbox.unsent === 0)
    await vi.waitUntil(async () => (await answeredOf(command.commandId)).length > 0)
  })

  it('is kept as stored once, however many tabs hear of it', async () => {
    server.answer = () => stored
    const [first, lives] = [useOutbox(), [useLive()]]
    const second = anotherTab()
    lives.push(useLive())
    const command = tap(1)
    await first.put(command)
    await second.look()
    for (const live of lives) live.answered([heardOf(command)])
    await vi.waitUntil(() => first.unsent === 0 && second.unsent === 0)
    await new Promise((rest) => setTimeout(rest, 50))
    expect(await answeredOf(command.commandId)).toHaveLength(1)
  })

  it('goes from what waits to what is kept as stored in one step', async () => {
    server.answer = () => stored
    const outbox = useOutbox()
    const command = tap(1)
    await outbox.put(command)
    const add = IDBObjectStore.prototype.add
    vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore, ...given) {
      if (this.name === 'answered') throw new Error('The disk is full.')
      return add.apply(this, given)
    })
    await vi.waitUntil(() => outbox.unsent === 0)
    expect(outbox.notKept).toContain('The disk is full.')
    expect(await onDisk()).toEqual([1])
    vi.restoreAllMocks()
    await anotherTab().load()
    await vi.waitUntil(async () => (await onDisk()).length === 0)
    expect(await answeredOf(command.commandId)).toHaveLength(1)
  })
})

describe('a browser that cannot keep taps', () => {
  it('says so, sends them all the same, and keeps them when it can again', async () => {
    const outbox = useOutbox()
    const full = vi.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('the disk is full', 'QuotaExceededError')
    })
    await outbox.put(tap(1))
    expect(outbox.notKept).toContain('the disk is full')
    expect(outbox.unsent).toBe(1)
    await outbox.keepAgain()
    expect(outbox.notKept).not.toBe('')
    full.mockRestore()
    await outbox.keepAgain()
    expect([outbox.notKept, await onDisk()]).toEqual(['', [1]])
    server.answer = () => stored
    await outbox.send()
    await vi.waitUntil(() => outbox.unsent === 0)
    expect(await onDisk()).toEqual([])
  })

  it('sends a tap that never came to the disk', async () => {
    const outbox = useOutbox()
    vi.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('the disk is full', 'QuotaExceededError')
    })
    server.answer = () => stored
    await outbox.put(tap(7))
    await vi.waitUntil(() => outbox.unsent === 0)
    // A page of an earlier test may still be trying with its own.
    expect(numbers(sent()).filter((n) => n === 7)).toEqual([7])
  })

  it('opens its disk again when the connection was closed', async () => {
    const outbox = useOutbox()
    ;(await kept()).close()
    await outbox.put(tap(1))
    expect([outbox.notKept, await onDisk()]).toEqual(['', [1]])
  })
})
