import type { Sequelize } from 'sequelize'
import { rows } from './connections'

/**
 * Questions to the whole ledger, across its streams. SQL reads them in one go where folding every stream would take minutes.
 * Moments are text as written, with the offset of whoever wrote them; who needs them in a span compares them as moments.
 */

/** When the first event of the room was stored, ISO instant; none in a room without events. */
export async function firstRecordedAt(db: Sequelize): Promise<string | null> {
  const [first] = await rows<{ at: string }>(db, 'SELECT recorded_at AS at FROM events WHERE position = 1')
  return first?.at ?? null
}

/** How many events there are of each kind of stream, up to a position. */
export async function eventsByKind(db: Sequelize, upTo: number): Promise<ReadonlyMap<string, number>> {
  const found = await rows<{ kind: string; events: number }>(
    db,
    `SELECT CASE instr(stream, ':') WHEN 0 THEN stream ELSE substr(stream, 1, instr(stream, ':') - 1) END AS kind, count(*) AS events
     FROM events WHERE position <= $1 GROUP BY kind`,
    [upTo],
  )
  return new Map(found.map(({ kind, events }) => [kind, events]))
}

/** Streams of editions in the order they were begun. */
export async function editionStreams(db: Sequelize): Promise<string[]> {
  const found = await rows<{ stream: string }>(
    db,
    `SELECT stream FROM events WHERE seq = 1 AND stream LIKE 'edition:%' ORDER BY position`,
  )
  return found.map(({ stream }) => stream)
}

export interface EventSaid {
  position: number
  stream: string
  type: string
  version: number
  actor: string
  at: string
  /** JSON as it was stored. */
  data: string
}

/** Events of some types, in the order of the ledger. */
export async function eventsOfTypes(db: Sequelize, types: readonly string[]): Promise<EventSaid[]> {
  const places = types.map((_, i) => `$${i + 1}`).join(', ')
  return await rows<EventSaid>(
    db,
    `SELECT position, stream, type, version, actor, happened_at AS at, data FROM events
     WHERE type IN (${places}) ORDER BY position`,
    [...types],
  )
}

/** Every picture that an event names, wherever in it. */
export async function picturesNamed(db: Sequelize): Promise<string[]> {
  const found = await rows<{ id: string }>(
    db,
    `SELECT DISTINCT part.value AS id FROM events, json_tree(events.data) AS part
     WHERE events.data LIKE '%"pictureId":"%' AND part.key = 'pictureId' AND part.type = 'text'`,
  )
  return found.map(({ id }) => id)
}

/** What a person drew from the stores after a position: ink by weight (mg), paper by the sheet; an event has one of the two. */
export async function drawsOf(
  db: Sequelize,
  personId: string,
  after: number,
): Promise<{ stream: string; amount: number; title: string | null }[]> {
  return await rows(
    db,
    `SELECT events.stream,
       coalesce(json_extract(events.data, '$.milligrams'), json_extract(events.data, '$.sheets')) AS amount,
       summaries.title
     FROM events LEFT JOIN summaries ON summaries.stream = events.stream
     WHERE events.position > $1 AND events.actor = $2 AND events.type IN ('ink-taken', 'ink-drawn', 'lot-torn')
     ORDER BY events.position`,
    [after, personId],
  )
}

/** What went out of the stores by itself since a moment (ISO instant), by stream: sheets of a lot, milligrams of a tub. */
export async function usedSince(db: Sequelize, since: string): Promise<ReadonlyMap<string, number>> {
  const found = await rows<{ stream: string; used: number }>(
    db,
    `SELECT stream, sum(json_extract(data, CASE type WHEN 'lot-torn' THEN '$.sheets' ELSE '$.milligrams' END)) AS used
     FROM events WHERE type IN ('lot-torn', 'ink-taken') AND recorded_at >= $1 GROUP BY stream`,
    [since],
  )
  return new Map(found.map(({ stream, used }) => [stream, used]))
}

/** Streams of the batches of which ink was drawn for an edition. */
export async function batchesDrawnFor(db: Sequelize, editionStream: string): Promise<string[]> {
  const found = await rows<{ stream: string }>(
    db,
    `SELECT DISTINCT stream FROM events
     WHERE type = 'ink-drawn' AND json_extract(data, '$.editionStream') = $1`,
    [editionStream],
  )
  return found.map(({ stream }) => stream)
}

/** When each edition's last pull after a position was stored, by the server's clock. */
export async function lastPulls(db: Sequelize, after: number): Promise<{ stream: string; at: string }[]> {
  return await rows(
    db,
    `SELECT stream, max(recorded_at) AS at FROM events WHERE position > $1 AND type = 'pulled' GROUP BY stream`,
    [after],
  )
}

/** Ids of the pulls that are void, by the last that was said of each. */
export async function voidPulls(db: Sequelize): Promise<ReadonlySet<string>> {
  const found = await rows<{ id: string; type: string }>(
    db,
    `SELECT json_extract(data, '$.pullId') AS id, type FROM events
     WHERE type IN ('pull-voided', 'pull-restored') ORDER BY position`,
  )
  const voided = new Set<string>()
  for (const { id, type } of found) {
    if (type === 'pull-voided') voided.add(id)
    else voided.delete(id)
  }
  return voided
}

