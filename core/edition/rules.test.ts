import { evolve } from '../house/streams'
import { upcast } from '../house/upcast'
import { batOf } from './standards'
import { tornRight } from '../../tests/fixtures/torn'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { countEdition } from './count'
import { pullOf } from './pull'
import { sheetOf } from './sheet'
import { placeOf } from './places'

const rows = (table: PressTable) =>
  Object.fromEntries(countEdition(table.edition).rows.map((row) => [row.key, row.sheets]))
const code = (given: { refusal?: { code: string } }) => given.refusal?.code

describe('rule 1: every sheet in exactly one place', () => {
  it('balances from tearing to spoiling, splitting and numbering', () => {
    const table = new PressTable().tear(8)
    expect(rows(table)).toEqual({ blank: 8 })
    table.pull(1)
    table.pull(2, { verdict: 'reject', faults: ['salt'] })
    table.pull(3, { verdict: 'doubtful' })
    table.pull(4, { kind: 'proof', proofKind: 'WP' })
    table.must('spoil-sheet', { sheetId: 5, fault: 'handling', reason: 'dropped' })
    table.must('split-sheet', { sheetId: 6 })
    expect(rows(table)).toEqual({ blank: 4, good: 1, doubtful: 1, 'proof-WP': 1, 'rejects-0': 1, 'rejects-1': 1 })
    const count = countEdition(table.edition)
    expect(count).toMatchObject({ made: 9, total: 9, balances: true, findings: [] })
  })

  it('says what is wrong when a ledger does not add up', () => {
    const table = new PressTable().tear(3)
    expect(countEdition({ ...table.edition, made: 4 })).toMatchObject({
      balances: false,
      findings: ['1 of 4 sheets is in no place. Look at what was torn and split.'],
    })
  })
})

describe('rule 2: nothing is deleted', () => {
  it('voids with a reason and brings back', () => {
    const table = new PressTable().tear(2)
    const id = table.pull(1)
    table.must('void-pull', { pullId: id, reason: 'tapped twice' })
    expect(pullOf(table.edition, id)!.voided).toBe(true)
    expect(rows(table)).toEqual({ blank: 2 })
    table.must('restore-pull', { pullId: id })
    expect(rows(table)).toEqual({ blank: 1, good: 1 })
    expect(table.events.filter((e) => e.type.startsWith('pull'))).toHaveLength(3)
  })

  it('does not bring back a pull whose sheet met the block again', () => {
    const table = new PressTable().tear(2)
    const id = table.pull(1)
    table.must('void-pull', { pullId: id, reason: '' })
    table.pull(1)
    expect(code(table.give('restore-pull', { pullId: id }))).toBe('layer-twice')
  })
})

describe('rule 3: no reject, proof, ghost or practice pull carries a number', () => {
  it.each([
    [{ verdict: 'reject' as const }],
    [{ kind: 'proof' as const }],
    [{ kind: 'ghost' as const }],
    [{ kind: 'practice' as const }],
    [{ kind: 'warm-up' as const }],
  ])('refuses %o', (more) => {
    const table = new PressTable().tear(2)
    table.pull(1, more)
    expect(
      code(table.give('give-numbers', { series: 'edition', size: 4, assignments: [{ sheetId: 1, number: 1 }] })),
    ).toBe('not-good')
  })

  it('holds a numbered print to its verdict', () => {
    const table = new PressTable().tear(4).number(2)
    expect(code(table.give('curate', { sheetId: 1, verdict: 'reject', reason: 'salt seen late' }))).toBe('numbered')
    expect(
      code(
        table.give('judge-pull', {
          pullId: table.edition.pulls[0]!.pullId,
          verdict: 'reject',
          faults: [],
          rescued: null,
          reason: '',
        }),
      ),
    ).toBe('numbered')
    expect(code(table.give('spoil-sheet', { sheetId: 1, fault: 'handling', reason: '' }))).toBe('numbered')
  })
})

