import { readOldDay } from '../time/day'

type Data = Record<string, unknown>
type Mend = (data: Data) => Data

const mended = (data: Data, ...keys: string[]): Data =>
  Object.assign({}, data, ...keys.filter((key) => key in data).map((key) => ({ [key]: readOldDay(data[key]) })))

const inPlan: Mend = (data) => ({ ...data, plan: mended(data.plan as Data, 'due') })

/** A cut's day is always known: where no day can be read it comes before all others. */
const cut = (state: Data): Data => ({ ...state, cutOn: readOldDay(state.cutOn) ?? '' })

const inStates: Mend = (data) =>
  Array.isArray(data.states) ? { ...data, states: (data.states as Data[]).map(cut) } : data

/**
 * Days as earlier versions accepted them: week dates, days of the year, 31 February, with a time behind. What reads days
 * today expects the one way they are written, so they are read as the day that was meant. Idempotent, and what the door
 * takes today passes unchanged.
 */
const mends: ReadonlyMap<string, Mend> = new Map<string, Mend>([
  ['edition-started', inPlan],
  ['plan-changed', inPlan],
  ['assigned', (data) => mended(data, 'due', 'opens')],
  ['assignment-set', (data) => inPlan(mended(data, 'due', 'opens'))],
  ['course-begun', (data) => mended(data, 'from', 'until')],
  ['course-described', (data) => mended(data, 'from', 'until')],
  ['tub-added', (data) => mended(data, 'openedOn')],
  ['tub-described', (data) => mended(data, 'openedOn')],
  ['block-state-recorded', cut],
  ['block-written', inStates],
  ['block-used', inStates],
])

/** The data of an event with its days as they are written today. */
export function withWrittenDays(type: string, data: Data): Data {
  return mends.get(type)?.(data) ?? data
}
