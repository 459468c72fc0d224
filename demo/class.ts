import { localOf } from '#core/time/room-clock'
import { weekdayOf } from '#core/time/room-day'
import { demoDay, demoZone } from './days'
import type { CommandData } from '#core/house/acts'
import { type Desk, EditionInHand, upTo } from './desk'
import { plan } from './plans'
import type { Stores } from './stores'

const minute = 60_000
const runs: { pulls: number; events: Record<number, string> }[] = [
  { pulls: 5, events: { 4: 'r salt' } },
  { pulls: 5, events: { 2: 'd salt 118,84', 3: 'r salt 124,90', 5: 'r salt 112,92' } },
  { pulls: 2, events: {} },
  { pulls: 4, events: {} },
  { pulls: 1, events: {} },
]

/** The class meets now, whatever day it is: it began two hours ago, and the bell rings in one. */
function meetingNow(now: number): CommandData<'begin-course'>['meets'][number] {
  const today = demoDay(now)
  const clock = (at: number) => localOf(Math.floor(at / minute), demoZone).slice(11)
  const [from, until] = [now - 120 * minute, now + 60 * minute]
  return {
    weekday: weekdayOf(today),
    from: demoDay(from) === today ? clock(from) : '00:00',
    until: demoDay(until) === today ? clock(until) : '23:59',
  }
}

const kettle: CommandData<'set-assignment'> = {
  assignmentId: 'kettle',
  title: 'Kettle',
  plan: plan('', 6, { work: 'beginners', layering: 'ahead', proofs: { AP: 0, PP: 0, HC: 0 } }),
  gates: ['press', 'paper', 'cut'],
  practice: 4,
  opens: null,
  mayReplan: false,
  due: null,
  paper: null,
  pictures: ['the whole edition', 'the block'],
  points: ['even inking', 'clean margins', 'what I would do otherwise'],
  editionIds: [],
}

/** An evening class: each student makes an edition of six, and gets good paper once a proof has passed. */
export async function eveningClass(
  desk: Desk,
  instructor: string,
  students: [string, string][],
  stores: Stores,
): Promise<void> {
  const begun = desk.now - 14 * 24 * 60 * minute
  const stream = `course:${desk.newId(begun)}`
  let seq = 0
  const teach = async <T extends 'begin-course' | 'enrol-students' | 'set-assignment' | 'start-assignment'>(
    type: T,
    data: CommandData<T>,
  ) => {
    const given = await desk.give(instructor, stream, type, data, begun, seq)
    seq = given.seq
    return given.id
  }
  await teach('begin-course', {
    name: 'Evening class',
    term: 'first steps in relief',
    from: demoDay(begun),
    until: demoDay(desk.now + 28 * 24 * 60 * minute),
    meets: [meetingNow(desk.now)],
    instructorIds: [instructor],
  })
  await teach('enrol-students', { personIds: students.map(([id]) => id) })
  await teach('set-assignment', {
    ...kettle,
    due: demoDay(desk.now + 21 * 24 * 60 * minute),
    paper: { lotId: stores.laid.id, sheets: 2 },
  })
  const editions = students.map(([id, name]) => ({
    editionId: desk.newId(begun),
    personIds: [id],
    title: `Kettle, ${name.split(' ')[0]}`,
    artist: name,
  }))
  const start = await teach('start-assignment', { assignmentId: kettle.assignmentId, editions, lotId: stores.laid.id })
  for (const [i, { editionId, personIds }] of editions.entries()) {
    const by = personIds[0]!
    const at = desk.now - (80 + 7 * i) * minute
    const edition = EditionInHand.begun(desk, by, at, editionId, [`${start}-${i + 1}-1`])
    await edition.name(0, 'black')
    await edition.ink(0, stores.black)
    await edition.sheet(stores.laid, { width: 150, height: 110 }, 35)
    await edition.wait(10).pull(0, null, { kind: 'practice' })
    await edition.prove(0, 0, 2, 5)
    const rationId = `${start}-${i + 1}`
    const about = { layerId: null, pressId: null }
    await edition.give('ask', { ...about, what: 'paper', words: 'the second one' })
    await edition
      .wait(3)
      .give(
        'sign-off',
        { ...about, what: 'paper', personId: null, note: '', paper: { lotId: stores.laid.id, rationId, sheets: 2 } },
        instructor,
      )
    await edition.tear(stores.laid, 2, 9, { rationId })
    await edition.run(0, upTo(1, runs[i]!.pulls), runs[i]!.events, 6)
    if (i === 1) await edition.give('ask', { ...about, what: 'help', words: 'the top edge stays salty' })
    if (i === 3) await edition.give('ask', { ...about, what: 'press', pressId: stores.platen.id, words: '' })
  }
}