describe('rule 4: a number is used once, within its series', () => {
  it('fails whole on a number used twice or out of range', () => {
    const table = new PressTable().tear(6).number(2)
    table.pull(3)
    table.must('curate', { sheetId: 3, verdict: 'good', reason: '' })
    const give = (number: number) =>
      code(table.give('give-numbers', { series: 'edition', size: 4, assignments: [{ sheetId: 3, number }] }))
    expect(give(2)).toBe('number-used')
    expect(give(5)).toBe('number-range')
    expect(give(0)).toBe('number-range')
    expect(sheetOf(table.edition, 3)!.mark).toBeNull()
    expect(give(4)).toBeUndefined()
    expect(countEdition(table.edition).balances).toBe(true)
  })

  it('keeps a declared size and lets numbers wait', () => {
    const table = new PressTable().tear(4).number(2)
    expect(table.edition.seriesSize.edition).toBe(4)
    table.pull(3)
    table.must('curate', { sheetId: 3, verdict: 'good', reason: '' })
    expect(
      code(table.give('give-numbers', { series: 'edition', size: 3, assignments: [{ sheetId: 3, number: 3 }] })),
    ).toBe('size-declared')
  })

  it('retires the number of a destroyed print unless the studio replaces it', () => {
    for (const destroyedNumber of ['retired', 'replaced'] as const) {
      const table = new PressTable().tear(4).number(2)
      table.submit({
        type: 'set-studio',
        stream: 'studio',
        data: { name: 'Rope Works', line: plan.line, destroyedNumber, currency: '€' },
      })
      table.must('destroy-print', { sheetId: 2, reason: 'water damage' })
      table.pull(3)
      table.must('curate', { sheetId: 3, verdict: 'good', reason: '' })
      expect(
        code(table.give('give-numbers', { series: 'edition', size: 4, assignments: [{ sheetId: 3, number: 2 }] })),
      ).toBe(destroyedNumber === 'retired' ? 'number-used' : undefined)
      expect(countEdition(table.edition).findings).toEqual([])
    }
  })
})

describe('rule 5: signed only when whole, curated good, dry and numbered', () => {
  it('refuses each lack by its name', () => {
    const table = new PressTable().tear(3)
    table.pull(1)
    expect(code(table.give('sign', { sheetId: 1 }))).toBe('no-number')
    table.must('curate', { sheetId: 1, verdict: 'good', reason: '' })
    table.must('give-numbers', { series: 'edition', size: 4, assignments: [{ sheetId: 1, number: 1 }] })
    expect(code(table.give('sign', { sheetId: 1 }))).toBe('not-dry')
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    table.must('sign', { sheetId: 1 })
    expect(code(table.give('sign', { sheetId: 1 }))).toBe('signed')
    expect(placeOf(table.edition, sheetOf(table.edition, 1)!)).toMatchObject({ kind: 'marked', signed: true })
  })

  it('takes no layer more once numbers are given', () => {
    const table = new PressTable().tear(2).number(1)
    expect(code(table.give('add-layer', { name: '', blocks: [] }))).toBe('numbered')
  })
})

describe('rule 6: the first signature fixes the size', () => {
  it('wants an amendment with a reason', () => {
    const table = new PressTable().tear(4).number(2)
    table.must('sign', { sheetId: 1 })
    expect(code(table.give('change-plan', { title: 'Tide Gauge', plan: { ...plan, size: 6 }, reason: '' }))).toBe(
      'size-fixed',
    )
    expect(code(table.give('amend-size', { size: 6, proofs: plan.proofs, reason: ' ' }))).toBe('reason-missing')
    table.must('amend-size', { size: 3, proofs: plan.proofs, reason: 'paper ran out' })
    expect(table.edition).toMatchObject({
      seriesSize: { edition: 3 },
      amendments: [{ size: 3, reason: 'paper ran out' }],
    })
    expect(code(table.give('amend-size', { size: 1, proofs: plan.proofs, reason: 'less' }))).toBe('size-below-numbers')
    expect(code(table.give('withdraw-numbers', { series: 'edition', reason: 'again' }))).toBeUndefined()
    expect(sheetOf(table.edition, 1)!.mark).toEqual({ series: 'edition', number: 1 })
  })
})

