import { dayOf } from '#core/time/room-day'
import { createHash } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Ajv2020 } from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { editionRecord } from '#core/edition/record'
import type { EditionState } from '#core/edition/state'
import type { LedgerEvent } from '#core/ground/envelope'
import { type StreamKind, streamKinds } from '#core/house/streams'
import { lotDefaults } from '#core/stores/lot/defaults'
import type { LotState } from '#core/stores/lot/state'
import { studioDefaults, type StudioState } from '#core/stores/studio/state'
import { chainStart, eventHash, toRow } from '../database/events'
import { chainHead } from '../database/heads'
import { rows } from '../database/connections'
import { lineageOf } from '../database/lineage'
import { rebuildSummaries, summariesOf } from '../database/summaries'
import type { Submission } from '../services/ledger'
import { loadDemo } from '../services/load-demo'
import { openPressroom, type Pressroom } from '../services/pressroom'
import recordSchema from '../../public/schemas/edition-record.schema.json'
import { plan } from '../../tests/fixtures/plan'
import { samples } from '../../tests/fixtures/requests'
import { tornRight } from '../../tests/fixtures/torn'
import { checkLine } from './check-line'
import { studioFile } from './write'

const folders: string[] = []
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'studio-file-'))
  folders.push(folder)
  return folder
}
const open: Pressroom[] = []
async function newRoom(folder = newFolder()): Promise<Pressroom> {
  const room = await openPressroom(folder, false)
  open.push(room)
  return room
}
afterAll(async () => {
  for (const room of open) await room.close()
  for (const folder of folders) rmSync(folder, { recursive: true, force: true })
})

async function written(room: Pressroom): Promise<string> {
  let text = ''
  for await (const piece of studioFile(room)) text += piece
  return text
}

/** Hand a file to an empty room, and see what it says. */
async function handIn(room: Pressroom, file: string | Buffer) {
  await room.bringingIn.begin()
  await mkdir(room.bringingIn.folder, { recursive: true })
  writeFileSync(room.bringingIn.file, file)
  await room.bringingIn.read()
  return room.bringingIn.reply
}

/** All that is kept of a room, beside secrets and what every room has of its own. */
async function kept(room: Pressroom) {
  return {
    events: await rows(room.db.long, 'SELECT * FROM events ORDER BY position'),
    people: await rows(room.db.long, 'SELECT id, name, role, active FROM people ORDER BY id'),
    // Lines of the lists, whatever order their parts were put in.
    summaries: (await rows<{ data: string }>(room.db.long, 'SELECT * FROM summaries ORDER BY stream')).map((row) => ({
      ...row,
      data: JSON.parse(row.data) as unknown,
    })),
    head: room.ledger.reach,
    pictures: readdirSync(room.pictures.folder)
      .sort()
      .map((name) => [name, readFileSync(join(room.pictures.folder, name), 'base64')]),
  }
}

const golden = '../../core/house/golden'
const versions = readdirSync(new URL(golden, import.meta.url)).filter((name) => name.endsWith('.jsonl'))

