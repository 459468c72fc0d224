import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import type { EditionState } from '#core/edition/state'
import type { LedgerEvent } from '#core/ground/envelope'
import { emptyState, fold, type StreamState } from '#core/house/streams'
import { withheld } from '#core/house/who-sees'
import type { Page, Reading } from '#shared/replies/reading'
import { FoldedStreams } from './folded-streams'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** Three editions with some pulls each, told apart by what they are called in the ledger. */
function ledger() {
  const events: LedgerEvent[] = []
  const tables = ['a', 'b', 'c'].map((name) => {
    const table = new PressTable().tear(6)
    const stream = `edition:${name}`
    const take = () =>
      table.events.filter((event) => event.stream === table.stream).map((event) => ({ ...event, stream }))
    return { name, table, stream, take }
  })
  const told = new Map<string, number>()
  /** Write what a table did since, as the ledger would. */
  const write = (index: number): LedgerEvent[] => {
    const { stream, take } = tables[index]!
    const fresh = take()
      .slice(told.get(stream) ?? 0)
      .map((event, i) => ({ ...event, position: events.length + i + 1 }))
    events.push(...fresh)
    told.set(stream, (told.get(stream) ?? 0) + fresh.length)
    return fresh
  }
  const state = (stream: string, upTo = events.length) =>
    fold(
      emptyState(stream),
      events.slice(0, upTo).filter((event) => event.stream === stream),
    )
  for (const index of [0, 1, 2]) write(index)
  return { events, write, state, tables, heardFrom: 0 }
}

function folded(of: ReturnType<typeof ledger>, pageSize = 2) {
  let shown: StreamState[] = []
  let isAll = false
  const asked: (string | null)[] = []
  const mended: string[] = []
  let isAway = false
  const failed: unknown[] = []
  const names = ['edition:c', 'edition:b', 'edition:a']
  const readAt = (streams: string[], next: string | null): Reading<Page<StreamState>> => ({
    position: of.events.length,
    data: { states: streams.map((stream) => of.state(stream)), next },
  })
  const streams = new FoldedStreams<StreamState>({
    isOf: (stream) => stream.startsWith('edition:'),
    empty: emptyState,
    page: async (after) => {
      asked.push(after)
      if (isAway) throw new Error('away')
      const from = after === null ? 0 : names.indexOf(after) + 1
      const page = names.slice(from, from + pageSize)
      return readAt(page, from + pageSize < names.length ? page.at(-1)! : null)
    },
    one: async (stream) => {
      mended.push(stream)
      return readAt([stream], null)
    },
    follow: (position) => Math.max(position, of.heardFrom),
    show: (states, all) => {
      shown = states
      isAll = all
    },
    fail: (error) => failed.push(error),
  })
  return {
    streams,
    asked,
    mended,
    failed,
    goAway: () => (isAway = true),
    pullsOf: (stream: string) => (shown.find((state) => state.stream === stream) as EditionState).pulls.length,
    names: () => shown.map(({ stream }) => stream),
    isAll: () => isAll,
  }
}