describe('rules 7 and 8: layers in order, on dry sheets, until the block is cut', () => {
  const twoLayers = () => {
    const table = new PressTable({ method: 'reduction' }).tear(4)
    table.must('add-layer', { name: 'slate', blocks: [] })
    return { table, second: table.edition.layers[1]!.id }
  }
  const rule = (table: PressTable) => table.edition.pulls.at(-1)!.disputed?.rule

  it('disputes a pull out of order, undried or after cutting, and keeps it', () => {
    const { table, second } = twoLayers()
    table.pull(1, { layerId: second })
    expect(rule(table)).toBe('layer-order')
    table.pull(1)
    table.pull(1, { layerId: second })
    expect(rule(table)).toBe('not-dry')
    table.pull(1, { layerId: second, wetOnWet: true })
    expect(rule(table)).toBeUndefined()
    table.must('cut-further', { layerId: table.layer })
    table.pull(2)
    expect(rule(table)).toBe('cut-further')
    expect(countEdition(table.edition)).toMatchObject({ balances: true, disputed: 3 })
  })

  it('leaves behind what missed a layer that was cut, for good', () => {
    const { table, second } = twoLayers()
    table.pull(1)
    table.pull(2)
    table.must('cut-further', { layerId: table.layer })
    expect(rows(table)).toEqual({ 'drying-1': 2, 'left-behind-1': 2 })
    table.pull(3, { layerId: second, wetOnWet: true })
    expect(rule(table)).toBe('sheet-not-alive')
    table.pull(4, { layerId: second, kind: 'proof', proofKind: 'CTP' })
    expect(rule(table)).toBeUndefined()
    expect(countEdition(table.edition)).toMatchObject({ balances: true, total: 4 })
  })

  it('lets a proof go its own way', () => {
    const { table, second } = twoLayers()
    table.pull(3, { layerId: second, kind: 'proof', proofKind: 'progressive' })
    expect(rule(table)).toBeUndefined()
  })

  it('does not void a layer beneath another', () => {
    const { table, second } = twoLayers()
    const first = table.pull(1)
    table.pull(1, { layerId: second, wetOnWet: true })
    expect(code(table.give('void-pull', { pullId: first, reason: '' }))).toBe('later-layer')
  })

  it('settles a dispute by voiding it or naming the sheet', () => {
    const { table } = twoLayers()
    table.pull(1)
    const late = table.pull(1)
    expect(code(table.give('settle-dispute', { pullId: late, outcome: 'move', sheetId: 1, reason: 'x' }))).toBe(
      'layer-twice',
    )
    table.must('settle-dispute', { pullId: late, outcome: 'move', sheetId: 2, reason: 'was the second sheet' })
    expect(countEdition(table.edition)).toMatchObject({
      disputed: 0,
      balances: true,
      rows: [
        { key: 'blank', sheets: 2 },
        { key: 'drying-1', sheets: 2 },
      ],
    })
    const other = table.pull(2)
    table.must('settle-dispute', { pullId: other, outcome: 'void', sheetId: null, reason: 'never pulled' })
    expect(countEdition(table.edition)).toMatchObject({ disputed: 0, balances: true })
  })
})

