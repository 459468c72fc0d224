import { describe, expect, it } from 'vitest'
import { tornRight } from '#core/edition/commands'
import { rolesFor } from '#core/ledger/roles'
import { rollUpDefaults } from '#core/ink/roll-up'
import { evenMargins } from '#core/paper/piece'
import { noEdges } from '#core/paper/tear-plan'
import { lotDefaults } from '#core/stores/lot'
import { studioDefaults } from '#core/stores/studio'
import { plan } from '../../tests/fixtures/press-table'
import { check } from '../check'
import { catalogue } from './catalogue'
import { CommandRequest } from './envelope'
import { AddPerson, SetUpStudio } from './people'

const screw = { turns: 1, divisions: 3.5 }
const pull = {
  layerId: 'l',
  kind: 'pull',
  proofKind: null,
  verdict: 'good',
  sheetIds: [1],
  faults: ['salt'],
  rescued: null,
  wetOnWet: false,
  setupSeq: 0,
  batchIds: ['b'],
}
const lot = { ...lotDefaults, maker: '', name: 'laid', width: 760, height: 560, weight: 200, price: 4.6 }
const box = { left: 5, top: 5, width: 180, height: 130 }
const block = {
  name: 'key',
  kind: 'wood',
  width: 200,
  height: 150,
  thickness: 23.3,
  image: box,
  rotation: 0.5,
  removed: '',
  transfer: 'film',
  note: '',
}
const piece = {
  lotId: 'l',
  sheet: { width: 760, height: 560, deckles: noEdges, allowance: 0, grain: 'unknown' },
  image: { width: 240, height: 160 },
  margins: evenMargins(30, 1.25),
  foot: 1.25,
  trim: 0,
  grain: 'free',
  deckles: noEdges,
  strip: 15,
}
const rollUp = {
  ...rollUpDefaults,
  roller: { id: 'r', name: 'large', width: 200, diameter: 60 },
  chores: [{ every: 10, what: 'wipe the rim' }],
  zones: [{ zoneId: 'z', inkedShare: null, wipedShare: 0.1 }],
}
const tub = {
  name: 'warm red',
  maker: '',
  container: 'tub',
  family: 'oil',
  nature: 'pigment',
  density: 1.1,
  tinting: 1,
  price: 0.1,
  openedOn: '2026-11-02',
  condition: 'clean',
  limits: { least: 1, most: 5 },
  keptAt: 'shelf 1',
  card: { white: '#ffffff', overWhite: '#bb3333', overBlack: '#301010', thickness: 8 },
}
const register = {
  sheet: { width: 300, height: 230 },
  outline: { left: 40, top: 25, width: 200, height: 150 },
  image: box,
  rotation: 0,
  meeting: 'paper onto block',
  mat: box,
  series: { topLine: 30, footLine: 40 },
  stops: 20,
  pins: [{ x: 10, y: -8, diameter: 6 }],
}
const proofs = { AP: 1, PP: 0, HC: 0 }

