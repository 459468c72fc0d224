import type { Sequelize } from 'sequelize'
import { rows } from './connections'
import { chainStart, eventHash, storedEvents } from './events'
import { type Head, headAfter, noHead } from './heads'

/** A place where the ledger does not follow from what came before. */
export interface Break {
  position: number
  stream: string
  /** What is wrong there, in words. */
  what: string
}

/** What a look through the ledger has come to so far. */
export interface Looked {
  position: number
  events: number
  breaks: Break[]
}

/** Few enough to be looked through in a few milliseconds: taps come in between. */
const page = 150

/** Breaks told one by one; a ledger with more has been rewritten as a whole. */
const mostTold = 200

/**
 * Look through the whole ledger, page by page: each event follows from the one before in its stream, positions have no
 * gaps, and the heads kept with the groups of events are those of all before. A break is told once: what follows is
 * compared with what is there.
 * @param kept the head that was said beside the ledger
 */
export async function* breaksIn(db: Sequelize, kept: Head | null): AsyncGenerator<Looked, Looked> {
  const looked: Looked = { position: 0, events: 0, breaks: [] }
  const last = new Map<string, { hash: string; seq: number }>()
  let head = noHead.head
  const tell = (position: number, stream: string, what: string) => {
    if (looked.breaks.length < mostTold) looked.breaks.push({ position, stream, what })
  }
  for (;;) {
    const events = await storedEvents(db, looked.position, page)
    if (events.length === 0) break
    const heads = await rows<Head>(db, 'SELECT position, head FROM heads WHERE position > $1 AND position <= $2', [
      looked.position,
      events.at(-1)!.position,
    ])
    const headAt = new Map(heads.map((one) => [one.position, one.head]))
    for (const event of events) {
      const { position, stream, seq, hash } = event
      if (position !== looked.position + 1)
        tell(position, stream, `${position - looked.position - 1} events before it are missing`)
      const before = last.get(stream) ?? { hash: chainStart, seq: 0 }
      if (seq !== before.seq + 1) tell(position, stream, `it is number ${seq} of its stream after ${before.seq}`)
      else if (hash !== eventHash(before.hash, event)) tell(position, stream, 'it was changed, or the one before it')
      last.set(stream, { hash, seq })
      head = headAfter(head, hash)
      const said = headAt.get(position)
      if (said !== undefined && said !== head) tell(position, stream, 'the head kept with it is another')
      // From here on the kept head counts: one break is told once.
      head = said ?? head
      looked.position = position
      looked.events += 1
    }
    yield looked
  }
  if (kept && kept.position > looked.position)
    tell(kept.position, '', `the newest ${kept.position - looked.position} events are missing`)
  return looked
}

/** The same without stopping between pages, for when nobody waits. */
export async function allBreaks(db: Sequelize, kept: Head | null): Promise<Break[]> {
  const looking = breaksIn(db, kept)
  for (;;) {
    const { value, done } = await looking.next()
    if (done) return value.breaks
  }
}
