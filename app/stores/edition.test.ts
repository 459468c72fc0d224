import { beforeEach, describe, expect, it, vi } from 'vitest'
import { browserGlobals, type SpokenServer, SpokenStream } from '../../tests/fixtures/browser-globals'
import { PressTable } from '../../tests/fixtures/press-table'
import type { LedgerEvent } from '#core/ground/envelope'
import { noRecord } from '#core/plan/shop-record'
import { emptyStudio } from '#core/stores/studio/state'
import type { CommandRequest } from '#shared/commands/envelope'
import { kept } from '~/outbox/kept'
import { useEdition } from './edition'
import { useSession } from './session'

let server: SpokenServer
let table: PressTable
/** Holds the server's answers to commands back until let go. */
let held: Promise<void> = Promise.resolve()

const eventsOf = () => table.events.filter((event) => event.stream === table.stream)
const fetched = () => server.asked.filter(({ path }) => path === '/api/editions/e1').length

/** The server of one edition, which decides as the real one does. */
async function answer(method: string, path: string, body: unknown) {
  if (path === '/api/editions/e1')
    return {
      status: 200,
      body: { state: table.edition, studio: emptyStudio(), record: noRecord, position: table.events.length },
    }
  if (path !== '/api/commands') return { status: 404, body: { code: 'nothing', message: 'Nothing here.' } }
  await held
  const { type, data, commandId } = body as CommandRequest
  const before = eventsOf().length
  const { refusal } = table.submit(
    { type, stream: table.stream, data, expectedSeq: table.edition.seq },
    'manager',
    commandId,
  )
  if (refusal) return { status: 422, body: refusal }
  const events = eventsOf().slice(before)
  const disputed = events.some((event) => event.type === 'pull-disputed') ? 'taken already' : null
  return { status: 200, body: { position: 1, stream: table.stream, seq: table.edition.seq, made: 1, disputed, events } }
}

async function opened() {
  useSession().session = {
    person: { id: 'p1', name: 'Ansa', role: 'manager', active: true },
  } as never
  const edition = useEdition()
  await edition.open('e1')
  return edition
}

beforeEach(async () => {
  server = browserGlobals()
  server.answer = answer
  held = Promise.resolve()
  table = new PressTable().tear(6)
  for (const store of ['outbox', 'refused', 'copies', 'since'] as const) await (await kept()).clear(store)
})

describe('a tap', () => {
  it('shows at once, and is stored without the edition being fetched again', async () => {
    const edition = await opened()
    let letGo = () => {}
    held = new Promise((resolve) => (letGo = resolve))
    const id = await edition.tap('pull', table.pullData(1))
    expect(edition.state!.pulls).toHaveLength(1)
    expect(edition.stored!.pulls).toHaveLength(0)
    expect([edition.unsent, edition.isStored(id!)]).toEqual([1, false])
    letGo()
    await vi.waitUntil(() => edition.unsent === 0)
    expect(edition.isStored(id!)).toBe(true)
    expect(edition.stored!.pulls).toHaveLength(1)
    expect(fetched()).toBe(1)
  })

  it('that was answered stays on screen while an older answer about the edition lands', async () => {
    const edition = await opened()
    // Asked before the tap, answered after it: it knows of another’s pull only.
    table.pull(2)
    const [older, position] = [table.edition, table.events.length]
    let arrive = () => {}
    const late = new Promise<void>((resolve) => (arrive = resolve))
    server.answer = async (method, path, body) => {
      if (path !== '/api/editions/e1') return await answer(method, path, body)
      await late
      return { status: 200, body: { state: older, studio: emptyStudio(), record: noRecord, position } }
    }
    const asked = edition.fetchStored()
    const id = (await edition.tap('pull', table.pullData(1)))!
    await vi.waitUntil(() => edition.unsent === 0)
    arrive()
    await asked
    // What the answer said is folded onto it.
    expect(edition.stored!.pulls).toHaveLength(2)
    expect(edition.state!.pulls.map(({ pullId }) => pullId)).toContain(id)
    expect(edition.isStored(id)).toBe(true)
  })

  it('that can only be refused is not sent, and says why', async () => {
    const edition = await opened()
    expect(await edition.tap('restore-pull', { pullId: 'none' })).toBeNull()
    expect(edition.message).not.toBe('')
    expect(server.asked.filter(({ path }) => path === '/api/commands')).toEqual([])
  })

  it('that the server refuses is taken off again', async () => {
    const edition = await opened()
    server.answer = (method, path, body) =>
      path === '/api/commands'
        ? { status: 422, body: { code: 'closed', message: 'Closed meanwhile.' } }
        : answer(method, path, body)
    await edition.tap('pull', table.pullData(1))
    await vi.waitUntil(() => edition.message === 'Closed meanwhile.')
    expect(edition.state!.pulls).toHaveLength(0)
    expect(edition.pending).toEqual([])
  })

  it('told twice, by its answer and by the live stream, is one stroke', async () => {
    const edition = await opened()
    await edition.tap('pull', table.pullData(1))
    await vi.waitUntil(() => edition.unsent === 0)
    SpokenStream.open[0]!.say('stored', eventsOf().at(-1))
    expect(edition.state!.pulls).toHaveLength(1)
  })
})

