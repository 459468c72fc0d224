import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import type { Role } from '../ground/envelope'
import type { CommandData, CommandType } from '../house/acts'
import { drawnWords } from './drawn'
import { emptyStation, type StationState } from './state'

const opening = { ...samples['open-session'], items: [] }
const closing = { ...samples['close-session'], items: [], washed: [], problems: [], editionIds: ['e1'] }

/** A room with the long press, that is a station by being there. */
function room() {
  const table = new PressTable().tear(4)
  const give = <T extends CommandType>(type: T, data: CommandData<T>, role: Role = 'member', stream = 'station:p1') =>
    table.submit({ type, stream, data, expectedSeq: table.states.get(stream)?.seq }, role).refusal?.code
  const as = (person: string) => {
    table.person = person
  }
  const station = (stream = 'station:p1') => (table.states.get(stream) ?? emptyStation(stream)) as StationState
  give('add-press', samples['add-press'], 'manager', 'press:p1')
  return { table, give, as, station }
}

describe('a session', () => {
  it('is opened at a press that stands in the room, or at a station that was set up', () => {
    const { give, station } = room()
    expect(give('open-session', opening, 'member', 'station:p2')).toBe('unknown-station')
    expect(give('open-session', opening, 'member', 'station:s1')).toBe('unknown-station')
    expect(give('open-session', opening)).toBeUndefined()
    expect(give('set-station', samples['set-station'], 'member', 'station:s1')).toBe('not-allowed')
    expect(give('set-station', { ...samples['set-station'], name: ' ' }, 'manager', 'station:s1')).toBe('name-missing')
    expect(give('set-station', samples['set-station'], 'manager', 'station:s1')).toBeUndefined()
    expect(give('open-session', opening, 'student', 'station:s1')).toBeUndefined()
    expect(station('station:s1').open).toMatchObject({ by: 'p1' })
    give('close-session', { ...closing, sessionId: station('station:s1').open!.id }, 'student', 'station:s1')
    give('set-station', { ...samples['set-station'], isUsed: false }, 'manager', 'station:s1')
    expect(give('open-session', opening, 'student', 'station:s1')).toBe('unknown-station')
  })

  it('is not closed over a solvent by a student who was never shown it', () => {
    const { table, give, as, station } = room()
    give('add-person', { personId: 'p2', role: 'student' }, 'manager', 'studio')
    const spirit = { family: 'oil' as const, name: 'lamp spirit', minutes: null, isSolvent: true }
    give('set-cleaner', spirit, 'manager', 'studio')
    as('p2')
    give('open-session', opening, 'student')
    const sessionId = station().open!.id
    const washed = [{ family: 'oil' as const, name: 'lamp spirit', seconds: null }]
    expect(give('close-session', { ...closing, sessionId, washed }, 'student')).toBe('solvent-gate')
    expect(give('close-session', { ...closing, sessionId, washed: [{ ...washed[0]!, name: 'soap' }] }, 'member')).toBe(
      undefined,
    )
    give('open-session', opening, 'student')
    as('p1')
    expect(give('give-leave', { personId: 'p2', use: 'solvents', pressId: null, note: '' }, 'manager', 'studio')).toBe(
      undefined,
    )
    as('p2')
    expect(give('close-session', { ...closing, sessionId: station().open!.id, washed }, 'student')).toBeUndefined()
    expect(table.states.get('station:p1')).toMatchObject({ open: null })
  })

  it('is not for whom the press is not', () => {
    const { give } = room()
    give('describe-press', { ...samples['add-press'], users: 'staff' }, 'manager', 'press:p1')
    expect(give('open-session', opening)).toBe('press-not-theirs')
    expect(give('open-session', opening, 'instructor')).toBeUndefined()
  })

  it('that was left open does not keep the next one away', () => {
    const { give, as, station } = room()
    give('open-session', opening)
    expect(give('open-session', opening)).toBe('already-open')
    as('p2')
    expect(give('open-session', opening)).toBe('session-open')
    expect(give('open-session', { ...opening, over: true })).toBeUndefined()
    expect(station().open).toMatchObject({ by: 'p2' })
    expect(station().last).toMatchObject({ by: 'p1', left: { how: 'taken over', by: 'p2', items: [] } })
  })

  it('that is taken over keeps what it used', () => {
    const { table, give, as, station } = room()
    table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId: 'p1' })
    give('open-session', opening)
    table.pull(1)
    as('p2')
    give('open-session', { ...opening, over: true, editionIds: ['e1'] })
    expect(station().last!.left.used.printed).toMatchObject([{ title: 'Tide Gauge', pulls: 1 }])
  })

  it('is closed by its person, or by staff as it seems', () => {
    const { give, as, station } = room()
    give('open-session', opening)
    const sessionId = station().open!.id
    as('p2')
    expect(give('close-session', { ...closing, sessionId })).toBe('not-theirs')
    expect(give('close-session', { ...closing, sessionId: 'another' }, 'manager')).toBe('session-gone')
    expect(give('close-session', { ...closing, sessionId }, 'manager')).toBeUndefined()
    expect(station().last!.left).toMatchObject({ how: 'as it seems', by: 'p2', stock: 'the last of the black' })
    expect(give('close-session', { ...closing, sessionId }, 'manager')).toBe('session-gone')
  })

  it('says by the pulls made at its press what was used', () => {
    const { table, give, station } = room()
    const set = (pressId: string) => table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId })
    set('p1')
    table.pull(1)
    give('open-session', opening)
    const { rollUp } = samples['set-roll-up']
    table.must('set-roll-up', { layerId: table.layer, rollUp: { ...rollUp, zones: [] } })
    table.pull(2, { batchIds: ['b1'] })
    const lost = table.pull(3, { batchIds: ['b2'] })
    table.must('void-pull', { pullId: lost, reason: 'not pulled' })
    give('add-press', samples['add-press'], 'manager', 'press:p2')
    set('p2')
    table.pull(4, { batchIds: ['b3'] })
    give('close-session', { ...closing, sessionId: station().open!.id })
    const { printed, batchIds, rollerIds } = station().last!.left.used
    expect(printed).toMatchObject([{ title: 'Tide Gauge', layerId: table.layer, pulls: 1 }])
    expect(batchIds).toEqual(['b1'])
    expect(rollerIds).toEqual([rollUp.roller!.id])
  })
})

