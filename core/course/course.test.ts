import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plan } from '../../tests/fixtures/plan'
import { samples } from '../../tests/fixtures/requests'
import type { EditionState } from '../edition/state'
import type { Role } from '../ground/envelope'
import type { CommandData, CommandType } from '../house/acts'
import { decide, emptyState, evolve, statesFor, type StreamState } from '../house/streams'
import { inHand, type LotState, putAside } from '../stores/lot/state'
import { drawExchange } from './draw'
import { assignmentOf, type CourseState, withoutEdition } from './state'

const evening: CommandData<'begin-course'> = {
  name: 'Tuesday evening',
  term: 'autumn',
  from: '2026-09-08',
  until: '2026-12-15',
  meets: [{ weekday: 2, from: '18:00', until: '21:00' }],
  instructorIds: ['tove'],
}
const sixOfOne: CommandData<'set-assignment'> = {
  assignmentId: 'a',
  title: 'Six of one',
  plan: { ...plan, size: 6, method: 'reduction', layersPlanned: 2, layering: 'ahead' },
  gates: ['press', 'paper', 'cut'],
  practice: 2,
  opens: null,
  mayReplan: false,
  due: '2026-12-08',
  paper: { lotId: 'l1', sheets: 2 },
  pictures: ['the whole edition'],
  points: ['even inking'],
  editionIds: [],
}

/** A class of three with a press, and paper for it. */
class Evening {
  readonly states = new Map<string, StreamState>()
  private commands = 0

  constructor() {
    const people: [string, Role][] = [
      ['tove', 'instructor'],
      ['ada', 'student'],
      ['bo', 'student'],
      ['cy', 'student'],
    ]
    for (const [personId, role] of people) this.must('add-person', 'studio', { personId, role }, 'root', 'manager')
    this.must('add-lot', 'lot:l1', { ...samples['add-lot'], sheets: 7 })
    this.must('begin-course', 'course:c1', evening)
    this.must('enrol-students', 'course:c1', { personIds: ['ada', 'bo', 'cy'] })
    this.must('set-assignment', 'course:c1', sixOfOne)
  }

  of<State extends StreamState>(stream: string): State {
    return (this.states.get(stream) ?? emptyState(stream)) as State
  }

  get course(): CourseState {
    return this.of('course:c1')
  }

  /** Whose days the room keeps. */
  zone = 'Europe/Oslo'

  /** @returns the refusal's code, or `done` */
  give<T extends CommandType>(
    type: T,
    stream: string,
    data: CommandData<T>,
    personId = 'tove',
    role: Role = 'instructor',
  ): string {
    const commandId = `c${++this.commands}`
    const occurredAt = new Date(Date.UTC(2026, 10, 3, 17, this.commands)).toISOString()
    const command = { type, stream, data, expectedSeq: this.of(stream).seq }
    const states = statesFor(command, (name) => this.of(name))
    const decision = decide(states, command, { personId, role, commandId, occurredAt, zone: this.zone })
    if ('refusal' in decision) return decision.refusal.code
    for (const event of decision.events) {
      const state = this.of(event.stream)
      const happened = { ...event, seq: state.seq + 1, actor: personId, occurredAt }
      this.states.set(event.stream, evolve(state, happened))
    }
    return 'done'
  }

  must<T extends CommandType>(type: T, stream: string, data: CommandData<T>, by = 'tove', role: Role = 'instructor') {
    expect([type, this.give(type, stream, data, by, role)]).toEqual([type, 'done'])
  }

  start(...ids: string[]): string {
    return this.give('start-assignment', 'course:c1', {
      assignmentId: 'a',
      lotId: 'l1',
      editions: ids.map((id) => ({ editionId: `of-${id}`, personIds: [id], title: 'Slipway', artist: id })),
    })
  }
}

