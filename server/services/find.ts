import { sheetWords } from '#core/edition/sheet-words'
import type { EditionState } from '#core/edition/state'
import { streamId } from '#core/ground/envelope'
import { shareOf, type Viewer } from '#core/house/who-sees'
import { type Asked, asked } from '#core/print/asked-number'
import type { Series } from '#core/print/series'
import type { EditionSummary, FindReply, Found, PressSummary } from '#shared/replies/replies'
import { summariesFound } from '../database/over-events'
import { streamsListed } from '../database/summaries'
import type { Pressroom } from './pressroom'

const most = 12
/** Editions whose sheets and numbers are looked at: the ones found, or the newest. */
const lookedInto = 3

type Line = Awaited<ReturnType<typeof summariesFound>>[number]

async function linesFor(room: Pressroom, words: readonly string[], viewer: Viewer): Promise<Line[]> {
  // Signs alone are no word of the index.
  const spoken = words.filter((word) => /[\p{L}\p{N}]/u.test(word))
  if (spoken.length === 0) return []
  const lines = await summariesFound(room.db.reader, spoken, most * 4)
  const isSeen = ({ stream }: Line) => {
    const share = shareOf(viewer, stream, room.owners.isOwn)
    return share !== 'nothing' && share !== 'bare'
  }
  return lines.filter(isSeen).slice(0, most)
}

/** What a line of the lists is, in the words of the room, and where it is seen. */
function lineFound({ stream, kind, title, data }: Line): Found {
  const id = streamId(stream)
  switch (kind) {
    case 'edition': {
      const { state, made, good, goal } = JSON.parse(data) as EditionSummary
      const how = made === 0 ? 'nothing torn yet' : `${good} good of ${goal} wanted`
      return { kind: 'edition', words: title, told: `${state}, ${how}`, to: `/editions/${id}` }
    }
    case 'batch': {
      const { left } = JSON.parse(data) as { left: number }
      return { kind: 'ink', words: title, told: `${(left / 1000).toFixed(1)} g left`, to: '/ink' }
    }
    case 'tub':
      return { kind: 'tub', words: title, told: 'on the ink slab', to: '/ink' }
    case 'lot': {
      const { left } = JSON.parse(data) as { left: number }
      return { kind: 'paper', words: title, told: `${left} left`, to: '/paper' }
    }
    case 'press': {
      const { standing } = JSON.parse(data) as PressSummary
      return {
        kind: 'press',
        words: title,
        told: standing ? `set up for ${standing.title}` : 'free',
        to: `/presses/${id}`,
      }
    }
    case 'station':
      return { kind: 'station', words: title, told: '', to: `/stations/${id}` }
    case 'block':
      return { kind: 'block', words: title, told: '', to: '/editions' }
    default:
      return { kind, words: title, told: '', to: '/editions' }
  }
}

/** Sheets and numbers of an edition that the number may mean. */
function sheetsFound(state: EditionState, { number, series }: Asked): Found[] {
  const to = (stop: string) => `/editions/${streamId(state.stream)}/${stop}`
  const told = (id: number) => sheetWords(state, state.sheets[id - 1]!)
  const numbered = state.sheets.filter(
    ({ mark }) =>
      mark && mark.number === number && (series === null ? mark.series === 'edition' : mark.series === series),
  )
  const prints = numbered.map(({ id, mark }) => ({
    kind: 'print',
    words: `${said(mark!.series)}${number} of ${state.title}`,
    told: `sheet ${id}, ${told(id)}`,
    to: to('sign'),
  }))
  if (series !== null || !state.sheets[number! - 1]) return prints
  return [
    { kind: 'sheet', words: `sheet ${number} of ${state.title}`, told: told(number!), to: to('pull') },
    ...prints.filter(({ told: line }) => !line.startsWith(`sheet ${number},`)),
  ]
}

const said = (series: Series) => (series === 'edition' ? 'number ' : `${series} `)

/** Everything that what was typed may mean, the likeliest first. */
export async function find(room: Pressroom, text: string, viewer: Viewer): Promise<FindReply> {
  const wanted = asked(text)
  const lines = await linesFor(room, wanted.words, viewer)
  const people = room.people
    .all()
    .filter(({ name }) => wanted.words.length > 0 && wanted.words.every((word) => hasWord(name, word)))
    .map(({ name, role, active }) => ({
      kind: 'person',
      words: name,
      told: active ? role : `${role}, has left`,
      to: '/office',
    }))
  const sheets = wanted.number === null ? [] : await sheetsIn(room, wanted, lines)
  return { found: [...sheets, ...lines.map(lineFound), ...people].slice(0, most) }
}

const hasWord = (name: string, word: string) =>
  name
    .toLowerCase()
    .split(/\s+/)
    .some((part) => part.startsWith(word))

/** Editions whose sheets are meant: those whose title has every word whole, else those in which each begins a word. */
function meant(words: readonly string[], lines: readonly Line[]): string[] {
  const editions = lines.filter(({ kind }) => kind === 'edition')
  const whole = editions.filter(({ title }) => {
    const own = title.toLowerCase().split(/[^\p{L}\p{N}]+/u)
    return words.every((word) => own.includes(word.toLowerCase()))
  })
  return (whole.length > 0 ? whole : editions).map(({ stream }) => stream)
}

async function sheetsIn(room: Pressroom, wanted: Asked, lines: readonly Line[]): Promise<Found[]> {
  const editions =
    wanted.words.length > 0
      ? meant(wanted.words, lines)
      : await streamsListed(room.db.reader, 'edition', { limit: lookedInto })
  const states = await Promise.all(
    editions.slice(0, lookedInto).map((stream) => room.ledger.read<EditionState>(stream)),
  )
  return states.flatMap((state) => sheetsFound(state, wanted))
}
