import { addEdition, nothingPrinted } from '#core/office/year'
import { wholeCents } from '#core/charges/money'
import { looseRuns, minutesThere } from '#core/charges/press-time'
import { noRates } from '#core/plan/defaults'
import { spanOfDays } from '#core/time/room-clock'
import { dayOf } from '#core/time/room-day'
import type { YearReply } from '#shared/replies/office'
import type { LotSummary, PressSummary } from '#shared/replies/replies'
import { type EventSaid, eventsOfTypes } from '../database/over-events'
import { allSummariesOf } from '../database/summaries'
import { editionsOf } from './every-edition'
import type { Pressroom } from './pressroom'
import { isIn, type Period, timeAtPresses } from './time-at-presses'

/** What the room did in a year: editions, prints, yields, paper and hours at the presses. */
export async function readYear(room: Pressroom, year: number): Promise<YearReply> {
  const span = spanOfDays(`${year}-01-01`, `${year}-12-31`, room.zone.zone)
  const within = (iso: string) => isIn(span, iso)
  let printed = nothingPrinted
  for await (const state of editionsOf(room)) printed = addEdition(printed, state, within)
  const papers = await papersOf(room, span)
  return {
    printed,
    signed: await signedIn(room, span),
    papers,
    pieces: {
      torn: papers.reduce((sum, { pieces }) => sum + pieces, 0),
      lost: printed.methods.reduce((sum, { rejects }) => sum + rejects, 0) + (await spoiledIn(room, span)),
    },
    presses: await pressHours(room, span),
  }
}

/** Events of some types within the span. Browsers may have written a moment with another offset: it is read, not compared as text. */
async function saidIn({ db }: Pressroom, span: Period, types: readonly string[]): Promise<EventSaid[]> {
  const found = await eventsOfTypes(db.long, types)
  return found.filter(({ at }) => isIn(span, at))
}

async function signedIn(room: Pressroom, span: Period): Promise<number> {
  const signed = new Set<string>()
  for (const { stream, type, data } of await saidIn(room, span, ['print-signed', 'signing-withdrawn'])) {
    const key = `${stream} ${(JSON.parse(data) as { sheetId: number }).sheetId}`
    if (type === 'print-signed') signed.add(key)
    else signed.delete(key)
  }
  return signed.size
}

/** Sheets spoiled beside the press: torn wrong, creased, dropped. */
async function spoiledIn(room: Pressroom, span: Period): Promise<number> {
  return (await saidIn(room, span, ['sheet-spoiled'])).length
}

async function papersOf(room: Pressroom, span: Period): Promise<YearReply['papers']> {
  const lots = new Map((await allSummariesOf<LotSummary>(room.db.reader, 'lot')).map((lot) => [`lot:${lot.id}`, lot]))
  const found = new Map<string, YearReply['papers'][number]>()
  for (const { stream, data } of await saidIn(room, span, ['lot-torn'])) {
    const { sheets, pieces } = JSON.parse(data) as { sheets: number; pieces: number }
    const lot = lots.get(stream)
    const before = found.get(stream) ?? { name: lot?.name ?? 'a paper', sheets: 0, pieces: 0, cents: 0 }
    found.set(stream, {
      ...before,
      sheets: before.sheets + sheets,
      pieces: before.pieces + pieces,
      cents: before.cents + wholeCents((lot?.price ?? 0) * sheets),
    })
  }
  return [...found.values()].sort((a, b) => b.sheets - a.sheets)
}

/** Sessions at presses, and what was pulled in none, reckoned by its pace. */
async function pressHours(room: Pressroom, span: Period): Promise<YearReply['presses']> {
  const names = new Map((await allSummariesOf<PressSummary>(room.db.reader, 'press')).map(({ id, name }) => [id, name]))
  const { sessions, loose } = await timeAtPresses(room, span)
  const found = new Map<string, { minutes: number; reckoned: number }>()
  const add = (id: string, minutes: number, reckoned: number) => {
    const before = found.get(id) ?? { minutes: 0, reckoned: 0 }
    found.set(id, { minutes: before.minutes + minutes, reckoned: before.reckoned + reckoned })
  }
  for (const session of sessions) if (isIn(span, session.left.at)) add(session.pressId, minutesThere(session), 0)
  for (const { pulls, minutes } of looseRuns(loose, (at) => dayOf(at, room.zone.zone), noRates.minutesPerPull))
    add(pulls[0]!.pressId, minutes, minutes)
  return [...found]
    .map(([id, time]) => ({ name: names.get(id) ?? 'a press', ...time }))
    .sort((a, b) => b.minutes - a.minutes)
}