describe('a class', () => {
  it('starts everybody’s edition in one act, with the paper put aside', () => {
    const room = new Evening()
    expect(room.start('ada', 'bo', 'cy')).toBe('done')
    for (const id of ['ada', 'bo', 'cy']) {
      const edition = room.of<EditionState>(`edition:of-${id}`)
      expect(edition).toMatchObject({ title: 'Slipway', artistId: id, printerIds: [id] })
      expect(edition.layers).toHaveLength(2)
      expect(edition.plan).toMatchObject({ artist: id, due: '2026-12-08', size: 6 })
      expect(edition.assignment).toMatchObject({ courseId: 'c1', course: 'Tuesday evening', gates: sixOfOne.gates })
    }
    expect(putAside(room.of<LotState>('lot:l1'))).toBe(6)
    expect(withoutEdition(room.course, assignmentOf(room.course, 'a')!)).toEqual([])
  })

  it('starts nothing when one of them cannot be started', () => {
    const room = new Evening()
    expect(room.start('ada')).toBe('done')
    expect(room.start('bo', 'ada')).toBe('begun-already')
    expect(room.of<EditionState>('edition:of-bo').plan).toBeNull()
    room.must('take-off-course', 'course:c1', { personId: 'bo' })
    expect(room.start('bo')).toBe('not-enrolled')
    room.must('count-lot', 'lot:l1', { sheets: 3, reason: 'counted' })
    expect(room.start('cy')).toBe('stock-short')
    expect(room.of<EditionState>('edition:of-cy').plan).toBeNull()
  })

  it('says so when nobody comes to it', () => {
    const room = new Evening()
    for (const personId of ['ada', 'bo', 'cy']) room.must('take-off-course', 'course:c1', { personId })
    expect(room.start('ada')).toBe('no-students')
  })

  it('lets several print one edition, and nobody two of one assignment', () => {
    const room = new Evening()
    const together = (...personIds: string[]) => ({
      editionId: `of-${personIds[0]}`,
      personIds,
      title: 'Quay',
      artist: '',
    })
    const start = (editions: ReturnType<typeof together>[]) =>
      room.give('start-assignment', 'course:c1', { assignmentId: 'a', lotId: 'l1', editions })
    expect(start([together('ada', 'bo'), together('bo')])).toBe('person-twice')
    expect(start([together('ada', 'bo')])).toBe('done')
    expect(room.of<EditionState>('edition:of-ada')).toMatchObject({ artistId: null, printerIds: ['ada', 'bo'] })
    expect(room.start('bo')).toBe('begun-already')
  })

  it('carries changed terms to every edition begun, and to none when one is left out', () => {
    const room = new Evening()
    room.start('ada', 'bo')
    const changed = { ...sixOfOne, gates: [], practice: 5 }
    expect(room.give('set-assignment', 'course:c1', { ...changed, editionIds: ['of-ada'] })).toBe('stale')
    room.must('set-assignment', 'course:c1', { ...changed, editionIds: ['of-ada', 'of-bo'] })
    expect(room.of<EditionState>('edition:of-bo').assignment).toMatchObject({ gates: [], practice: 5 })
    expect(room.of<EditionState>('edition:of-bo').plan!.size).toBe(6)
  })

  it.each([
    [{ name: ' ' }, 'course-unfit'],
    [{ until: '2026-09-01' }, 'course-unfit'],
    [{ meets: [{ weekday: 2, from: '21:00', until: '18:00' }] }, 'course-unfit'],
    [{ instructorIds: [] }, 'course-unfit'],
    [{ instructorIds: ['ada'] }, 'not-staff'],
    [{ instructorIds: ['nobody'] }, 'unknown-person'],
  ])('is not begun with %j', (wrong, code) => {
    expect(new Evening().give('begin-course', 'course:c2', { ...evening, ...wrong })).toBe(code)
  })
})

