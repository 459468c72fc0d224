import { addTouch, type Moment, touchKey, type TouchRecord } from '../drying/moments'
import type { EditionState, TouchTest } from './state'

const isOf = (test: TouchTest, layerId: string, moment: Moment) => test.layerId === layerId && test.moment === moment

/**
 * What this edition's tests add to the room's record: for each layer and moment one ratio of found to expected. Found is
 * between the last test that was wet and the first that was dry; a first dry test that came late, and a wet one that came
 * early, say nothing.
 */
export function touchRecordOf({ touchTests }: Pick<EditionState, 'touchTests'>): Record<string, TouchRecord> {
  let record: Record<string, TouchRecord> = {}
  const pairs = new Set(touchTests.map(({ layerId, moment }) => `${moment} ${layerId}`))
  for (const pair of pairs) {
    const [moment] = pair.split(' ', 1) as [Moment]
    const tests = touchTests.filter((test) => isOf(test, pair.slice(moment.length + 1), moment))
    const dry = tests.find(({ isDry }) => isDry)
    const wet = tests.findLast((test) => !test.isDry && (dry === undefined || test.position < dry.position))
    const said = dry ?? wet
    const ratio = ratioOf(wet, dry)
    if (said && ratio !== null)
      record = addTouch(record, { [touchKey(said.family, said.paper)]: { logs: Math.log(ratio), tests: 1 } })
  }
  return record
}

function ratioOf(wet: TouchTest | undefined, dry: TouchTest | undefined): number | null {
  if (wet && dry) return Math.sqrt(Math.max(wet.hours, 0.05) * Math.max(dry.hours, 0.05)) / dry.expected
  if (dry) return dry.hours < dry.expected ? Math.max(dry.hours, 0.05) / dry.expected : null
  return wet && wet.hours > wet.expected ? wet.hours / wet.expected : null
}
