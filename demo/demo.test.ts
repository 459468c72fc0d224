import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { countEdition } from '#core/edition/count'
import { placeOf } from '#core/edition/places'
import type { EditionState } from '#core/edition/state'
import { predictedBatch } from '#core/ink/shelf'
import type { StudioState } from '#core/stores/studio/state'
import type { BatchSummary, LotSummary, PressSummary, TubSummary } from '#shared/replies/replies'
import { rows } from '../server/database/connections'
import { summariesOf } from '../server/database/summaries'
import { allBreaks } from '../server/database/breaks'
import { listEditions, readEdition } from '../server/services/editions'
import { readFloor } from '../server/services/floor'
import { loadDemo } from '../server/services/load-demo'
import { viewerOf } from '../server/services/viewer'
import { takeCommand } from '../server/services/take-command'
import { openPressroom, type Pressroom } from '../server/services/pressroom'

let room: Pressroom
const now = Date.now()
let editions: EditionState[]
const named = (title: string) => editions.find((edition) => edition.title === title)!

const all = <Summary>(kind: string) => summariesOf<Summary>(room.db.reader, kind)
const manager = () => viewerOf(room.people.get(room.people.all().find(({ role }) => role === 'manager')!.id)!)

beforeAll(async () => {
  room = await openPressroom(mkdtempSync(join(tmpdir(), 'ample-tally-demo-')), true)
  await loadDemo(room, now)
  const { editions: listed } = await listEditions(room, { limit: 100 })
  editions = await Promise.all(listed.map(async (summary) => (await readEdition(room, summary.id)).state))
})
afterAll(() => room.close())

