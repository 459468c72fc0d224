import { notStoredYet, type When } from '../ground/envelope'
import { paceOver } from '../run/pace'
import type { Printed } from '../station/state'
import type { ChargeLine } from './line'
import { partedCents, wholeCents } from './money'

/** A press as it charges: what an hour costs at a moment, null where no rate holds. */
export interface ChargingPress {
  name: string
  hourAt: (iso: string) => number | null
}

/** Somebody's time at a press, from as found to as left. */
export interface TimeAtPress {
  by: string
  from: string
  left: When
  printed: readonly Printed[]
  /**
   * When its last pull was, where somebody else closed it: it was left open, and nobody stood there until then. Null where
   * its own person closed it.
   */
  lastPull: string | null
}

const hoursWords = (minutes: number) => `${(minutes / 60).toFixed(2)} h`

/** How long somebody was there, minutes. */
export const minutesThere = ({ from, left, lastPull }: Pick<TimeAtPress, 'from' | 'left' | 'lastPull'>): number =>
  Math.max(0, (Date.parse(lastPull ?? left.at) - Date.parse(from)) / 60_000)

/**
 * What a session charges, at the rate that held when it began: parted over the editions printed in it by their pulls, so
 * that the parts add up to the session.
 */
export function sessionCharges(
  { name, hourAt }: ChargingPress,
  { by, from, left, printed, lastPull }: TimeAtPress,
): ChargeLine[] {
  const minutes = minutesThere({ from, left, lastPull })
  const hour = hourAt(from)
  const cents = wholeCents(((hour ?? 0) * minutes) / 60)
  const editions = new Map<string, { title: string; pulls: number }>()
  for (const { editionStream, title, pulls } of printed)
    editions.set(editionStream, { title, pulls: (editions.get(editionStream)?.pulls ?? 0) + pulls })
  const line = (editionStream: string | null, share: number, what: string): ChargeLine => ({
    ...left,
    personId: by,
    editionStream,
    kind: 'press',
    what,
    cents: share,
    isReckoned: lastPull !== null,
    isUnpriced: hour === null,
  })
  const whole = `${hoursWords(minutes)} at ${name}${lastPull === null ? '' : ', to its last pull'}`
  if (editions.size < 2) return [line([...editions.keys()][0] ?? null, cents, whole)]
  const parts = partedCents(
    cents,
    [...editions.values()].map(({ pulls }) => pulls),
  )
  return [...editions].map(([stream, { title }], i) => line(stream, parts[i]!, `${whole}, the part of ${title}`))
}

/** One pull at a press outside any session. */
export interface LoosePull extends When {
  by: string
  editionStream: string
  pressId: string
}

/** Pulls of one person at a press, for one edition, on one day, and how long they took. */
export interface LooseRun {
  pulls: LoosePull[]
  minutes: number
}

/**
 * Pulls that were made while no session was open, reckoned as time: pulls × pace, by person, press, edition and day.
 * @param dayOf the day a moment falls on in the room
 * @param guess minutes a pull where a day has too few to show a pace
 */
export function looseRuns(pulls: readonly LoosePull[], dayOf: (iso: string) => string, guess: number): LooseRun[] {
  const runs = new Map<string, LoosePull[]>()
  for (const pull of pulls) {
    const key = [pull.by, pull.pressId, pull.editionStream, dayOf(pull.at)].join('\n')
    const run = runs.get(key)
    if (run) run.push(pull)
    else runs.set(key, [pull])
  }
  return [...runs.values()].map((run) => ({
    pulls: run,
    minutes: run.length * (paceOver(run.map((pull) => Date.parse(pull.at)).sort((a, b) => a - b)) ?? guess),
  }))
}

/** What those pulls charge, at the rate that held when the first was made. */
export function looseCharges(
  pulls: readonly LoosePull[],
  pressOf: (id: string) => ChargingPress,
  dayOf: (iso: string) => string,
  guess: number,
): ChargeLine[] {
  return looseRuns(pulls, dayOf, guess).map(({ pulls: run, minutes }) => {
    const { by, pressId, editionStream, at } = run[0]!
    const press = pressOf(pressId)
    const hour = press.hourAt(at)
    return {
      at,
      position: Math.min(notStoredYet, ...run.map(({ position }) => position)),
      personId: by,
      editionStream,
      kind: 'press',
      what: `${run.length} ${run.length === 1 ? 'pull' : 'pulls'} at ${press.name}, about ${hoursWords(minutes)}`,
      cents: wholeCents(((hour ?? 0) * minutes) / 60),
      isReckoned: true,
      isUnpriced: hour === null,
    }
  })
}