describe('what is not right', () => {
  const dirty = [{ key: 'roller', isRight: false } as const]

  it('becomes one task, however often it is found, and none once it is found right', () => {
    const { give, as, station } = room()
    give('open-session', { ...opening, items: dirty })
    expect(station().tasks).toMatchObject([{ kind: 'dirty', finding: 'roller', what: 'a roller dirty', by: 'p1' }])
    as('p2')
    give('open-session', { ...opening, items: dirty, over: true })
    expect(station().tasks).toHaveLength(1)
    const items = [{ key: 'roller', isRight: true } as const]
    give('close-session', { ...closing, sessionId: station().open!.id, items })
    expect(station().tasks).toEqual([])
  })

  it('and what is broken or low waits for an owner, until it is done', () => {
    const { give, as, station } = room()
    give('open-session', opening)
    const problems = [{ kind: 'broken', what: ' ', pictureId: null } as const]
    const sessionId = station().open!.id
    expect(give('close-session', { ...closing, sessionId, problems })).toBe('problem-missing')
    give('close-session', { ...closing, sessionId, problems: samples['close-session'].problems })
    expect(give('raise-task', { kind: 'low', what: '', pictureId: null })).toBe('problem-missing')
    expect(give('raise-task', samples['raise-task'])).toBeUndefined()
    const [screw, paper] = station().tasks.map(({ id }) => id)
    expect(give('own-task', { taskId: 'none', ownerId: 'p1' })).toBe('unknown-task')
    expect(give('own-task', { taskId: screw!, ownerId: 'p2' })).toBe('not-theirs')
    expect(give('own-task', { taskId: screw!, ownerId: 'p2' }, 'instructor')).toBeUndefined()
    expect(give('own-task', { taskId: screw!, ownerId: null })).toBe('not-theirs')
    as('p2')
    expect(give('own-task', { taskId: screw!, ownerId: null })).toBeUndefined()
    expect(give('solve-task', { taskId: screw!, note: 'oiled' })).toBeUndefined()
    expect(give('solve-task', { taskId: screw!, note: '' })).toBe('unknown-task')
    expect(station().tasks.map(({ id }) => id)).toEqual([paper])
  })
})

it('rollers and inks know who had them last, whoever closed that session', () => {
  const { table, give, as, station } = room()
  const batchId = 'b1'
  const roller = { id: 'r1', name: 'large', width: 200, diameter: 60 }
  table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId: 'p1' })
  table.must('set-roll-up', { layerId: table.layer, rollUp: { ...samples['set-roll-up'].rollUp, roller, zones: [] } })
  give('open-session', opening)
  table.pull(1, { batchIds: [batchId] })
  as('p2')
  expect(give('close-session', { ...closing, sessionId: station().open!.id }, 'manager')).toBeUndefined()
  expect(station().uses).toMatchObject([
    { id: 'r1', by: 'p1' },
    { id: batchId, by: 'p1' },
  ])
  give('open-session', opening)
  table.pull(2, { batchIds: [batchId] })
  give('close-session', { ...closing, sessionId: station().open!.id })
  expect(station().uses.map(({ id, by }) => [id, by])).toEqual([
    ['r1', 'p2'],
    [batchId, 'p2'],
  ])
})

it('what was drawn is summed for each tub, batch and lot', () => {
  const draws = [
    { stream: 'tub:a', amount: 1500 },
    { stream: 'lot:p', amount: 1 },
    { stream: 'tub:a', amount: 250 },
  ]
  expect(drawnWords(draws, (stream) => (stream === 'tub:a' ? 'bone black' : 'laid'))).toEqual([
    '1.8 g of bone black',
    '1 sheet of laid',
  ])
})