describe('gates', () => {
  const begun = () => {
    const room = new Evening()
    room.start('ada', 'bo')
    room.must('add-press', 'press:p1', samples['add-press'])
    return room
  }
  const ada = ['ada', 'student'] as const
  const stream = 'edition:of-ada'
  const layerOf = (room: Evening, i = 0) => room.of<EditionState>(stream).layers[i]!.id
  const pull = (room: Evening, more: Partial<CommandData<'pull'>>): CommandData<'pull'> => ({
    layerId: layerOf(room),
    kind: 'proof',
    proofKind: null,
    verdict: 'good',
    sheetIds: [],
    faults: [],
    rescued: null,
    wetOnWet: false,
    setupSeq: 0,
    batchIds: [],
    ...more,
  })
  const tear: CommandData<'tear'> = {
    lotId: 'l1',
    lotSheets: 1,
    count: 4,
    images: 1,
    wrong: 0,
    reason: '',
    width: 0,
    height: 0,
    rationId: null,
    offcuts: [],
  }
  const off = (what: 'paper' | 'cut', layerId: string | null = null): CommandData<'sign-off'> => ({
    what,
    layerId,
    pressId: null,
    personId: null,
    note: '',
    paper: null,
  })

  it('gives good paper once a proof has passed, out of what was put aside', () => {
    const room = begun()
    expect(room.give('tear', stream, tear, ...ada)).toBe('paper-gate')
    expect(room.give('sign-off', stream, off('paper'))).toBe('no-proof')
    room.must('pull', stream, pull(room, {}), ...ada)
    room.must('ask', stream, { what: 'paper', layerId: null, pressId: null, words: '' }, ...ada)
    expect(room.give('ask', stream, { what: 'paper', layerId: null, pressId: null, words: '' }, ...ada)).toBe(
      'asked-already',
    )
    const ration = room.of<LotState>('lot:l1').rations.find(({ personId }) => personId === 'ada')!
    const paper = { lotId: 'l1', rationId: ration.id, sheets: 3 }
    expect(room.give('sign-off', stream, { ...off('paper'), paper })).toBe('more-than-put-aside')
    room.must('sign-off', stream, { ...off('paper'), paper: { ...paper, sheets: 2 } })
    expect(inHand(room.of<LotState>('lot:l1').rations.find(({ id }) => id === ration.id)!)).toBe(2)
    expect(room.of<EditionState>(stream).asks[0]!.answer).toMatchObject({ given: true, by: 'tove' })
    room.must('tear', stream, { ...tear, rationId: ration.id }, ...ada)
    expect(room.give('sign-off', stream, off('paper'))).toBe('signed-off')
  })

  it('gives more to whoever says what became of theirs', () => {
    const room = begun()
    const more = { lotId: 'l1', personId: 'ada', sheets: 2, note: '' }
    const asking = { what: 'more paper' as const, layerId: null, pressId: null }
    expect(room.give('give-paper', stream, more)).toBe('paper-gate')
    room.must('pull', stream, pull(room, {}), ...ada)
    room.must('sign-off', stream, off('paper'))
    expect(room.give('ask', stream, { ...asking, words: ' ' }, ...ada)).toBe('words-missing')
    room.must('ask', stream, { ...asking, words: 'two slurred' }, ...ada)
    expect(room.give('give-paper', stream, { ...more, sheets: 4 })).toBe('stock-short')
    expect(room.give('give-paper', stream, { ...more, personId: 'bo' })).toBe('unknown-person')
    room.must('give-paper', stream, more)
    const given = room.of<LotState>('lot:l1').rations.at(-1)!
    expect([given.personId, inHand(given)]).toEqual(['ada', 2])
    expect(room.of<EditionState>(stream).asks[0]!.answer).toMatchObject({ given: true })
  })

  it('keeps a pull on paper nobody signed off, and counts it only when staff have looked', () => {
    const room = begun()
    room.must('tear', stream, tear)
    room.must('pull', stream, pull(room, { kind: 'pull', sheetIds: [1] }), ...ada)
    const [kept] = room.of<EditionState>(stream).pulls
    expect(kept!.disputed).toMatchObject({ rule: 'paper-gate', settled: false })
    const settled = { pullId: kept!.pullId, outcome: 'move' as const, sheetId: 1, reason: 'it is a good proof' }
    expect(room.give('settle-dispute', stream, settled, ...ada)).toBe('not-allowed')
    room.must('settle-dispute', stream, settled)
    expect(room.of<EditionState>(stream).pulls[0]!.disputed).toBeNull()
  })

  it('opens on its day: until then nothing is torn or cut, and what is pulled is kept as disputed', () => {
    const room = begun()
    const editionIds = assignmentOf(room.course, 'a')!.editions.map(({ editionId }) => editionId)
    const later = { ...sixOfOne, gates: [], editionIds }
    room.must('set-assignment', 'course:c1', { ...later, opens: '2026-11-04' })
    expect(room.give('tear', stream, tear, ...ada)).toBe('opens-later')
    room.must('pull', stream, pull(room, {}), ...ada)
    expect(room.of<EditionState>(stream).pulls.at(-1)!.disputed).toMatchObject({ rule: 'opens-later' })
    room.must('tear', stream, tear)
    room.must('set-assignment', 'course:c1', { ...later, opens: '2026-11-03' })
    room.must('tear', stream, tear, ...ada)
  })

  it('opens on that day of the room: where it is morning there already, and not where it is still the day before', () => {
    for (const [zone, said] of [
      ['Pacific/Auckland', 'done'],
      ['America/New_York', 'opens-later'],
      ['UTC', 'opens-later'],
    ] as const) {
      const room = begun()
      const editionIds = assignmentOf(room.course, 'a')!.editions.map(({ editionId }) => editionId)
      room.must('set-assignment', 'course:c1', { ...sixOfOne, gates: [], editionIds, opens: '2026-11-04' })
      room.zone = zone
      expect([zone, room.give('tear', stream, tear, ...ada)]).toEqual([zone, said])
    }
  })

  it('cuts only what is signed off, each layer by itself, and no longer once that is taken back', () => {
    const room = begun()
    const [first, second] = [layerOf(room), layerOf(room, 1)]
    expect(room.give('cut-further', stream, { layerId: first }, ...ada)).toBe('cut-gate')
    room.must('sign-off', stream, off('cut', first))
    const [given] = room.of<EditionState>(stream).signOffs
    room.must('withdraw-sign-off', stream, { signOffId: given!.id, reason: 'it is not dry' })
    expect(room.give('cut-further', stream, { layerId: first }, ...ada)).toBe('cut-gate')
    room.must('sign-off', stream, off('cut', first))
    room.must('cut-further', stream, { layerId: first }, ...ada)
    expect(room.give('cut-further', stream, { layerId: second }, ...ada)).toBe('cut-gate')
    expect(room.give('sign-off', stream, off('cut', first))).toBe('cut-already')
  })

  it('shows a person a press for good, on whatever edition', () => {
    const room = begun()
    const set = { ...samples['set-press'], layerId: layerOf(room), pressId: 'p1', packing: [] }
    expect(room.give('set-press', stream, set, ...ada)).toBe('press-gate')
    room.must('set-press', stream, set)
    room.must('pull', stream, pull(room, {}), ...ada)
    const kept = room.of<EditionState>(stream).pulls[0]!
    expect(kept.disputed!.rule).toBe('press-gate')
    room.must('ask', stream, { what: 'press', layerId: null, pressId: 'p1', words: '' }, ...ada)
    const shown = { ...off('paper'), what: 'press' as const, pressId: 'p1', personId: 'ada' }
    expect(room.give('sign-off', stream, { ...shown, personId: 'bo' })).toBe('unknown-person')
    room.must('sign-off', stream, shown)
    expect(room.of<EditionState>(stream).asks[0]!.answer).toMatchObject({ given: true })
    room.must('set-press', stream, set, ...ada)
    room.must('pull', stream, pull(room, {}), ...ada)
    expect(room.of<EditionState>(stream).pulls[1]!.disputed).toBeNull()
    // Newsprint lies on no sheet of the edition: the pull is counted as it came.
    room.must('settle-dispute', stream, { pullId: kept.pullId, outcome: 'move', sheetId: null, reason: 'I stood by' })
    expect(room.of<EditionState>(stream).pulls[0]!.disputed).toBeNull()
    const bos = room.of<EditionState>('edition:of-bo').layers[0]!.id
    expect(room.give('set-press', 'edition:of-bo', { ...set, layerId: bos }, 'bo', 'student')).toBe('press-gate')
  })

  it('leave the plan to the assignment, and nothing to students without one', () => {
    const room = begun()
    const { plan: planned, title } = room.of<EditionState>(stream)
    const smaller = { title, plan: { ...planned!, size: 3 }, reason: '' }
    expect(room.give('change-plan', stream, smaller, ...ada)).toBe('plan-gate')
    room.must('change-plan', stream, smaller)
    room.must('start-edition', 'edition:own', { title: 'Own', plan }, ...ada)
    const own = room.of<EditionState>('edition:own').layers[0]!.id
    expect(room.give('cut-further', 'edition:own', { layerId: own }, ...ada)).toBe('not-allowed')
  })

  it('take the work in with its pictures and every point, and then a word on it', () => {
    const room = begun()
    const work = { pictures: [{ shows: 'the whole edition', pictureId: 'x' }], points: [], words: '' }
    expect(room.give('comment-work', stream, { words: 'good' })).toBe('not-handed-in')
    expect(room.give('hand-in', stream, { ...work, pictures: [] }, ...ada)).toBe('picture-missing')
    expect(room.give('hand-in', stream, work, ...ada)).toBe('point-missing')
    const points = [{ point: 'even inking', words: 'pale at the end' }]
    room.must('hand-in', stream, { ...work, points }, ...ada)
    room.must('comment-work', stream, { words: ' a clean set ' })
    expect(room.of<EditionState>(stream).comments).toMatchObject([{ words: 'a clean set', by: 'tove' }])
  })
})