describe('streams that are folded', () => {
  it('are read by pages to the end, and stand as the server has them', async () => {
    const of = ledger()
    const { streams, asked, names, isAll } = folded(of)
    await streams.load()
    expect([asked, names(), isAll()]).toEqual([[null, 'edition:b'], ['edition:c', 'edition:b', 'edition:a'], true])
  })

  it('take what changes while pages come, on a page or not, and what changed last stands first', async () => {
    const of = ledger()
    const { streams, pullsOf, names } = folded(of, 1)
    const reading = streams.load()
    of.tables[0]!.table.pull(1)
    of.tables[2]!.table.pull(1)
    const [first, second] = [of.write(0), of.write(2)]
    for (const event of [...first, ...second]) streams.heard(event)
    await reading
    await vi.advanceTimersByTimeAsync(2_000)
    expect([pullsOf('edition:a'), pullsOf('edition:b'), pullsOf('edition:c')]).toEqual([1, 0, 1])
    expect(names()[2]).toBe('edition:b')
  })

  it('hold an own answer that comes before others’ events until those are here', async () => {
    const of = ledger()
    const { streams, pullsOf, mended } = folded(of)
    await streams.load()
    of.tables[0]!.table.pull(1)
    const others = of.write(0)
    of.tables[0]!.table.pull(2)
    const own = of.write(0)
    for (const event of own) streams.heard(event)
    expect(pullsOf('edition:a')).toBe(0)
    for (const event of [...others, ...own]) streams.heard(event)
    expect(pullsOf('edition:a')).toBe(2)
    await vi.advanceTimersByTimeAsync(5_000)
    expect(mended).toEqual([])
  })

  it('read the one stream of which something was missed', async () => {
    const of = ledger()
    const { streams, pullsOf, mended } = folded(of)
    await streams.load()
    of.tables[1]!.table.pull(1)
    of.write(1)
    of.tables[1]!.table.pull(2)
    for (const event of of.write(1)) streams.heard(event)
    await vi.advanceTimersByTimeAsync(2_000)
    expect([pullsOf('edition:b'), mended]).toEqual([2, ['edition:b']])
  })

  it('never go back: an older page, an event told twice', async () => {
    const of = ledger()
    const { streams, pullsOf } = folded(of)
    await streams.load()
    of.tables[0]!.table.pull(1)
    const events = of.write(0)
    for (const event of [...events, ...events]) streams.heard(event)
    of.events.splice(of.events.length - events.length)
    await streams.load()
    expect(pullsOf('edition:a')).toBe(1)
  })

  it('are as far as any order of telling: the same as the server’s own folding', async () => {
    const of = ledger()
    const { streams, pullsOf } = folded(of)
    await streams.load()
    const news: LedgerEvent[] = []
    for (const sheet of [1, 2, 3, 4])
      for (const index of [0, 1, 2]) {
        of.tables[index]!.table.pull(sheet)
        news.push(...of.write(index))
      }
    // Each twice, the second half first.
    for (const event of [...news.slice(news.length / 2), ...news]) streams.heard(event)
    expect(['edition:a', 'edition:b', 'edition:c'].map(pullsOf)).toEqual([4, 4, 4])
  })

  it('fold nothing of a stream of which only this is told: that it changed', async () => {
    const of = ledger()
    const { streams, names } = folded(of)
    await streams.load()
    const [event] = of.events
    streams.heard({ ...event!, stream: 'edition:hidden', type: withheld, seq: 1 })
    await vi.advanceTimersByTimeAsync(2_000)
    expect(names()).not.toContain('edition:hidden')
  })

  it('are read anew where they became somebody’s, or ceased to be', async () => {
    const of = ledger()
    const { streams, mended, names } = folded(of)
    await streams.load()
    streams.anew('edition:b')
    await vi.advanceTimersByTimeAsync(10)
    expect([mended, names()]).toEqual([['edition:b'], ['edition:c', 'edition:b', 'edition:a']])
  })

  it('that cannot be read say so, and keep what is shown', async () => {
    const of = ledger()
    const { streams, failed, names, goAway } = folded(of)
    await streams.load()
    goAway()
    await streams.load()
    expect([failed.length, names().length]).toEqual([1, 3])
  })

  it('are read again when they were read before this tab began to hear', async () => {
    const of = ledger()
    const { streams, asked, pullsOf } = folded(of, 3)
    of.heardFrom = of.events.length + 1
    const reading = streams.load()
    of.tables[0]!.table.pull(1)
    of.write(0)
    await reading
    expect([asked, pullsOf('edition:a')]).toEqual([[null, null], 1])
  })

  it('that were left ask nothing more', async () => {
    const of = ledger()
    const { streams, mended } = folded(of)
    await streams.load()
    of.tables[1]!.table.pull(1)
    of.write(1)
    of.tables[1]!.table.pull(2)
    for (const event of of.write(1)) streams.heard(event)
    streams.stop()
    await vi.advanceTimersByTimeAsync(5_000)
    expect(mended).toEqual([])
  })
})
