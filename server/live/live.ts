import type { Sequelize } from 'sequelize'
import type { Folded } from '#core/ground/act'
import type { LedgerEvent } from '#core/ground/envelope'
import { hangsOnOwner, sentEvent, type Share, shareOf, type Viewer } from '#core/house/who-sees'
import { eventsAfter } from '../database/events'
import type { Owners } from './owners'

/** What one browser is told of one position: the event as its person sees it, or nothing. */
export interface LiveMessage {
  position: number
  /** JSON of the event, or null where it is not theirs to know of. */
  text: string | null
  /** A stream that became theirs, or ceased to be: what they hold of it is to be read anew. */
  anew: string | null
}

type Listener = (told: LiveMessage[]) => void

/** An event on its way to every tab: written out once for each way of seeing it, however many look. */
class Telling {
  private readonly texts = new Map<Share, string | null>()

  constructor(
    readonly event: LedgerEvent,
    /** Those to whom the stream became their own with it, or ceased to be. */
    private readonly moved: ReadonlySet<string> | undefined,
  ) {}

  to(viewer: Viewer, owners: Owners): LiveMessage {
    const { position, stream } = this.event
    const share = shareOf(viewer, stream, owners.isOwn)
    return { position, text: this.text(share), anew: this.moved?.has(viewer.personId) ? stream : null }
  }

  private text(share: Share): string | null {
    if (!this.texts.has(share)) {
      const sent = sentEvent(this.event, share)
      this.texts.set(share, sent && JSON.stringify(sent))
    }
    return this.texts.get(share)!
  }
}

/**
 * Events that somebody missed. Whether a stream became theirs meanwhile is not known any more: those where it would matter
 * are read anew.
 */
function replayed(missed: readonly LedgerEvent[], viewer: Viewer, owners: Owners): Telling[] {
  const self = new Set([viewer.personId])
  const mayHaveMoved = (stream: string) =>
    hangsOnOwner(viewer, stream) &&
    // Of what never was theirs not even this may be told.
    (shareOf(viewer, stream, owners.isOwn) !== 'nothing' || owners.wasOwn(stream, viewer.personId))
  const last = new Map(missed.map(({ stream, position }) => [stream, position]))
  return missed.map((event) => {
    const { stream, position } = event
    return new Telling(event, last.get(stream) === position && mayHaveMoved(stream) ? self : undefined)
  })
}

/** Most events replayed to one tab; beyond that reloading is quicker than catching up. */
export const mostReplayed = 2000

/** Sends stored events to every open tab, in ledger order, as its person sees them. */
export class Live {
  private readonly listeners = new Set<(tellings: readonly Telling[]) => void>()

  constructor(
    private readonly db: Sequelize,
    private readonly owners: Owners,
  ) {}

  publish(events: LedgerEvent[], states: readonly Folded[]): void {
    const moved = this.owners.take(states)
    if (this.listeners.size === 0) return
    // Said with the last event of the stream: the reading it calls for has them all.
    const last = new Map(events.map(({ stream, position }) => [stream, position]))
    const tellings = events.map(
      (event) => new Telling(event, last.get(event.stream) === event.position ? moved.get(event.stream) : undefined),
    )
    for (const listener of this.listeners) listener(tellings)
  }

  /**
   * Everything after a position, then everything new, without gap or repeat.
   * @param after position the tab has seen
   * @returns what ends the subscription, or null when too much was missed
   */
  async follow(after: number, viewer: Viewer, listener: Listener): Promise<(() => void) | null> {
    let sent = after
    let caughtUp = false
    const early: Telling[] = []
    const forward = (tellings: readonly Telling[]) => {
      const fresh = tellings.filter(({ event }) => event.position > sent)
      if (fresh.length === 0) return
      sent = fresh.at(-1)!.event.position
      listener(fresh.map((telling) => telling.to(viewer, this.owners)))
    }
    const receive = (tellings: readonly Telling[]) => (caughtUp ? forward(tellings) : void early.push(...tellings))
    this.listeners.add(receive)
    const stop = () => void this.listeners.delete(receive)
    try {
      const missed = await eventsAfter(this.db, after, mostReplayed + 1)
      if (missed.length > mostReplayed) {
        stop()
        return null
      }
      forward(replayed(missed, viewer, this.owners))
      caughtUp = true
      forward(early)
      return stop
    } catch (error) {
      // Nobody hears it any more: what it kept for a replay that failed must not grow.
      stop()
      throw error
    }
  }

  /** How many browsers listen. */
  get followers(): number {
    return this.listeners.size
  }

  /** Tell nobody any more: the server stops. */
  close(): void {
    this.listeners.clear()
  }
}