/** One request of every kind as a browser sends it. */
const samples: Record<string, Record<string, Record<string, unknown>>> = {
  edition: {
    'start-edition': { title: 'Tide Gauge', plan },
    'change-plan': { title: 'Tide Gauge', plan, reason: '' },
    'add-layer': { name: 'slate', blocks: ['key'] },
    'change-layer': { layerId: 'l', name: 'slate', blocks: [], routine: 'charge', stackOrder: 'reversed' },
    'set-zones': { layerId: 'l', zones: [{ id: 'z', name: 'sky', batchId: null }] },
    'set-press': {
      layerId: 'l',
      pressId: 'p',
      packing: [{ name: 'felt', thickness: 2.4 }],
      left: screw,
      right: screw,
      note: '',
    },
    'plan-piece': { piece },
    tear: {
      ...tornRight('l', 4, 16, { width: 300, height: 230 }),
      offcuts: [{ lotId: 'o', width: 90, height: 80, count: 3 }],
    },
    'prepare-block': { block },
    'change-block': { blockId: 'b', block },
    'record-block-state': { blockId: 'b', name: 'first', cutOn: '2026-11-02', note: '', pictureId: null },
    'find-exposure': {
      blockId: 'b',
      exposure: { steps: [30, 42], firstHolding: null, exposure: 42, washOut: 180, hardening: 0, note: '' },
    },
    'draw-register': { register, formatId: null },
    pull: pull,
    'set-roll-up': { layerId: 'l', rollUp },
    'set-inked-share': {
      blockId: 'b',
      share: 0.4,
      reading: {
        pictureId: 'p',
        threshold: 128,
        lightInked: false,
        masked: [{ left: 0, top: 0, width: 0.5, height: 0.1 }],
      },
    },
    'plan-overprint': {
      overprint: {
        paper: '#efe3c4',
        layers: [{ layerId: 'l', batchId: null, thickness: 8 }],
        wishes: [{ layers: ['l'], keep: 'paper', colour: null, layerId: null }],
      },
    },
    'plan-blend': {
      layerId: 'l',
      blend: {
        stripes: [
          { batchId: 'b', at: 0.2 },
          { batchId: 'c', at: 0.8 },
        ],
        blend: 0.3,
        widening: 0.01,
        freshAfter: 12,
        avoid: 'green',
        severalDirections: false,
        thickness: 8,
      },
    },
    'judge-pull': { pullId: 'p', verdict: 'doubtful', faults: [], rescued: 'burnished', reason: '' },
    'void-pull': { pullId: 'p', reason: '' },
    'restore-pull': { pullId: 'p' },
    'settle-dispute': { pullId: 'p', reason: 'seen', outcome: 'move', sheetId: 3 },
    adjust: { layerId: 'l', kind: 'packing', note: '' },
    'void-adjustment': { adjustmentId: 'a' },
    'set-bat': { pullId: 'p', reason: '' },
    'declare-dry': { layerId: 'l', sheetIds: [1, 2] },
    'cut-further': { layerId: 'l' },
    'spoil-sheet': { sheetId: 1, fault: 'handling', reason: '' },
    'recover-sheet': { sheetId: 1, reason: 'x' },
    'split-sheet': { sheetId: 1 },
    curate: { sheetId: 1, verdict: 'good', reason: '' },
    'give-numbers': { series: 'AP', size: 2, assignments: [{ sheetId: 1, number: 1 }] },
    'withdraw-numbers': { series: 'edition', reason: 'x' },
    sign: { sheetId: 1 },
    'withdraw-signing': { sheetId: 1, reason: 'x' },
    'destroy-print': { sheetId: 1, reason: 'x' },
    'amend-size': { size: 4, proofs, reason: 'x' },
    close: { note: '' },
    reopen: { reason: 'x' },
  },
  lot: {
    'add-lot': { ...lot, sheets: 20 },
    'describe-lot': { ...lot },
    'buy-paper': { sheets: 10, price: 4.2 },
    'ration-paper': { personId: 'p', sheets: 4 },
    'release-paper': { rationId: 'r', sheets: 2 },
    'return-paper': { rationId: 'r', sheets: 1 },
    'count-lot': { sheets: 3, reason: 'x' },
  },
  batch: {
    'mix-batch': {
      name: 'slate',
      family: 'oil',
      colour: '#445566',
      components: [{ tubId: null, batchId: null, name: 'black', milligrams: 900 }],
    },
    'add-ink': { components: [{ tubId: 't', batchId: null, name: 'light oil', milligrams: 90 }], why: 'loosened' },
    'keep-batch': { milligrams: 400, scraped: 20, how: 'wrapped' },
    'see-draw-down': { ground: '#ffffff', colour: '#445566', thickness: 8 },
    'weigh-run': { editionStream: 'edition:e', layerId: 'l', milligrams: 9000, area: 900000, film: 7.5 },
    'draw-ink': { milligrams: 20, editionStream: 'edition:e', note: '' },
    'reweigh-batch': { milligrams: 0, reason: 'dry' },
  },
  tub: {
    'add-tub': { ...tub, milligrams: 400_000 },
    'describe-tub': { ...tub, card: null, limits: null, openedOn: null },
    'weigh-tub': { milligrams: 10, reason: 'spilt' },
  },
  press: { 'add-press': { name: 'Long press', kind: 'roller bed', divisions: 12 } },
  studio: {
    'set-roller': { id: 'r', name: 'large', width: 200, diameter: 60 },
    'retire-roller': { id: 'r' },
    'set-studio': {
      name: 'Rope Works',
      line: 'number-signature',
      destroyedNumber: 'retired',
      currency: '€',
      ...studioDefaults,
    },
    'add-past-editions': {
      editions: [{ title: 'Old Pier', method: 'single', work: 'press', passed: 96, rejected: 4, finished: 0, lost: 0 }],
    },
    'withdraw-past-edition': { id: 'x', reason: 'another room' },
    'set-series-format': { id: 'f', name: 'Harbour set', topLine: 40, footLine: 60, mat: null },
  },
}

