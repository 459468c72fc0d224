import type { Folded } from '#core/ground/act'
import type { SentEvent } from '#core/ground/envelope'
import { evolve } from '#core/house/streams'
import { withheld } from '#core/house/who-sees'
import type { Page, Reading } from '#shared/replies/reading'

interface Options<State extends Folded> {
  /** Whether a stream is one of these. */
  isOf: (stream: string) => boolean
  empty: (name: string) => State
  page: (after: string | null) => Promise<Reading<Page<State>>>
  /** One stream as it stands; an empty page where it is not there or not theirs. */
  one: (name: string) => Promise<Reading<Page<State>>>
  /** Follow the ledger from a position. @returns the position after which everything is heard, if that is later */
  follow: (position: number) => number
  /** Every stream, the one that changed last first, whenever one has changed; `isAll` once the list was read to its end. */
  show: (states: State[], isAll: boolean) => void
  fail: (error: unknown) => void
}

/** What an event waits for those before it, ms: the answer of one's own act often comes before others' events do. */
const patience = 1_500

/**
 * Streams as the ledger tells them: read once, by pages to the end, then folded with the server's own `evolve`. Each state
 * knows its `seq`, so that it does not matter which of a page, an answer and the live stream is here first.
 */
export class FoldedStreams<State extends Folded> {
  private readonly states = new Map<string, State>()
  /** Pages come in the order of the last change, the newest first; what changes from now on stands before them. */
  private readonly ranks = new Map<string, number>()
  private newest = 0
  private oldest = 0
  /** Events that wait for those before them, by stream. */
  private readonly ahead = new Map<string, SentEvent[]>()
  private readonly mending = new Map<string, ReturnType<typeof setTimeout>>()
  private isAll = false
  private age = 0
  private isOver = false

  constructor(private readonly options: Options<State>) {}

  /** @param isSecond true when the first reading was from before this tab began to hear */
  async load(isSecond = false): Promise<void> {
    const age = ++this.age
    this.isAll = false
    let isEarly = false
    try {
      let after: string | null = null
      do {
        const { position, data }: Reading<Page<State>> = await this.options.page(after)
        if (age !== this.age || this.isOver) return
        // From the first page on: what changes while the others come is folded onto them.
        if (after === null) isEarly = this.options.follow(position) > position
        for (const state of data.states) {
          if (!this.ranks.has(state.stream)) this.ranks.set(state.stream, --this.oldest)
          this.put(state)
        }
        after = data.next
        this.isAll = after === null
        this.show()
      } while (after !== null)
      for (const stream of [...this.ahead.keys()]) this.catchUp(stream)
      this.show()
      // Of what lies between nothing was heard.
      if (isEarly && !isSecond) await this.load(true)
    } catch (error) {
      if (age === this.age && !this.isOver) this.options.fail(error)
    }
  }

  /** An event of the live stream, or of the answer to one's own act: whichever comes first is folded. */
  heard(event: SentEvent): void {
    if (!this.options.isOf(event.stream)) return
    const known = this.states.get(event.stream)
    if (event.seq <= (known?.seq ?? 0)) return
    // Of a stream that is not theirs to read: nothing is folded that nothing is known of.
    if (!known && event.type === withheld) return
    this.ranks.set(event.stream, ++this.newest)
    const waiting = this.ahead.get(event.stream) ?? []
    if (!waiting.some(({ seq }) => seq === event.seq))
      this.ahead.set(
        event.stream,
        [...waiting, event].sort((a, b) => a.seq - b.seq),
      )
    this.catchUp(event.stream)
    this.show()
  }

  /** A stream became this person’s, or ceased to be. */
  anew(stream: string): void {
    if (!this.options.isOf(stream)) return
    this.states.delete(stream)
    void this.mend(stream)
  }

  stop(): void {
    this.isOver = true
    for (const timer of this.mending.values()) clearTimeout(timer)
  }

  private put(state: State): void {
    if (state.seq >= (this.states.get(state.stream)?.seq ?? 0)) this.states.set(state.stream, state)
  }

  private catchUp(stream: string): void {
    const waiting = this.ahead.get(stream)
    if (!waiting) return
    let state = this.states.get(stream)
    for (const event of waiting) {
      if (!state && event.seq === 1) state = this.options.empty(stream)
      if (state && event.seq === state.seq + 1) state = evolve(state, event)
    }
    if (state) this.states.set(stream, state)
    const still = waiting.filter(({ seq }) => seq > (state?.seq ?? 0))
    if (still.length > 0) this.ahead.set(stream, still)
    else this.ahead.delete(stream)
    // While pages come, the stream may be on one of them.
    if (still.length === 0) {
      clearTimeout(this.mending.get(stream))
      this.mending.delete(stream)
    }
    if (still.length === 0 || !this.isAll || this.mending.has(stream)) return
    this.mending.set(
      stream,
      setTimeout(() => void this.mend(stream), patience),
    )
  }

  /** What came between was missed: the one stream is read as it stands. */
  private async mend(stream: string): Promise<void> {
    const { age } = this
    clearTimeout(this.mending.get(stream))
    this.mending.delete(stream)
    try {
      const { data } = await this.options.one(stream)
      if (age !== this.age || this.isOver) return
      if (data.states.length === 0) this.ahead.delete(stream)
      for (const state of data.states) this.put(state)
      this.catchUp(stream)
      this.show()
    } catch (error) {
      if (age === this.age && !this.isOver) this.options.fail(error)
    }
  }

  private show(): void {
    const rankOf = ({ stream }: State) => this.ranks.get(stream) ?? 0
    this.options.show(
      [...this.states.values()].sort((a, b) => rankOf(b) - rankOf(a)),
      this.isAll,
    )
  }
}