describe('what others do', () => {
  it('comes by the live stream, and a gap is closed by fetching', async () => {
    const edition = await opened()
    table.pull(1)
    SpokenStream.open[0]!.say('stored', eventsOf().at(-1))
    expect(edition.stored!.pulls).toHaveLength(1)
    table.pull(2)
    table.pull(3)
    SpokenStream.open[0]!.say('stored', eventsOf().at(-1))
    // What stands before it may still come by itself.
    expect(fetched()).toBe(1)
    await vi.waitUntil(() => edition.stored!.pulls.length === 3, { timeout: 4000 })
    expect(fetched()).toBe(2)
  })

  it('an older reply never takes the place of a newer state', async () => {
    const edition = await opened()
    const old = structuredClone(table.edition)
    table.pull(1)
    SpokenStream.open[0]!.say('stored', eventsOf().at(-1))
    server.answer = () => ({ status: 200, body: { state: old, studio: emptyStudio(), record: noRecord, position: 1 } })
    await edition.fetchStored()
    expect(edition.stored!.pulls).toHaveLength(1)
  })

  it('of a newer program stops the page, which keeps what it shows', async () => {
    const edition = await opened()
    const { position, ...last } = eventsOf().at(-1)!
    const seq = edition.stored!.seq + 1
    const newer: LedgerEvent = { ...last, position: position + 1, seq, type: 'pulled', version: 9 }
    SpokenStream.open[0]!.say('stored', newer)
    expect(edition.stored!.pulls).toHaveLength(0)
    expect(SpokenStream.open).toEqual([])
  })
})

describe('a form', () => {
  it('takes its answer’s events and fetches nothing', async () => {
    const edition = await opened()
    await edition.give('add-layer', { name: 'second', blocks: [] })
    expect(edition.stored!.layers).toHaveLength(2)
    expect(fetched()).toBe(1)
  })

  it('is refused with the server’s words', async () => {
    const edition = await opened()
    await expect(edition.give('sign', { sheetId: 1 })).rejects.toThrow('no number yet')
  })
})

describe('a dead server', () => {
  it('is started without: the copy, what was stored since, and the taps that wait', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const edition = await opened()
    await vi.advanceTimersByTimeAsync(1000)
    vi.useRealTimers()
    await vi.waitUntil(async () => (await (await kept()).count('copies')) > 0)
    await edition.tap('pull', table.pullData(1))
    await vi.waitUntil(() => edition.unsent === 0)
    await vi.waitUntil(async () => (await (await kept()).count('since')) === 1)
    server.answer = () => 'unreachable'
    await edition.tap('pull', table.pullData(2))
    // The page is loaded again, with the server away.
    server = browserGlobals()
    const again = useEdition()
    useSession().session = { person: { id: 'p1', name: 'Ansa', role: 'manager', active: true } } as never
    const { useOutbox } = await import('./outbox')
    await useOutbox().load()
    await again.open('e1')
    expect(again.stored!.pulls).toHaveLength(1)
    expect(again.state!.pulls).toHaveLength(2)
    expect(again.unsent).toBe(1)
  })

  it('between storing a tap and answering it leaves one stroke, also after a reload', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const edition = await opened()
    await vi.advanceTimersByTimeAsync(1000)
    vi.useRealTimers()
    await vi.waitUntil(async () => (await (await kept()).count('copies')) > 0)
    server.answer = async (method, path, body) => {
      // Stored, and told to everybody; then it dies before it answers.
      await answer(method, path, body)
      SpokenStream.open[0]?.say('stored', eventsOf().at(-1))
      return 'unreachable' as const
    }
    await edition.tap('pull', table.pullData(1))
    await vi.waitUntil(() => edition.stored!.pulls.length === 1)
    await vi.waitUntil(async () => (await (await kept()).count('since')) === 1)
    server = browserGlobals()
    const again = useEdition()
    useSession().session = { person: { id: 'p1', name: 'Ansa', role: 'manager', active: true } } as never
    const { useOutbox } = await import('./outbox')
    await useOutbox().load()
    await again.open('e1')
    expect(again.state!.pulls).toHaveLength(1)
    expect(again.unsent).toBe(0)
    expect(useOutbox().unsent).toBe(0)
  })
})