describe('rule 9: one standard a layer at a time, the last being the BAT', () => {
  it('comes from a proof of its layer and is replaced with a reason', () => {
    const table = new PressTable().tear(3)
    const approve = (pullId: string, reason = '', layerId = table.layer) =>
      code(table.give('approve-proof', { pullId, layerId, reason }))
    expect(approve(table.pull(1))).toBe('not-a-proof')
    const [first, second] = [
      table.pull(2, { kind: 'proof' }),
      table.must('pull', table.pullData(null, { kind: 'proof' })),
    ]
    expect(approve(first)).toBeUndefined()
    expect(approve(first)).toBe('is-standard')
    expect(approve(second)).toBe('reason-missing')
    expect(code(table.give('void-pull', { pullId: first, reason: '' }))).toBe('is-standard')
    expect(approve(second, 'softer sky')).toBeUndefined()
    expect(batOf(table.edition)?.pullId).toBe(second)
    expect(table.edition.earlierStandards).toEqual([{ layerId: table.layer, pullId: first, reason: 'softer sky' }])
  })

  it('of a later layer lies on a sheet that carries the layers before it', () => {
    const table = new PressTable().tear(5)
    const slate = table.must('add-layer', { name: 'slate', blocks: [] })
    const approve = (pullId: string, layerId: string) =>
      code(table.give('approve-proof', { pullId, layerId, reason: '' }))
    const key = table.pull(5, { kind: 'proof' })
    expect(approve(key, slate)).toBe('other-layer')
    expect(approve(key, 'none')).toBe('unknown-layer')
    expect(approve(key, table.layer)).toBeUndefined()
    const onNewsprint = table.must('pull', table.pullData(null, { kind: 'proof', layerId: slate }))
    const onBlank = table.pull(4, { kind: 'proof', layerId: slate })
    for (const proof of [onNewsprint, onBlank]) expect(approve(proof, slate)).toBe('layers-missing')
    table.pull(1)
    const proof = table.pull(1, { kind: 'proof', layerId: slate })
    expect(approve(proof, slate)).toBeUndefined()
    expect(batOf(table.edition)?.pullId).toBe(proof)
    const rows = () => countEdition(table.edition).rows.map(({ label }) => label)
    expect(rows()).toEqual(expect.arrayContaining(['standard, layer 1', 'BAT']))
    // A layer more, and neither is the last one's any longer.
    table.must('add-layer', { name: 'rust', blocks: [] })
    expect(batOf(table.edition)).toBeUndefined()
    expect(rows()).toEqual(expect.arrayContaining(['standard, layer 1', 'standard, layer 2']))
  })

  it('in an old ledger is that of the layer of its proof', () => {
    const table = new PressTable().tear(3)
    const proof = table.pull(2, { kind: 'proof' })
    const old = {
      stream: table.stream,
      type: 'bat-set',
      version: 1,
      data: { pullId: proof, reason: '', replaced: null },
    }
    const event = { ...table.events.at(-1)!, ...old, seq: table.edition.seq + 1 }
    expect(batOf(evolve(table.edition, upcast(event)))?.pullId).toBe(proof)
  })
})

describe('rule 10: no more ink than was mixed', () => {
  it('refuses to draw what is not there', () => {
    const table = new PressTable()
    const batch = (type: string, data: unknown) => table.submit({ type, stream: 'batch:b1', data })
    batch('mix-batch', {
      name: 'slate 2',
      family: 'oil',
      colour: '#334455',
      components: [
        { tubId: null, batchId: null, name: 'black', milligrams: 20_000 },
        { tubId: null, batchId: null, name: 'base', milligrams: 60_000 },
      ],
    })
    expect(code(batch('draw-ink', { milligrams: 80_101, editionStream: table.stream, layerId: null, note: '' }))).toBe(
      'not-enough',
    )
    expect(
      code(batch('draw-ink', { milligrams: 80_000, editionStream: table.stream, layerId: null, note: '' })),
    ).toBeUndefined()
    expect(code(batch('reweigh-batch', { milligrams: 90_000, reason: 'scale' }))).toBe('more-than-mixed')
  })
})

describe('rule 11: a closed edition is read-only', () => {
  it('refuses changes, disputes a late pull, reopens with a reason', () => {
    const table = new PressTable().tear(3)
    table.pull(1)
    table.must('close', { note: '', block: 'kept', blockIds: [] })
    expect(code(table.give('tear', tornRight('l1', 1, 2)))).toBe('closed')
    table.pull(2)
    expect(table.edition.pulls.at(-1)!.disputed!.rule).toBe('closed')
    expect(code(table.give('reopen', { reason: '' }))).toBe('reason-missing')
    table.must('reopen', { reason: 'a pull came in late' })
    expect(code(table.give('close', { note: '', block: 'kept', blockIds: [] }))).toBe('disputed')
  })
})

describe('what a person is told', () => {
  it('refuses stale, unknown and forbidden commands plainly', () => {
    const table = new PressTable().tear(2)
    expect(
      code(
        table.submit({
          type: 'close',
          stream: table.stream,
          data: { note: '', block: 'kept', blockIds: [] },
          expectedSeq: 1,
        }),
      ),
    ).toBe('stale')
    expect(code(table.submit({ type: 'pull', stream: 'edition:none', data: table.pullData(1) }))).toBe(
      'unknown-edition',
    )
    expect(code(table.give('reopen', { reason: 'a smudge' }, 'student'))).toBe('not-allowed')
    expect(code(table.give('pull', table.pullData(null)))).toBe('sheet-missing')
    expect(code(table.give('pull', table.pullData(1, { faults: ['gremlin'] })))).toBe('unknown-fault')
    expect(code(table.give('tear', tornRight('l1', 1, 6000)))).toBe('too-many-sheets')
  })
})