describe('an exchange of prints', () => {
  it('gives everybody as many as they give, from and to different others, and nobody their own', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), fc.nat(), fc.string(), (people, more, seed) => {
        const ids = Array.from({ length: people }, (_, i) => `e${i}`)
        const each = 1 + (more % (people - 1))
        const gifts = drawExchange(ids, each, seed)
        for (const id of ids) {
          const given = gifts.filter(({ from }) => from === id).map(({ to }) => to)
          expect(new Set(given).size).toBe(each)
          expect(given).not.toContain(id)
          expect(gifts.filter(({ to }) => to === id)).toHaveLength(each)
        }
        expect(drawExchange(ids, each, seed)).toEqual(gifts)
      }),
      { numRuns: 200 },
    )
  })

  it('is fair: over many draws every other is as likely', () => {
    const ids = ['a', 'b', 'c', 'd', 'e']
    const got = new Map<string, number>()
    const draws = 20_000
    for (let i = 0; i < draws; i++)
      for (const { from, to } of drawExchange(ids, 1, `c${i}`)) got.set(from + to, (got.get(from + to) ?? 0) + 1)
    expect(got.size).toBe(20)
    // A quarter each; five standard deviations either way.
    for (const count of got.values()) expect(Math.abs(count / draws - 0.25)).toBeLessThan(5 * Math.sqrt(0.1875 / draws))
  })

  it('is drawn again only with a reason', () => {
    const room = new Evening()
    room.start('ada')
    const draw = { assignmentId: 'a', each: 1, reason: '' }
    expect(room.give('draw-prints', 'course:c1', draw)).toBe('too-few')
    room.start('bo', 'cy')
    room.must('draw-prints', 'course:c1', draw)
    expect(assignmentOf(room.course, 'a')!.exchange).toHaveLength(3)
    expect(room.give('draw-prints', 'course:c1', draw)).toBe('reason-missing')
    room.must('draw-prints', 'course:c1', { ...draw, reason: 'one of them was ill' })
  })
})
