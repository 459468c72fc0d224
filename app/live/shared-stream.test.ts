import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { LedgerEvent } from '#core/ground/envelope'
import { fakeStorage } from '../../tests/fixtures/browser-globals'
import { SharedStream } from './shared-stream'

/** The server’s side of a stream. */
class FakeSource extends EventTarget {
  static open: FakeSource[] = []
  readonly after: number

  constructor(url: string) {
    super()
    this.after = Number(/after=(\d+)/.exec(url)![1])
    FakeSource.open.push(this)
  }

  say(type: string, data = ''): void {
    this.dispatchEvent(new MessageEvent(type, { data }))
  }

  close(): void {
    FakeSource.open = FakeSource.open.filter((other) => other !== this)
  }
}

/** Channels that speak at once, so that a test need not wait for them. */
class FakeChannel {
  static all: FakeChannel[] = []
  onmessage: ((message: { data: unknown }) => void) | null = null

  constructor() {
    FakeChannel.all.push(this)
  }

  postMessage(data: unknown): void {
    for (const other of FakeChannel.all) if (other !== this) other.onmessage?.({ data })
  }
}

const at = (position: number) => ({ position }) as LedgerEvent

const mine = 'ledger ansa'

function tab(from: number, whose = mine) {
  const heard: (number | string)[] = []
  const stream = new SharedStream({
    stored: ({ position }) => heard.push(position),
    reload: () => heard.push('reload'),
    anew: (name) => heard.push(`anew ${name}`),
    other: () => heard.push('other'),
    connected: () => {},
  })
  stream.follow(from, whose)
  // Over plain HTTP a tab makes sure of its lease before it leads.
  vi.advanceTimersByTime(3_000)
  return { stream, heard }
}

const stored = (...positions: number[]) => {
  for (const position of positions) FakeSource.open[0]!.say('stored', JSON.stringify(at(position)))
}

const beat = (lineage = 'ledger', personId = 'ansa') =>
  FakeSource.open[0]!.say('beat', JSON.stringify({ lineage, personId }))