describe('a voided pull of a block that was cut further since', () => {
  it('comes back where it was, for it was made before the cut', () => {
    const table = new PressTable({ method: 'reduction' }).tear(3)
    table.must('add-layer', { name: 'second', blocks: [] })
    for (const sheet of [1, 2]) table.pull(sheet)
    table.must('cut-further', { layerId: table.layer })
    const pullId = table.edition.pulls[0]!.pullId
    table.must('void-pull', { pullId, reason: 'the wrong key' })
    expect(countEdition(table.edition).rows.find((row) => row.key === 'left-behind-1')?.sheets).toBe(2)
    table.must('restore-pull', { pullId })
    expect(countEdition(table.edition).rows.find((row) => row.key === 'left-behind-1')?.sheets).toBe(1)
  })
})

describe('before ink is opened', () => {
  const block = {
    name: 'key block',
    kind: 'hard lino' as const,
    width: 200,
    height: 150,
    thickness: 23.3,
    image: { left: 5, top: 5, width: 190, height: 140 },
    rotation: 0,
    removed: '',
    transfer: 'carbon copy' as const,
    note: '',
  }
  const exposure = { steps: [30, 42], firstHolding: 1, exposure: 42, washOut: 180, hardening: 60, note: '' }

  it('blocks are described, changed and followed from state to state', () => {
    const table = new PressTable()
    expect(code(table.give('prepare-block', { blockId: 'k', block: { ...block, name: ' ' } }))).toBe('block-unfit')
    table.prepareBlock(block)
    const blockId = table.edition.blocks[0]!.id
    const state = { blockId, name: ' first state ', cutOn: '2026-11-02', note: '', pictureId: null }
    expect(code(table.give('record-block-state', { ...state, name: '' }))).toBe('name-missing')
    expect(code(table.give('record-block-state', { ...state, blockId: 'other' }))).toBe('unknown-block')
    table.must('record-block-state', state)
    table.must('change-block', { blockId, block: { ...block, rotation: 0.5 } })
    expect(code(table.give('change-block', { blockId: 'other', block }))).toBe('unknown-block')
    expect(table.edition.blocks).toMatchObject([{ block: { rotation: 0.5 }, states: [{ name: 'first state' }] }])
  })

  it('an exposure names a step that was tested, and lasts longer than nothing', () => {
    const table = new PressTable()
    table.prepareBlock(block)
    const blockId = table.edition.blocks[0]!.id
    expect(code(table.give('find-exposure', { blockId, exposure: { ...exposure, exposure: 0 } }))).toBe(
      'exposure-missing',
    )
    expect(code(table.give('find-exposure', { blockId, exposure: { ...exposure, firstHolding: 2 } }))).toBe(
      'unknown-step',
    )
    table.must('find-exposure', { blockId, exposure })
    expect(table.edition.blocks[0]!.exposures).toMatchObject([{ exposure: 42 }])
  })

  it('a plan does not start fewer sheets than prints are wanted, nor a rate that leaves no doubt', () => {
    const table = new PressTable({ size: 10 })
    const change = (more: object) =>
      code(table.give('change-plan', { title: 'Tide Gauge', plan: { ...table.edition.plan!, ...more }, reason: '' }))
    expect(change({ start: 8 })).toBe('start-below-goal')
    expect(change({ expected: { rate: 1, pulls: 25 } })).toBe('rate-range')
    expect(change({ layersPlanned: 41 })).toBe('too-many-layers')
    expect(change({ start: 14, expected: { rate: 0.9, pulls: 40 } })).toBeUndefined()
    expect(table.edition.earlierPlans).toMatchObject([{ sheetsTorn: 0, plan: { start: null } }])
  })

  it('a plan made ahead has all its layers from the start', () => {
    expect(new PressTable({ layering: 'ahead', layersPlanned: 4 }).edition.layers.map((layer) => layer.name)).toEqual([
      'Layer 1',
      'Layer 2',
      'Layer 3',
      'Layer 4',
    ])
  })
})
