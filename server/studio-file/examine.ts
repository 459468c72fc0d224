import { agree, pluralise } from '#core/units/pluralise'
import type { CalendarState } from '#core/calendar/state'
import { isZone } from '#core/time/zone'
import type { StudioState } from '#core/stores/studio/state'
import { emptyState, fold } from '#core/house/streams'
import type { StudioFileReport } from '#shared/replies/studio-file'
import { allBreaks } from '../database/breaks'
import { type Connections, rows } from '../database/connections'
import { readStream } from '../database/events'
import { eventsByKind } from '../database/over-events'
import { putSummaries, summaryFromEvents } from '../database/summaries'
import type { SummaryRow } from '../database/tables'
import type { PersonLine } from './lines'
import type { Problems } from './problems'
import type { Staged } from './staged'

const page = 50

/** Every stream folded as the room will fold it: what cannot be is told. The lists' lines are kept for it. */
async function foldAll({ writer, long }: Connections, problems: Problems): Promise<void> {
  for (let after = ''; ;) {
    const found = await rows<{ stream: string }>(
      long,
      `SELECT DISTINCT stream FROM events WHERE stream > $1 AND instr(stream, ':') > 0 ORDER BY stream LIMIT ${page}`,
      [after],
    )
    const lines: SummaryRow[] = []
    for (const { stream } of found) {
      try {
        const line = summaryFromEvents(stream, await readStream(long, stream))
        if (line) lines.push(line)
      } catch (error) {
        problems.tell(`${stream} cannot be read here: ${(error as Error).message}`)
      }
    }
    await putSummaries((sql, bind) => writer.query(sql, { bind }), lines)
    if (found.length < page) return
    after = found.at(-1)!.stream
  }
}

async function studioOf(db: Connections, problems: Problems): Promise<StudioState> {
  const empty = emptyState('studio') as StudioState
  try {
    return fold(empty, (await readStream(db.long, 'studio')).events)
  } catch (error) {
    problems.tell(`The studio’s own stream cannot be read here: ${(error as Error).message}`)
    return empty
  }
}

/** What of the room's clock cannot be followed here; its days are right again once the hours are set anew. */
async function zoneRemarks(db: Connections): Promise<string[]> {
  const { events } = await readStream(db.long, 'calendar')
  const { timeZone } = fold(emptyState('calendar') as CalendarState, events)
  return isZone(timeZone)
    ? []
    : [
        `The room keeps the clock of “${timeZone}”, which this server does not know: its days go by UTC here until somebody sets the room’s hours anew.`,
      ]
}

/** The people of the file are those of its ledger, and one of them can open the room. */
async function checkPeople(staged: Staged, studio: StudioState, problems: Problems): Promise<void> {
  const names = new Set<string>()
  for (const { id, name, role, active } of staged.people) {
    const known = studio.people[id]
    if (!known) problems.tell(`${name} is of another room: the ledger does not know that person.`)
    else if (known.role !== role || known.active !== active)
      problems.tell(`${name} is ${role} in the list of people, and ${known.role} in the ledger.`)
    if (names.has(name.toLocaleLowerCase())) problems.tell(`There are two people called ${name}.`)
    names.add(name.toLocaleLowerCase())
  }
  const listed = new Set(staged.people.map(({ id }) => id))
  const lacking = Object.keys(studio.people).filter((id) => !listed.has(id))
  if (lacking.length > 0)
    problems.tell(
      `${pluralise(lacking.length, 'person')} of the ledger ${agree(lacking.length, 'is', 'are')} missing in the list of people: ${lacking.join(', ')}.`,
    )
  const strangers = await rows<{ id: string }>(
    staged.db.long,
    'SELECT actor AS id FROM events UNION SELECT via FROM events WHERE via IS NOT NULL',
  )
  const unknown = strangers.filter(({ id }) => !listed.has(id) && !lacking.includes(id))
  if (unknown.length > 0)
    problems.tell(
      `What ${pluralise(unknown.length, 'person')} did is there, but not who did it: ${unknown.map(({ id }) => id).join(', ')}.`,
    )
  if (managersOf(staged.people).length === 0)
    problems.tell('Nobody of the file is an active manager, who could open the room.')
}

const managersOf = (people: readonly PersonLine[]) =>
  people.filter(({ role, active }) => role === 'manager' && active).map(({ id, name }) => ({ id, name }))

/** Everything that stands against taking what was read, and what it holds. */
export async function examine(staged: Staged, problems: Problems): Promise<StudioFileReport | null> {
  const { db, head, people, pictures, named } = staged
  if (!head) return null
  if (head.events > 0)
    await db.writer.query('INSERT OR REPLACE INTO heads (position, head) VALUES ($1, $2)', {
      bind: [head.events, head.head],
    })
  for (const { position, stream, what } of await allBreaks(db.long, { position: head.events, head: head.head }))
    problems.tell(`Event ${position}${stream === '' ? '' : ` (${stream})`}: ${what}.`)
  await foldAll(db, problems)
  await checkPeople(staged, await studioOf(db, problems), problems)
  if (head.version === 1) await staged.commandsFromEvents()
  const strays = await rows<{ id: string }>(
    db.long,
    `SELECT c.id FROM commands AS c LEFT JOIN events AS e ON e.position = c.reply ->> '$.position'
     WHERE e.command_id IS NOT c.id LIMIT 20`,
  )
  for (const { id } of strays) problems.tell(`The command ${id} made no event where it says it did.`)
  for (const [kind, events] of await eventsByKind(db.long, Number.MAX_SAFE_INTEGER))
    if (head.streams[kind] !== events)
      problems.tell(`The head says there are ${head.streams[kind] ?? 0} events of the kind “${kind}”; ${events} came.`)
  const [about] = await rows<{ editions: number; from: string | null; to: string | null }>(
    db.long,
    `SELECT count(DISTINCT CASE WHEN stream LIKE 'edition:%' THEN stream END) AS editions, min(happened_at) AS "from", max(happened_at) AS "to" FROM events`,
  )
  const lost = [...named].filter((id) => !pictures.has(id)).length
  return {
    studio: head.studio,
    managers: managersOf(people),
    people: people.length,
    editions: about!.editions,
    impressions: staged.impressions,
    events: staged.events,
    pictures: pictures.size,
    kept: about!.from && about!.to ? { from: about!.from, to: about!.to } : null,
    head: head.head,
    remarks: [
      ...(lost > 0
        ? [
            `${pluralise(lost, 'picture')} that ${agree(lost, 'is', 'are')} named ${agree(lost, 'is', 'are')} not in the file: lost before it was written.`,
          ]
        : []),
      ...(await zoneRemarks(db)),
    ],
  }
}