beforeEach(() => {
  vi.useFakeTimers()
  FakeSource.open = []
  FakeChannel.all = []
  vi.stubGlobal('EventSource', FakeSource)
  vi.stubGlobal('BroadcastChannel', FakeChannel)
  vi.stubGlobal('navigator', {})
  vi.stubGlobal('localStorage', fakeStorage())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('tabs of one browser', () => {
  it('share one stream, and each hears every event once', () => {
    const tabs = [tab(10), tab(10), tab(10)]
    expect(FakeSource.open.map(({ after }) => after)).toEqual([10])
    stored(11, 12, 12)
    for (const { heard } of tabs) expect(heard).toEqual([11, 12])
  })

  it('that come later hear what they missed, or are told to fetch afresh', () => {
    const first = tab(10)
    stored(11, 12, 13)
    const behind = tab(11)
    expect(behind.heard).toEqual([12, 13])
    const farBehind = tab(4)
    expect(farBehind.heard).toEqual(['reload'])
    stored(14)
    for (const { heard } of [first, behind, farBehind]) expect(heard.at(-1)).toBe(14)
    // One that is ahead, since its page was fetched just now, hears nothing twice.
    const ahead = tab(15)
    stored(15, 16)
    expect(ahead.heard).toEqual([16])
  })

  it('hear each event also when something on the page was read later than they came', () => {
    const { stream, heard } = tab(10)
    stored(11)
    // Read while 12 and 13 were on their way: what else is on the page has not seen them.
    expect(stream.follow(13, mine)).toBe(10)
    stored(12, 13, 14)
    expect(heard).toEqual([11, 12, 13, 14])
  })

  it('say from where on they heard everything: what was read before is read again', () => {
    const { stream } = tab(10)
    expect(stream.follow(8, mine)).toBe(10)
    FakeSource.open[0]!.say('reload', '5000')
    expect(stream.follow(4000, mine)).toBe(5000)
    expect(stream.follow(7, 'ledger tam')).toBe(7)
  })

  it('go on when the one that followed the server closes', () => {
    const [first, second, third] = [tab(10), tab(10), tab(10)]
    stored(11)
    first.stream.close()
    expect(FakeSource.open).toHaveLength(0)
    vi.advanceTimersByTime(10_000)
    expect(FakeSource.open.map(({ after }) => after)).toEqual([11])
    stored(12)
    expect([second.heard, third.heard]).toEqual([
      [11, 12],
      [11, 12],
    ])
    expect(first.heard).toEqual([11])
  })

  it('try again when the server is lost, not all at the same moment, and ever more seldom', () => {
    tab(10)
    const waits: number[] = []
    for (let i = 0; i < 6; i++) {
      FakeSource.open[0]!.say('error')
      let waited = 0
      for (; FakeSource.open.length === 0; waited += 50) vi.advanceTimersByTime(50)
      waits.push(waited)
    }
    expect(waits[0]).toBeLessThan(1_600)
    expect(waits[5]).toBeGreaterThan(10_000)
    beat()
    FakeSource.open[0]!.say('error')
    vi.advanceTimersByTime(1_600)
    expect(FakeSource.open).toHaveLength(1)
  })

  it('pass on that too much was missed', () => {
    const tabs = [tab(10), tab(12)]
    FakeSource.open[0]!.say('reload', '5000')
    for (const { heard, stream } of tabs) expect([heard, stream.position]).toEqual([['reload'], 5000])
  })

  it('lead in the place of one that is not heard any more', () => {
    const [first, second] = [tab(10), tab(10)]
    // The first is put to sleep: it hears and says nothing.
    first.stream.close = () => {}
    FakeChannel.all[0]!.postMessage = () => {}
    FakeChannel.all[0]!.onmessage = null
    vi.advanceTimersByTime(41_000)
    FakeSource.open.at(-1)!.say('stored', JSON.stringify(at(11)))
    expect(second.heard).toEqual([11])
  })

  it('go on over what is not theirs to see, and hear what became theirs', () => {
    const tabs = [tab(10), tab(10)]
    stored(11)
    FakeSource.open[0]!.say('passed', '[12,40]')
    stored(41)
    FakeSource.open[0]!.say('anew', '{"stream":"edition:e","position":41}')
    for (const { heard, stream } of tabs) expect([heard, stream.position]).toEqual([[11, 41, 'anew edition:e'], 41])
    // One that comes late is passed the same, the stretch too.
    const late = tab(20)
    expect(late.heard).toEqual([41, 'anew edition:e'])
  })

  it('lead nobody once the server speaks of another ledger, or to another person', () => {
    for (const [lineage, personId] of [
      ['restored', 'ansa'],
      ['ledger', 'tam'],
    ]) {
      const [first, second] = [tab(10), tab(10)]
      beat()
      expect([first.heard, second.heard]).toEqual([[], []])
      beat(lineage, personId)
      expect([first.heard, FakeSource.open]).toEqual([['other'], []])
      first.stream.close()
      second.stream.close()
      FakeSource.open = []
      FakeChannel.all = []
      vi.stubGlobal('localStorage', fakeStorage())
    }
  })

  it('of another person hear nothing of what this one is told', () => {
    const [ansa, tam] = [tab(10), tab(10, 'ledger tam')]
    stored(11)
    expect([ansa.heard, tam.heard]).toEqual([[11], []])
  })

  it('start over for another person, on the very page', () => {
    const { stream, heard } = tab(10)
    stored(11, 12)
    stream.follow(5, 'ledger tam')
    vi.advanceTimersByTime(3_000)
    expect(FakeSource.open.map(({ after }) => after)).toEqual([5])
    stored(6)
    expect(heard).toEqual([11, 12, 6])
  })
})