const every = Object.entries(catalogue).flatMap(([kind, types]) =>
  Object.keys(types).map((type) => [kind, type] as const),
)

describe('every request of the catalogue', () => {
  it.each(every)('%s %s is taken as a browser sends it, and not otherwise', (kind, type) => {
    const shape = catalogue[kind]![type]!
    const sample = samples[kind]![type]!
    const read = check(shape, sample)
    expect(read).toHaveProperty('value')
    expect(JSON.parse(JSON.stringify((read as { value: object }).value))).toEqual(JSON.parse(JSON.stringify(sample)))
    expect(check(shape, { ...sample, extra: 1 })).toMatchObject({ refusal: { code: 'invalid', field: 'extra' } })
    for (const key of Object.keys(sample)) {
      const wrong = typeof sample[key] === 'number' ? 'many' : 17.5
      expect(check(shape, { ...sample, [key]: wrong }), `${type}.${key}`).toMatchObject({
        refusal: { code: 'invalid' },
      })
    }
  })

  it('knows a role for each', () => {
    for (const [, type] of every) expect(rolesFor(type).length).toBeGreaterThan(0)
  })
})

describe('what is refused says where and what', () => {
  const refusal = (shape: new () => object, given: unknown) =>
    (check(shape, given) as { refusal: { field?: string; message: string } }).refusal

  it('names a field deep inside', () => {
    expect(
      refusal(catalogue.edition!['start-edition']!, {
        title: 'T',
        plan: { ...plan, proofs: { AP: -1, PP: 0, HC: 0 } },
      }),
    ).toMatchObject({ field: 'plan.proofs.AP', message: expect.stringContaining('-1 was given') })
    expect(
      refusal(catalogue.batch!['mix-batch']!, { ...samples.batch!['mix-batch']!, colour: 'blue' }).message,
    ).toContain('"blue" was given. Nothing was changed.')
  })

  it('takes no list, text or nothing for an object', () => {
    for (const given of [[], 'text', null, undefined, 4])
      expect(refusal(catalogue.lot!['count-lot']!, given).message).toContain('An object was expected')
  })

  it('asks PINs and names for a length', () => {
    expect(refusal(AddPerson, { name: 'Ibb', role: 'student', secret: '12' })).toMatchObject({
      field: 'secret',
      message: expect.stringContaining('4 to 200 characters'),
    })
    expect(refusal(AddPerson, { name: 'Ibb', role: 'owner', secret: '1234' })).toMatchObject({ field: 'role' })
    expect(
      refusal(SetUpStudio, { studio: '', name: 'Ansa', secret: 'net loft', line: 'number-signature', currency: '€' }),
    ).toMatchObject({ field: 'studio' })
  })

  it('takes an envelope only with an id of version 7 and a stream it knows', () => {
    const envelope = {
      commandId: '01a208e6-a59b-708a-bb35-6dffa470d8ee',
      device: 'd',
      by: 'p',
      occurredAt: '2026-11-02T09:30:00.000Z',
      type: 'pull',
      stream: 'edition:e1',
      data: {},
    }
    expect(check(CommandRequest, envelope)).toHaveProperty('value')
    expect(refusal(CommandRequest, { ...envelope, commandId: 'f81d4fae-7dec-41d0-a765-00a0c91e6bf6' })).toMatchObject({
      field: 'commandId',
    })
    expect(refusal(CommandRequest, { ...envelope, stream: 'people:1' })).toMatchObject({ field: 'stream' })
    expect(refusal(CommandRequest, { ...envelope, occurredAt: 'yesterday' })).toMatchObject({ field: 'occurredAt' })
    expect(refusal(CommandRequest, { ...envelope, expectedSeq: -1 })).toMatchObject({ field: 'expectedSeq' })
  })
})