/** A ledger of every event of every version there ever was, each version's streams beside the others'. */
function everyEvent(changed: (event: LedgerEvent) => LedgerEvent = (event) => event): LedgerEvent[] {
  const last = new Map<string, { seq: number; hash: string }>()
  const told = versions.flatMap((name) =>
    readFileSync(new URL(`${golden}/${name}`, import.meta.url), 'utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as LedgerEvent)
      .map((event) => ({
        ...event,
        stream: !event.stream.includes(':') ? event.stream : `${event.stream}-${name.replace('.jsonl', '')}`,
      })),
  )
  const first = { ...told[0]!, stream: 'studio', type: 'person-added', version: 1 }
  return [{ ...first, data: { personId: 'p1', role: 'manager' } }, ...told].map((event, i) => {
    const before = last.get(event.stream) ?? { seq: 0, hash: chainStart }
    const placed = { ...changed(event), claimedAt: null, position: i + 1, seq: before.seq + 1 }
    const hash = eventHash(before.hash, placed)
    last.set(event.stream, { seq: placed.seq, hash })
    return { ...placed, hash }
  })
}

/** One stream of each kind in that ledger: a kind of stream that is not named here does not compile. */
const roundTrips: Record<StreamKind, string> = {
  edition: 'edition:e1-version-1',
  block: 'block:k1-version-4',
  lot: 'lot:l1-version-1',
  batch: 'batch:b1-version-1',
  tub: 'tub:t1-version-3',
  press: 'press:pr1-version-1',
  rack: 'rack:r1-version-9',
  climate: 'climate:room-version-9',
  station: 'station:s1-version-7',
  studio: 'studio',
  course: 'course:c1-version-11',
  calendar: 'calendar',
  account: 'account:p2-version-12',
}

async function roomOfEveryEvent(changed?: (event: LedgerEvent) => LedgerEvent): Promise<Pressroom> {
  const folder = newFolder()
  const room = await openPressroom(folder, false)
  const events = everyEvent(changed)
  for (const event of events) {
    const row = toRow(event)
    await room.db.writer.query(
      `INSERT INTO events (${Object.keys(row).join(', ')}) VALUES (${Object.keys(row).map((_, i) => `$${i + 1}`)})`,
      { bind: Object.values(row) },
    )
  }
  const kept = { secret: '', active: true, mustChange: false }
  await room.db.writer.people.bulkCreate([
    { id: 'p1', name: 'Ansa Quill', role: 'manager', ...kept },
    { id: 'p3', name: 'Ida Fenn', role: 'student', ...kept },
    { id: 'p2', name: 'Ödön “O” Ffoulkes', role: 'member', ...kept },
  ])
  await chainHead(room.db.writer)
  await rebuildSummaries(room.db.writer, room.db.long)
  await room.close()
  return await newRoom(folder)
}

let demo: Pressroom
let file: string
const lines = () => file.trimEnd().split('\n')

beforeAll(async () => {
  demo = await openPressroom(newFolder(), true)
  open.push(demo)
  await loadDemo(demo)
  file = await written(demo)
}, 120_000)

describe('a studio file', () => {
  it('written, brought into an empty room and written again is the same, bit for bit', async () => {
    const room = await newRoom()
    const { problems, report } = await handIn(room, file)
    expect(problems).toEqual([])
    expect(report).toMatchObject({ studio: 'Ropewalk Pressroom', editions: 14, remarks: [] })
    await room.bringingIn.take(room, report!.managers[0]!.id, 'a new passphrase')
    expect(await written(room)).toBe(file)
    expect(await kept(room)).toEqual(await kept(demo))
    expect(readdirSync(room.folder)).not.toContain('bringing-in')
  })

  it('carries every kind of stream, and every event of every version there ever was', async () => {
    const before = await roomOfEveryEvent()
    const text = await written(before)
    const streams = (await rows<{ stream: string }>(before.db.long, 'SELECT DISTINCT stream FROM events')).map(
      ({ stream }) => stream,
    )
    for (const kind of streamKinds) expect(streams).toContain(roundTrips[kind as StreamKind])
    const room = await newRoom()
    const { problems } = await handIn(room, text)
    expect(problems).toEqual([])
    await room.bringingIn.take(room, 'p1', 'a new passphrase')
    expect(await written(room)).toBe(text)
    expect(await kept(room)).toEqual(await kept(before))
  })

  it('brought in is a room one works on in: its manager alone has a secret', async () => {
    const room = await newRoom()
    const { report } = await handIn(room, file)
    const { id } = report!.managers[0]!
    await room.bringingIn.take(room, id, 'a new passphrase')
    const attempt = { address: '', knownDevice: null }
    expect(await room.people.recognise('a new passphrase', { ...attempt, personId: id })).toMatchObject({
      person: { id },
    })
    const other = room.people.all().find((person) => person.id !== id && person.active)!
    expect(await room.people.recognise('', { ...attempt, personId: other.id })).toMatchObject({
      refusal: { message: expect.stringContaining('no PIN in this room yet') as string },
    })
    const added = await room.people.add('Someone New', 'member', 'kettle', { id, role: 'manager' })
    expect(added).toMatchObject({ person: { name: 'Someone New' } })
    expect(room.ledger.position).toBe(report!.events + 1)
  })

  it('is of one moment, however busy the presses are and whoever comes in meanwhile', async () => {
    const room = await newRoom()
    const { report } = await handIn(room, file)
    const { id } = report!.managers[0]!
    await room.bringingIn.take(room, id, 'a new passphrase')
    let isWriting = true
    let given = 0
    const busy = (async () => {
      while (isWriting) {
        given += 1
        await room.ledger.submit({
          command: {
            type: 'add-lot',
            stream: `lot:${given}`,
            data: {
              ...lotDefaults,
              maker: '',
              name: `lot ${given}`,
              width: 1,
              height: 1,
              weight: 1,
              price: 1,
              sheets: 1,
            },
          },
          context: {
            personId: id,
            role: 'manager',
            commandId: `busy-${given}`,
            occurredAt: '2026-11-26T23:00:00.000Z',
          },
          device: 'd',
          via: null,
        })
        if (given % 3 === 0) await room.people.add(`Person ${given}`, 'member', 'kettle', { id, role: 'manager' })
      }
    })()
    const texts: string[] = []
    while (given < 12) texts.push(await written(room))
    isWriting = false
    await busy
    for (const text of new Set([...texts.slice(0, 2), ...texts.slice(-3)]))
      expect((await handIn(await newRoom(), text)).problems).toEqual([])
  })

  /** The file with other lines, and an end that fits them. */
  function ended(body: readonly string[]): string {
    const text = `${body.join('\n')}\n`
    const sha256 = createHash('sha256').update(text).digest('hex')
    return `${text}${JSON.stringify({ line: 'end', lines: body.length, sha256 })}\n`
  }

  /** The same file as a program wrote it that knew no commands. */
  function ofVersion1(text: string): string {
    const [head, ...rest] = text.trimEnd().split('\n').slice(0, -1)
    const said = JSON.parse(head!) as Record<string, unknown>
    delete said.commands
    return ended([
      JSON.stringify({ ...said, version: 1 }),
      ...rest.filter((line) => !line.startsWith('{"line":"command"')),
    ])
  }

  it.each([
    ['this program', (text: string) => text],
    ['one before it', ofVersion1],
  ])('of %s counts nothing twice that is sent again, and tells no tablet that something is missing', async (_, as) => {
    const from = await newRoom()
    const custom = { line: 'number-title-signature', destroyedNumber: 'retired', currency: '€' } as const
    const set = await from.people.setUp('Tove Brand', 'net loft', { ...studioDefaults, ...custom, name: 'Small' })
    const personId = 'person' in set ? set.person.id : ''
    const given: Submission[] = []
    const give = async (stream: string, type: string, data: object) => {
      const context = { personId, role: 'manager', commandId: uuid(), occurredAt: new Date().toISOString() } as const
      given.push({ command: { type, stream, data }, context, device: 'd', via: null })
      expect(await from.ledger.submit(given.at(-1)!)).toMatchObject({ status: 'stored' })
    }
    await give('lot:l', 'add-lot', {
      ...lotDefaults,
      maker: '',
      name: 'laid',
      width: 760,
      height: 560,
      weight: 200,
      price: 4,
      sheets: 100,
    })
    await give('edition:e', 'start-edition', { title: 'Moved', plan })
    await give('edition:e', 'tear', tornRight('l', 8, 8))
    const layerId = (await from.ledger.read<EditionState>('edition:e')).layers[0]!.id
    for (let sheet = 1; sheet <= 4; sheet++)
      await give('edition:e', 'pull', { ...samples.pull, layerId, sheetIds: [sheet], batchIds: [] })
    const room = await newRoom()
    expect((await handIn(room, as(await written(from)))).problems).toEqual([])
    await room.bringingIn.take(room, personId, 'a new passphrase')
    expect(room.lineage).toEqual({ id: expect.not.stringMatching(from.lineage.id), from: from.ledger.position })
    expect(await lineageOf(room.db.reader)).toEqual(room.lineage)
    for (const submission of given)
      expect(await room.ledger.submit(submission)).toMatchObject({ status: 'stored', repeated: true })
    expect(room.ledger.position).toBe(from.ledger.position)
    const [there, here] = await Promise.all([from, room].map(({ ledger }) => ledger.read<LotState>('lot:l')))
    expect([here!.left, (await room.ledger.read<EditionState>('edition:e')).pulls.length]).toEqual([there!.left, 4])
  })

  it('with moments that earlier versions took is taken, and its hashes stay', async () => {
    const before = await roomOfEveryEvent((event) => ({ ...event, occurredAt: '2026-335T10:00:00.000Z' }))
    const text = await written(before)
    const room = await newRoom()
    expect((await handIn(room, text)).problems).toEqual([])
    await room.bringingIn.take(room, 'p1', 'a new passphrase')
    expect(await written(room)).toBe(text)
  })

  it('of a room whose clock this server does not know is taken, and says what follows from it', async () => {
    const before = await roomOfEveryEvent((event) =>
      event.type === 'hours-set'
        ? { ...event, data: { ...(event.data as object), timeZone: 'Europe/Ropewick' } }
        : event,
    )
    const text = await written(before)
    const room = await newRoom()
    const { problems, report } = await handIn(room, text)
    expect(problems).toEqual([])
    expect(report!.remarks.join(' ')).toContain('“Europe/Ropewick”, which this server does not know')
    await room.bringingIn.take(room, 'p1', 'a new passphrase')
    expect(dayOf('2026-11-30T23:30:00.000Z', room.zone.zone)).toBe('2026-11-30')
  })

  it('of nothing but blank lines is let go of at once, and taps come in between', async () => {
    const room = await newRoom()
    const began = Date.now()
    const { problems } = await handIn(room, Buffer.alloc(20_000_000, '\n'))
    expect(problems.length).toBeGreaterThan(0)
    expect(Date.now() - began).toBeLessThan(5_000)
  })

  it.each([
    ['more sheets than an edition holds', 'sheets-torn', { count: 3_000_000 }, /at most 5000 sheets/],
    ['a number beyond all bounds', 'sheets-torn', { lotSheets: 1e300 }, /beyond all bounds/],
    ['a text without end', 'sheets-torn', { lotName: 'x'.repeat(30_000) }, /more than 20000 characters/],
    ['words where sheets are counted', 'sheets-torn', { lotSheets: 'many' }, /its data\.lotSheets is not what an act/],
    ['a key left out', 'sheets-torn', { lotId: undefined }, /its data\.lotId is missing/],
  ])('with %s is told, and nothing is folded of it', async (_, type, change, words) => {
    const body = lines().slice(0, -1)
    const at = body.findIndex((line) => line.includes(`"type":"${type}"`))
    const event = JSON.parse(body[at]!) as { data: object }
    body[at] = JSON.stringify({ ...event, data: { ...event.data, ...change } })
    const { problems } = await handIn(await newRoom(), ended(body))
    expect(problems.join('\n')).toMatch(words)
  })

  it('with an event on a stream of another kind is told', async () => {
    const body = lines().slice(0, -1)
    const at = body.findIndex((line) => line.includes('"type":"sheets-torn"'))
    body[at] = body[at]!.replace(/"stream":"edition:/, '"stream":"lot:')
    expect((await handIn(await newRoom(), ended(body))).problems.join('\n')).toContain('stands on lot:')
  })

  it('is not taken into a room that is there already, which stays as it was', async () => {
    const room = await newRoom()
    const { report } = await handIn(room, file)
    await room.people.setUp('Tove Brand', 'net loft', await demo.ledger.read<StudioState>('studio'))
    const before = await kept(room)
    await expect(room.bringingIn.take(room, report!.managers[0]!.id, 'a new passphrase')).rejects.toThrow()
    const { pictures, ...after } = await kept(room)
    expect(pictures.length).toBeGreaterThan(0)
    expect(after).toEqual({ ...before, pictures: undefined })
  })
})

describe('the schemas that are shipped', () => {
  it('describe every record of the demo, and no record with a part left out', async () => {
    const fits = new Ajv2020({ allowUnionTypes: true, formats: { date: true, 'date-time': true } }).compile(
      recordSchema,
    )
    const studio = await demo.ledger.read<StudioState>('studio')
    for (const { id } of await summariesOf<{ id: string }>(demo.db.reader, 'edition')) {
      const state = await demo.ledger.read<EditionState>(`edition:${id}`)
      const { seq, hash } = await demo.ledger.hashOf(state.stream)
      const record = {
        ...editionRecord(state, studio, String, demo.zone.zone),
        ledger: { stream: state.stream, seq, hash },
      }
      expect(fits(JSON.parse(JSON.stringify(record))) ? [] : fits.errors, state.title).toEqual([])
      for (const key of Object.keys(record)) expect(fits({ ...record, [key]: undefined }), key).toBe(false)
    }
  })

  it('describe every line of a studio file', () => {
    for (const line of lines()) expect(checkLine(line)).not.toHaveProperty('fault')
  })
})

/** What can happen to a file on its way, or be done to it. */
const part = fc.double({ min: 0, max: 0.999, noNaN: true })
const among = (change: (all: string[], i: number) => string[]) =>
  part.map((at) => () => {
    const all = lines()
    return `${change(all, Math.floor(at * (all.length - 1))).join('\n')}\n`
  })
const harmed: [string, fc.Arbitrary<(text: string) => string>][] = [
  ['cut', part.map((at) => (text) => text.slice(0, Math.floor(at * text.length)))],
  [
    'a byte that is another',
    fc.tuple(part, fc.constantFrom('0', '7', 'a', 'f', ' ', '"')).map(([at, to]) => (text) => {
      const place = Math.floor(at * text.length)
      return `${text.slice(0, place)}${text[place] === to ? `${to}${to}` : to}${text.slice(place + 1)}`
    }),
  ],
  ['a line left out', among((all, i) => all.toSpliced(i, 1))],
  ['a line twice', among((all, i) => all.toSpliced(i, 0, all[i]!))],
  ['two lines that changed places', among((all, i) => all.with(i, all[i + 1]!).with(i + 1, all[i]!))],
  ['lines after its end', fc.constant((text: string) => `${text}${text}`)],
  [
    'figures that no ledger can hold',
    fc
      .constantFrom('1e300', '-1', '1.5', '""', 'null')
      .map((to) => (text) => text.replace('"position":2,', `"position":${to},`)),
  ],
  ['nothing in it', fc.constant(() => '')],
  ['something else', fc.constant(() => 'title;passed\nOld Pier;90\n')],
]

describe.each(harmed)('a file that was harmed: %s', (_, harm) => {
  it('is told, and not taken', async () => {
    const room = await newRoom()
    await fc.assert(
      fc.asyncProperty(harm, async (harming) => {
        const { problems } = await handIn(room, harming(file))
        expect(problems.length).toBeGreaterThan(0)
      }),
      { numRuns: 4 },
    )
    expect(room.ledger.position).toBe(0)
  })
})
