import type { Sequelize } from 'sequelize'
import type { LedgerEvent } from '#core/ground/envelope'
import { seenEvent, type Share } from '#core/house/who-sees'
import { rows } from '../database/connections'

/** Events read at once: enough to be quick, few enough that taps come in between and the memory stays flat. */
const page = 1000

/** An event as its line. Its data goes out as the text it is kept as: read and written anew it could only become another. */
const line = `'{"line":"event","position":' || position || ',"stream":' || json_quote(stream) || ',"seq":' || seq
  || ',"type":' || json_quote(type) || ',"version":' || version || ',"actor":' || json_quote(actor) || ',"via":' || json_quote(via)
  || ',"device":' || json_quote(device) || ',"commandId":' || json_quote(command_id) || ',"occurredAt":' || json_quote(occurred_at)
  || ',"recordedAt":' || json_quote(recorded_at)
  || iif(claimed_at IS NULL, '', ',"claimedAt":' || json_quote(claimed_at)) || ',"data":' || data || ',"hash":' || json_quote(hash) || '}'`

/**
 * Events as lines of a studio file, in pieces, by position.
 * @param upTo the last position
 * @param stream one stream alone, or every one
 */
export async function* eventLines(db: Sequelize, upTo: number, stream: string | null = null): AsyncGenerator<string> {
  for (let after = 0; ;) {
    const found = await rows<{ position: number; text: string }>(
      db,
      `SELECT position, ${line} AS text FROM events
       WHERE position > $1 AND position <= $2 AND ($3 IS NULL OR stream = $3) ORDER BY position LIMIT ${page}`,
      [after, upTo, stream],
    )
    if (found.length > 0) yield `${found.map(({ text }) => text).join('\n')}\n`
    if (found.length < page) return
    after = found.at(-1)!.position
  }
}

/**
 * The same lines as somebody sees them: what is withheld says when and by whom, and not what. It keeps its hash, from which
 * the next one follows.
 */
export async function* seenLines(lines: AsyncIterable<string>, share: Share): AsyncGenerator<string> {
  if (share === 'whole') return yield* lines
  for await (const piece of lines)
    yield piece
      .trimEnd()
      .split('\n')
      .flatMap((text) => {
        const event = JSON.parse(text) as LedgerEvent & { line: 'event' }
        const seen = seenEvent(event, share)
        return seen === event ? `${text}\n` : seen ? `${JSON.stringify({ ...seen, hash: event.hash })}\n` : []
      })
      .join('')
}