/** Which press each set-up of a layer was on. @returns press ids by stream, layer and `seq` of the set-up, spaces between */
export async function pressOfSetups(db: Sequelize): Promise<ReadonlyMap<string, string>> {
  const found = await rows<{ stream: string; seq: number; layer: string; press: string }>(
    db,
    `SELECT stream, seq, json_extract(data, '$.layerId') AS layer, json_extract(data, '$.setup.pressId') AS press
     FROM events WHERE type = 'press-set'`,
  )
  return new Map(found.map(({ stream, seq, layer, press }) => [`${stream} ${layer} ${seq}`, press]))
}

/** Pulls of one layer by one person with one set-up. */
export interface PullsTogether {
  stream: string
  actor: string
  layerId: string
  setupSeq: number
  /** Each with the id of its command, which is the pull's. */
  pulls: { position: number; at: string; id: string }[]
}

/** Pulls from a moment to another (ISO instants, compared as text). */
export async function pullsBetween(db: Sequelize, from: string, until: string): Promise<PullsTogether[]> {
  // A year has a hundred thousand pulls of some hundred layers: as a row each they take three times as long to read.
  const found = await rows<{ stream: string; actor: string; setup: string; pulls: string }>(
    db,
    `SELECT stream, actor, setup, group_concat(position || '|' || happened_at || '|' || command_id, ';') AS pulls FROM (
       SELECT stream, actor, position, happened_at, command_id, json_extract(data, '$.layerId', '$.setupSeq') AS setup
       FROM events WHERE type = 'pulled' AND happened_at >= $1 AND happened_at < $2)
     GROUP BY stream, actor, setup`,
    [from, until],
  )
  return found.map(({ stream, actor, setup, pulls }) => {
    const [layerId, setupSeq] = JSON.parse(setup) as [string, number]
    return {
      stream,
      actor,
      layerId,
      setupSeq,
      // By signs that no moment has in it, which may have a comma or a space.
      pulls: pulls.split(';').map((text) => {
        const [position, at, id] = text.split('|') as [string, string, string]
        return { position: Number(position), at, id }
      }),
    }
  })
}

/** The newest pulls at a press, in the order of the ledger. */
export async function pullsAtPress(
  db: Sequelize,
  pressId: string,
  most: number,
): Promise<{ stream: string; layerId: string; setupSeq: number; at: string }[]> {
  return await rows(
    db,
    `SELECT stream, layerId, setupSeq, at FROM (
       SELECT e.position, e.stream, json_extract(e.data, '$.layerId') AS layerId,
         json_extract(e.data, '$.setupSeq') AS setupSeq, e.happened_at AS at
       FROM events AS e WHERE e.type = 'pulled' AND EXISTS (
         SELECT 1 FROM events AS s WHERE s.stream = e.stream AND s.seq = json_extract(e.data, '$.setupSeq')
           AND s.type = 'press-set' AND json_extract(s.data, '$.setup.pressId') = $1)
       ORDER BY e.position DESC LIMIT $2) ORDER BY position`,
    [pressId, most],
  )
}

/** Signs that the search of the database would take for wildcards. */
const literally = (word: string) => `%${word.replaceAll(/[~%_]/g, (sign) => `~${sign}`)}%`

/**
 * Uses of a press, newest first, that every word is found in: in what was set, or in what is known of its edition and layer.
 * @param words in small letters
 */
export async function pressUses(
  db: Sequelize,
  pressId: string,
  words: readonly string[],
  most: number,
): Promise<(Pick<EventSaid, 'position' | 'actor' | 'at' | 'data'> & { via: string | null })[]> {
  const asked = words.map((_, i) => `AND told LIKE $${i + 3} ESCAPE '~'`).join(' ')
  return await rows(
    db,
    `SELECT position, actor, via, happened_at AS at, data FROM (
       SELECT events.*, lower(
         events.data || ' ' || coalesce(json_extract(summaries.data, '$.printedWith.all'), '') || ' ' ||
         coalesce(json_extract(summaries.data, '$.printedWith.inks."' || json_extract(events.data, '$.layerId') || '"'), '')
       ) AS told
       FROM events LEFT JOIN summaries ON summaries.stream = json_extract(events.data, '$.editionStream')
       WHERE events.stream = $1 AND events.type = 'press-used'
     ) WHERE TRUE ${asked} ORDER BY seq DESC LIMIT $2`,
    [`press:${pressId}`, most, ...words.map(literally)],
  )
}

/** A search as the index understands it: each word begins a word, whatever signs stand in it. */
const beginnings = (words: readonly string[]) => words.map((word) => `"${word.replaceAll('"', '""')}"*`).join(' AND ')

/** Summaries of which every word begins a word, editions first, what changed last before others. */
export async function summariesFound(
  db: Sequelize,
  words: readonly string[],
  most: number,
): Promise<{ stream: string; kind: string; title: string; data: string }[]> {
  return await rows(
    db,
    `SELECT s.stream, s.kind, s.title, s.data FROM finds JOIN summaries AS s ON s.stream = finds.stream
     WHERE finds MATCH $1 ORDER BY s.kind <> 'edition', s.changed_at DESC LIMIT $2`,
    [`words : (${beginnings(words)})`, most],
  )
}