describe('the demo pressroom', () => {
  it('holds an edition at every stage, and every count balances', () => {
    expect(editions.map((edition) => edition.title).sort()).toEqual([
      'Bakery Door',
      'Buoy Lights',
      'Ferry Clock',
      'Harbour Scales',
      'Kettle, Ibb',
      'Kettle, Jory',
      'Kettle, Rook',
      'Kettle, Tansy',
      'Kettle, Wren',
      'Net Loft Stairs',
      'Slack Water',
      'Tide Table',
      'Tin Roofs',
      'Weighbridge',
    ])
    for (const edition of editions)
      expect(countEdition(edition), edition.title).toMatchObject({ balances: true, findings: [], disputed: 0 })
  })

  it('stands where its story says', () => {
    expect(named('Bakery Door').closedAt).not.toBeNull()
    expect(named('Bakery Door').sheets.filter((sheet) => sheet.signed)).toHaveLength(22)
    expect(named('Tide Table').sheets.filter((sheet) => sheet.signed)).toHaveLength(7)
    const reduction = named('Net Loft Stairs')
    expect(reduction.layers.map((layer) => [layer.name, layer.cutFurther])).toEqual([
      ['sand', true],
      ['rust', true],
      ['slate blue', false],
      ['black', false],
    ])
    expect(reduction.sheets.some((sheet) => placeOf(reduction, sheet).kind === 'left behind')).toBe(false)
    expect(named('Slack Water')).toMatchObject({ torn: [], sheets: [], piece: { lotId: expect.any(String) } })
    expect(named('Ferry Clock').standards).toEqual([])
    expect(named('Ferry Clock').pulls.map((pull) => pull.proofKind)).toEqual([null, ...Array<string>(6).fill('CTP')])
  })

  it('prints two images to a piece, of which one may be lost, and lays a layer without a press', () => {
    const buoys = named('Buoy Lights')
    expect(buoys.pulls.filter(({ kind }) => kind === 'pull').map(({ sheetIds }) => sheetIds.length)).toEqual(
      Array<number>(8).fill(2),
    )
    const kinds = buoys.sheets.map((sheet) => placeOf(buoys, sheet).kind)
    expect(kinds.slice(0, 9)).toEqual([
      ...Array<string>(4).fill('good'),
      'waiting',
      'waiting',
      'waiting',
      'reject',
      'waiting',
    ])
  })

  it('keeps with each pull the setting and the ink it was made with', () => {
    for (const pull of named('Harbour Scales').pulls) {
      const layer = named('Harbour Scales').layers[0]!
      expect(layer.setups.find((setup) => setup.seq === pull.setupSeq)?.setup.pressName).toBe('Small platen')
      expect(pull.batchIds).toEqual([layer.zones[0]!.batchId])
    }
  })

  it('has something true to show on the floor', async () => {
    const floor = await readFloor(room, manager(), Date.now())
    expect(floor.running.map((edition) => edition.title)).toContain('Harbour Scales')
    expect(floor.running.map((edition) => edition.title)).not.toContain('Bakery Door')
    expect(floor.decisions.map((decision) => `${decision.what} → ${decision.stop}`)).toEqual(
      expect.arrayContaining([
        'Curate and number Tin Roofs → curate',
        'Sign Tide Table → sign',
        'Go on with Weighbridge? → pull',
      ]),
    )
    expect(Object.fromEntries(floor.counts.map((count) => [count.state, count.editions]))).toEqual({
      closed: 1,
      numbering: 1,
      planned: 1,
      proving: 1,
      pulling: 9,
      signing: 1,
    })
  })

  it('took its paper from the lots and its ink from the slab', async () => {
    const [lots, batches, tubs, presses] = [
      await all<LotSummary>('lot'),
      await all<BatchSummary>('batch'),
      await all<TubSummary>('tub'),
      await all<PressSummary>('press'),
    ]
    const { rollers } = await room.ledger.read<StudioState>('studio')
    const torn = editions.flatMap((edition) => edition.torn)
    for (const lot of lots) {
      const used = torn.filter((t) => t.lotId === lot.id).reduce((sum, t) => sum + t.lotSheets, 0)
      expect(lot.left, lot.name).toBe(
        lot.bought - used - lot.rations.reduce((sum, ration) => sum + ration.released - ration.used, 0),
      )
    }
    expect(batches.map((batch) => batch.name).sort()).toEqual([
      'bollard rust',
      'capstan black',
      'dusk rose',
      'sand ochre',
      'slate 2',
      'tide blue, clear',
    ])
    expect(rollers).toHaveLength(3)
    const shelf = {
      tubs: new Map(tubs.map((tub) => [tub.id, tub])),
      batches: new Map(batches.map((batch) => [batch.id, batch])),
    }
    for (const batch of batches) expect(predictedBatch(batch, shelf)?.unknown, batch.name).toBe(0)
    for (const tub of tubs) expect(tub.left, tub.name).toBeGreaterThan(0)
    expect(presses.map((press) => press.name).sort()).toEqual([
      'Hand table 2',
      'Long press',
      'Rimmed board',
      'Small platen',
    ])
  })

  it('was written through the ledger alone, by people known by their ids', async () => {
    expect(await allBreaks(room.db.long, room.ledger.reach)).toEqual([])
    const people = new Set(room.people.all().map((person) => person.id))
    const actors = await rows<{ actor: string }>(room.db.reader, 'SELECT DISTINCT actor FROM events')
    for (const { actor } of actors) expect(people.has(actor)).toBe(true)
    for (const person of room.people.all()) {
      expect(
        await rows(room.db.reader, `SELECT position FROM events WHERE stream = 'studio' AND instr(data, $1) > 0`, [
          person.name,
        ]),
      ).toEqual([])
    }
  })

  it('is not loaded twice', async () => {
    const before = room.ledger.position
    await loadDemo(room)
    expect(room.ledger.position).toBe(before)
  })

  it('is the same on every start, but for the date', async () => {
    const other = await openPressroom(mkdtempSync(join(tmpdir(), 'ample-tally-demo-')), true)
    await loadDemo(other, now)
    const told = async (of: Pressroom) =>
      (await rows<{ type: string; data: string }>(of.db.reader, 'SELECT type, data FROM events ORDER BY position')).map(
        ({ type, data }) =>
          `${type} ${data.replace(/[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f-]{21}/g, 'id').replace(/\d{4}-\d\d-\d\d(T[\d:.]+Z)?/g, 'date')}`,
      )
    expect(await told(other)).toEqual(await told(room))
    await other.close()
  })

  it('is short of what its editions take more of than is there', async () => {
    const shortOf = async () =>
      Object.fromEntries((await readFloor(room, manager(), Date.now())).short.map((one) => [one.what, one.why]))
    const person = room.people.get(room.people.all().find(({ role }) => role === 'manager')!.id)!
    const give = (stream: string, type: string, data: object) =>
      takeCommand(
        room,
        { person, signIn: null },
        {
          commandId: uuid(),
          device: 'demo',
          by: person.id,
          occurredAt: new Date().toISOString(),
          type,
          stream,
          data,
          expectedSeq: undefined,
        },
      )
    const [lots, batches] = [await all<LotSummary>('lot'), await all<BatchSummary>('batch')]
    const laid = lots.find(({ name }) => name === 'cream laid')!
    const black = batches.find(({ name }) => name === 'capstan black')!
    expect(Object.keys(await shortOf())).toEqual(['white kozo'])
    // Slack Water is planned for 34 pieces of this paper, five to a sheet.
    await give(`lot:${laid.id}`, 'count-lot', { sheets: 6, reason: 'counted' })
    expect(await shortOf()).toMatchObject({ 'cream laid': '7 sheets wanted for Slack Water, 6 there.' })
    await give(`lot:${laid.id}`, 'count-lot', { sheets: 7, reason: 'counted' })
    expect(Object.keys(await shortOf())).toEqual(['white kozo'])
    await give(`batch:${black.id}`, 'reweigh-batch', { milligrams: 2_000, reason: 'on the scale' })
    expect((await shortOf())['capstan black for Harbour Scales']).toMatch(/^about \d g left, \d+ g needed\.$/)
  })
})
