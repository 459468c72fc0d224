import { checklist, type FindingKey, type Place } from '#core/care/findings'
import type { InkFamily } from '#core/ink/family'
import type { CommandData } from '#core/house/acts'
import type { Desk, DemoPress, EditionInHand } from './desk'

const hour = 60 * 60_000
const day = 24 * hour

const looked = (place: Place, families: InkFamily[], wrong: FindingKey[]) =>
  checklist(place, families).map((key) => ({ key, isRight: !wrong.includes(key) }))

/** Somebody takes a press over for an edition, as it was found. @returns how the press is left */
export async function arrive(
  { desk, by, at }: EditionInHand,
  press: DemoPress,
  wrong: FindingKey[] = [],
  note = '',
): Promise<
  (edition: EditionInHand, left?: Partial<CommandData<'close-session'>>, dirty?: FindingKey[]) => Promise<void>
> {
  const stream = `station:${press.id}`
  const opening: CommandData<'open-session'> = {
    items: looked(press.kind, [], wrong),
    note,
    pictureId: null,
    over: false,
    editionIds: [],
  }
  const { id } = await desk.give(by, stream, 'open-session', opening, at)
  return async (edition, left = {}, dirty = []) => {
    const closing: CommandData<'close-session'> = {
      sessionId: id,
      items: looked(press.kind, [], dirty),
      washed: [{ family: 'oil', name: 'seed oil, then soap', seconds: 180 }],
      stock: '',
      note: '',
      pictureId: null,
      problems: [],
      editionIds: [edition.stream.slice('edition:'.length)],
      ...left,
    }
    await desk.give(edition.by, stream, 'close-session', closing, edition.at)
  }
}

/** What the room washes ink off with, its own rules, and its stations that are no press, one left open since yesterday. */
export async function equipStations(desk: Desk, manager: string, leaver: string): Promise<void> {
  const at = desk.now - 38 * day
  const cleaners: CommandData<'set-cleaner'>[] = [
    { family: 'oil', name: 'seed oil, then soap', minutes: 3, isSolvent: false },
    { family: 'water-washable oil', name: 'soap and water', minutes: 2, isSolvent: false },
    { family: 'water-based', name: 'water, then soap', minutes: null, isSolvent: false },
    { family: 'rubber-based', name: 'lamp spirit', minutes: 1, isSolvent: true },
  ]
  await desk.give(manager, 'studio', 'read-climate', { temperature: 17.5, humidity: 58 }, desk.now - 3 * hour)
  for (const cleaner of cleaners) await desk.give(manager, 'studio', 'set-cleaner', cleaner, at)
  const rules: CommandData<'set-care-rule'>[] = [
    { key: 'rags', rule: 'The red can by the yard door. Whoever locks up takes it to the bin in the yard.' },
    { key: 'nips', rule: 'Nobody cranks the long press before Piers or Ansa has shown them.' },
  ]
  for (const rule of rules) await desk.give(manager, 'studio', 'set-care-rule', rule, at)
  const stations: CommandData<'set-station'>[] = [
    { name: 'North ink table', kind: 'ink table', isUsed: true },
    { name: 'Exposure corner', kind: 'exposure unit', isUsed: true },
    { name: 'Paper cutter', kind: 'paper cutter', isUsed: true },
  ]
  const ids: string[] = []
  for (const station of stations) {
    ids.push(desk.newId(at))
    await desk.give(manager, `station:${ids.at(-1)}`, 'set-station', station, at)
  }
  const [table, , cutter] = ids
  await desk.give(
    leaver,
    `station:${table}`,
    'open-session',
    {
      items: looked('ink table', ['oil'], ['hidden']),
      note: 'ink on the tin of black',
      pictureId: null,
      over: false,
      editionIds: [],
    },
    desk.now - 27 * hour,
  )
  await desk.give(
    manager,
    `station:${cutter}`,
    'raise-task',
    { kind: 'low', what: 'newsprint for proofs: two quires left', pictureId: null },
    desk.now - 4 * hour,
  )
}
