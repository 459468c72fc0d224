import { type Context, type Decision, type Happening, refuse, type Role } from '../ledger/envelope'
import { versionOf } from '../ledger/versions'
import type { PastEdition, PastEditionRow } from '../plan/past-editions'
import type { Roller } from '../ink/roller'
import type { LineCustom } from '../plan/plan'
import type { SeriesFormat } from '../register/registration'
import type { LengthUnit } from '../units/length'

/** What new editions and every screen start from. Prices in the studio's currency. */
export interface StudioSettings {
  name: string
  line: LineCustom
  /** What happens to the number of a signed print that is destroyed. */
  destroyedNumber: 'replaced' | 'retired'
  currency: string
  unit: LengthUnit
  inkGram: number
  pressHour: number
  labourHour: number
}

/** What was not asked of a studio before. */
export const studioDefaults: Pick<StudioSettings, 'unit' | 'inkGram' | 'pressHour' | 'labourHour'> = {
  unit: 'mm',
  inkGram: 0,
  pressHour: 0,
  labourHour: 0,
}

export interface StudioEvents {
  'studio-set': StudioSettings
  'past-editions-added': { editions: PastEdition[] }
  'past-edition-withdrawn': { id: string; reason: string }
  'series-format-set': SeriesFormat
  'roller-set': Roller
  'roller-retired': { id: string }
  'person-added': { personId: string; role: Role }
  'person-changed': { personId: string; role: Role; active: boolean }
}

export interface StudioCommands {
  'set-studio': StudioEvents['studio-set']
  'add-past-editions': { editions: PastEditionRow[] }
  'withdraw-past-edition': StudioEvents['past-edition-withdrawn']
  'set-series-format': SeriesFormat
  'set-roller': Roller
  'retire-roller': StudioEvents['roller-retired']
  'add-person': StudioEvents['person-added']
  'change-person': StudioEvents['person-changed']
}

/** The studio's own stream. Names and secrets of people live outside the ledger, under their ids. */
export interface StudioState extends StudioSettings {
  stream: string
  seq: number
  /** Editions from before the ledger, as totals. */
  pastEditions: PastEdition[]
  seriesFormats: SeriesFormat[]
  rollers: Roller[]
  people: Record<string, { role: Role; active: boolean }>
}

export function emptyStudio(stream = 'studio'): StudioState {
  return {
    stream,
    seq: 0,
    name: '',
    line: 'number-title-signature',
    destroyedNumber: 'retired',
    currency: '€',
    ...studioDefaults,
    pastEditions: [],
    seriesFormats: [],
    rollers: [],
    people: {},
  }
}

/** Total: an unknown event only moves the sequence. */
export function evolveStudio(state: StudioState, event: Happening): StudioState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'studio-set':
      return { ...next, ...(event.data as StudioEvents['studio-set']) }
    case 'person-added': {
      const { personId, role } = event.data as StudioEvents['person-added']
      return { ...next, people: { ...state.people, [personId]: { role, active: true } } }
    }
    case 'person-changed': {
      const { personId, role, active } = event.data as StudioEvents['person-changed']
      return { ...next, people: { ...state.people, [personId]: { role, active } } }
    }
    case 'past-editions-added':
      return {
        ...next,
        pastEditions: [...state.pastEditions, ...(event.data as StudioEvents['past-editions-added']).editions],
      }
    case 'past-edition-withdrawn': {
      const { id } = event.data as StudioEvents['past-edition-withdrawn']
      return { ...next, pastEditions: state.pastEditions.filter((edition) => edition.id !== id) }
    }
    case 'series-format-set': {
      const format = event.data as SeriesFormat
      return { ...next, seriesFormats: [...state.seriesFormats.filter((known) => known.id !== format.id), format] }
    }
    case 'roller-set': {
      const roller = event.data as Roller
      return { ...next, rollers: [...state.rollers.filter((known) => known.id !== roller.id), roller] }
    }
    case 'roller-retired':
      return { ...next, rollers: state.rollers.filter((known) => known.id !== (event.data as { id: string }).id) }
    default:
      return next
  }
}

function lastManager(state: StudioState, personId: string): boolean {
  const managers = Object.entries(state.people).filter(([, person]) => person.role === 'manager' && person.active)
  return managers.length === 1 && managers[0]![0] === personId
}

export function decideStudio(state: StudioState, command: { type: string; data: unknown }, context: Context): Decision {
  const append = (type: keyof StudioEvents, data: unknown = command.data): Decision => ({
    events: [{ stream: state.stream, type, version: versionOf(type), data }],
  })
  switch (command.type) {
    case 'set-studio': {
      const data = command.data as StudioCommands['set-studio']
      return data.name.trim() === ''
        ? refuse('name-missing', 'Give the pressroom a name.', 'name')
        : append('studio-set')
    }
    case 'add-past-editions': {
      const { editions } = command.data as StudioCommands['add-past-editions']
      if (editions.length === 0)
        return refuse(
          'nothing-given',
          'No edition was given. Type one, or choose a file with at least one good row.',
          'editions',
        )
      const known = editions.find((given) =>
        state.pastEditions.some(
          (past) =>
            past.title === given.title &&
            past.method === given.method &&
            past.passed === given.passed &&
            past.rejected === given.rejected,
        ),
      )
      if (known)
        return refuse(
          'already-there',
          `“${known.title}” with the same totals is in the book already. Take it out of what you add.`,
          'editions',
        )
      return append('past-editions-added', {
        editions: editions.map((edition, i) => ({ ...edition, id: `${context.commandId}-${i + 1}` })),
      })
    }
    case 'withdraw-past-edition': {
      const { id, reason } = command.data as StudioCommands['withdraw-past-edition']
      if (!state.pastEditions.some((edition) => edition.id === id))
        return refuse('unknown-past-edition', 'That edition is not in the book of past editions any more.', 'id')
      return reason.trim() === ''
        ? refuse('reason-missing', 'Say why these totals no longer count.', 'reason')
        : append('past-edition-withdrawn')
    }
    case 'set-series-format': {
      const format = command.data as SeriesFormat
      if (format.name.trim() === '')
        return refuse('name-missing', 'Give the series a name to find its format by.', 'name')
      return append('series-format-set')
    }
    case 'set-roller': {
      const roller = command.data as Roller
      if (roller.name.trim() === '')
        return refuse('name-missing', 'Give the roller a name to find it by, for instance “large soft”.', 'name')
      return roller.width > 0 && roller.diameter > 0
        ? append('roller-set')
        : refuse('roller-range', 'A roller has a width and a diameter above zero.', 'width')
    }
    case 'retire-roller': {
      const { id } = command.data as StudioCommands['retire-roller']
      return state.rollers.some((roller) => roller.id === id)
        ? append('roller-retired')
        : refuse('unknown-roller', 'That roller is not in the store any more.', 'id')
    }
    case 'add-person': {
      const data = command.data as StudioCommands['add-person']
      return state.people[data.personId]
        ? refuse('already-there', 'This person is in the studio already.')
        : append('person-added')
    }
    default: {
      const data = command.data as StudioCommands['change-person']
      if (!state.people[data.personId]) return refuse('unknown-person', 'That person is not in the studio.')
      if (lastManager(state, data.personId) && (data.role !== 'manager' || !data.active)) {
        return refuse('last-manager', 'This is the only manager. Make someone else a manager first.')
      }
      return append('person-changed')
    }
  }
}
