import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { artistProofWarning, type EditionPlan, goal } from '../plan/plan'
import { emptyStudio } from '../stores/studio/state'
import { setupInForce } from './layer'
import { editionRecord, sheetLines } from './record'

const change = (table: PressTable, more: Partial<EditionPlan>, reason = '', title = 'Tide Gauge') =>
  table.give('change-plan', { title, plan: { ...table.edition.plan!, ...more }, reason }).refusal?.code

describe('the plan', () => {
  it('wants the edition and the proofs promised', () => {
    expect(goal({ ...plan, size: 20, proofs: { AP: 2, PP: 1, HC: 1 } })).toBe(24)
  })

  it('warns above a tenth of artist’s proofs, and forbids nothing', () => {
    const proofs = (AP: number, size: number) => artistProofWarning({ ...plan, size, proofs: { AP, PP: 0, HC: 0 } })
    expect(proofs(2, 20)).toBeNull()
    expect(proofs(3, 20)).toContain('above the usual tenth (2)')
    expect(proofs(1, 5)).toBeNull()
    expect(change(new PressTable(), { proofs: { AP: 9, PP: 0, HC: 0 } })).toBeUndefined()
  })

  it.each([[0], [2001], [1.5], [Number.NaN]])('refuses an edition of %d', (size) => {
    expect(change(new PressTable(), { size })).toBe('size-range')
  })

  it('refuses what has no title, and to start twice', () => {
    const table = new PressTable()
    expect(change(table, {}, '', '   ')).toBe('title-missing')
    expect(table.give('start-edition', { title: 'Again', plan }).refusal?.code).toBe('already-started')
  })

  it('keeps every plan that was in force, with the reason', () => {
    const table = new PressTable().tear(6)
    expect(change(table, { sizeSchool: 'counted' })).toBe('reason-missing')
    expect(change(table, { sizeSchool: 'counted' }, 'the block is wearing')).toBeUndefined()
    expect(change(table, { size: 6 })).toBeUndefined()
    expect(
      table.edition.earlierPlans.map((earlier) => [earlier.plan.size, earlier.plan.sizeSchool, earlier.reason]),
    ).toEqual([
      [4, 'declared', 'the block is wearing'],
      [4, 'counted', ''],
    ])
  })

  it('does not shrink below a number that is given', () => {
    const table = new PressTable().tear(6).number(3)
    expect(change(table, { size: 2 })).toBe('size-below-numbers')
    expect(change(table, { size: 3 })).toBeUndefined()
  })
})

describe('layers', () => {
  it('are named, changed and kept in order', () => {
    const table = new PressTable()
    table.must('add-layer', { name: ' ', blocks: [] })
    const [first, second] = table.edition.layers
    expect(second!.name).toBe('Layer 2')
    table.must('change-layer', {
      layerId: first!.id,
      name: 'sand',
      blocks: ['a', 'b'],
      routine: 'charge, pass',
      stackOrder: 'pulled',
    })
    expect(table.edition.layers[0]).toMatchObject({ name: 'sand', blocks: ['a', 'b'], routine: 'charge, pass' })
    expect(setupInForce(table.edition.layers[0]!)).toBeNull()
    for (const type of ['change-layer', 'set-zones', 'set-press', 'declare-dry', 'cut-further', 'adjust'] as const) {
      const data = {
        layerId: 'none',
        name: '',
        blocks: [],
        routine: '',
        stackOrder: 'pulled',
        zones: [],
        pressId: '',
        packing: [],
        left: {},
        right: {},
        note: '',
        sheetIds: [1],
        kind: 'packing',
      }
      expect(table.give(type, data as never).refusal?.code, type).toBe('unknown-layer')
    }
  })

  it('are cut further once', () => {
    const table = new PressTable({ method: 'reduction' })
    table.must('cut-further', { layerId: table.layer })
    expect(table.give('cut-further', { layerId: table.layer }).refusal?.code).toBe('cut-already')
  })
})

describe('drying', () => {
  it('is declared of sheets that carry the layer', () => {
    const table = new PressTable().tear(3)
    table.pull(1)
    expect(table.give('declare-dry', { layerId: table.layer, sheetIds: [1, 2] }).refusal?.code).toBe('not-printed')
    expect(table.give('declare-dry', { layerId: table.layer, sheetIds: [] }).refusal?.code).toBe('no-sheet')
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    expect(table.edition.sheets[0]!.dry).toEqual([table.layer])
  })
})

describe('undoing at the bench', () => {
  it('takes an adjustment back once', () => {
    const table = new PressTable().tear(2)
    const adjustmentId = table.must('adjust', { layerId: table.layer, kind: 'ink-more', note: '' })
    table.must('void-adjustment', { adjustmentId })
    expect(table.edition.adjustments[0]!.voided).toBe(true)
    expect(table.give('void-adjustment', { adjustmentId }).refusal?.code).toBe('unknown-adjustment')
  })

  it('does not void the BAT, a void pull or an unknown one', () => {
    const table = new PressTable().tear(3)
    const proof = table.pull(1, { kind: 'proof' })
    table.must('approve-proof', { pullId: proof, layerId: table.layer, reason: '' })
    const voiding = (pullId: string) => table.give('void-pull', { pullId, reason: '' }).refusal?.code
    expect(voiding(proof)).toBe('is-standard')
    expect(voiding('none')).toBe('unknown-pull')
    const pull = table.pull(2)
    expect(voiding(pull)).toBeUndefined()
    expect(voiding(pull)).toBe('voided')
    expect(
      table.give('judge-pull', { pullId: pull, verdict: 'good', faults: [], rescued: null, reason: '' }).refusal?.code,
    ).toBe('voided')
    expect(table.give('approve-proof', { pullId: pull, layerId: table.layer, reason: 'x' }).refusal?.code).toBe(
      'not-live',
    )
    expect(table.give('restore-pull', { pullId: proof }).refusal?.code).toBe('not-void')
  })

  it('keeps a pull on a sheet that was split since', () => {
    const table = new PressTable().tear(2)
    const pull = table.pull(1)
    table.must('split-sheet', { sheetId: 1 })
    expect(table.give('void-pull', { pullId: pull, reason: '' }).refusal?.code).toBe('split')
    expect(table.edition.sheets.slice(2).map((sheet) => [sheet.id, sheet.cutFrom, sheet.pulls])).toEqual([
      [3, 1, [pull]],
      [4, 1, [pull]],
    ])
    expect(table.give('split-sheet', { sheetId: 1 }).refusal?.code).toBe('split')
    expect(table.give('spoil-sheet', { sheetId: 1, fault: 'handling', reason: '' }).refusal?.code).toBe('split')
  })
})

describe('spoiling and curating', () => {
  it('spoils once, with a known fault, and recovers with a reason', () => {
    const table = new PressTable().tear(2)
    const spoil = (fault: string, sheetId = 1) =>
      table.give('spoil-sheet', { sheetId, fault, reason: '' }).refusal?.code
    expect(spoil('gremlin')).toBe('unknown-fault')
    expect(spoil('handling', 9)).toBe('unknown-sheet')
    expect(spoil('handling')).toBeUndefined()
    expect(spoil('handling')).toBe('spoiled')
    expect(table.give('recover-sheet', { sheetId: 1, reason: '' }).refusal?.code).toBe('reason-missing')
    table.must('recover-sheet', { sheetId: 1, reason: 'only dust' })
    expect(table.give('recover-sheet', { sheetId: 1, reason: 'again' }).refusal?.code).toBe('not-spoiled')
  })

  it('changes a verdict only with a reason, and lets a later pull speak again', () => {
    const table = new PressTable().tear(2)
    table.must('add-layer', { name: 'second', blocks: [] })
    table.pull(1, { verdict: 'doubtful' })
    expect(table.give('curate', { sheetId: 2, verdict: 'good', reason: '' }).refusal?.code).toBe('not-a-print')
    expect(table.give('curate', { sheetId: 1, verdict: 'good', reason: '' }).refusal?.code).toBe('reason-missing')
    table.must('curate', { sheetId: 1, verdict: 'good', reason: 'fine beside the BAT' })
    expect(sheetLines(table.edition)[0]).toMatchObject({ verdict: 'good', reason: 'fine beside the BAT' })
    table.pull(1, { layerId: table.edition.layers[1]!.id, wetOnWet: true, verdict: 'reject' })
    expect(sheetLines(table.edition)[0]).toMatchObject({ verdict: 'reject', place: 'reject' })
  })
})

describe('the edition record', () => {
  it('says what was made, of what, and what became of it', () => {
    const table = new PressTable({ size: 2, proofs: { AP: 1, PP: 0, HC: 0 } }).tear(6)
    table.pull(6, { kind: 'proof', proofKind: 'SP' })
    table.must('pull', table.pullData(null, { kind: 'warm-up' }))
    table.number(2)
    for (const sheetId of [1, 2]) table.must('sign', { sheetId })
    table.must('destroy-print', { sheetId: 2, reason: 'flood' })
    table.pull(3, { verdict: 'reject', faults: ['salt'] })
    table.must('close', { note: 'block scored', block: 'cancelled', blockIds: [] })
    const record = editionRecord(
      table.edition,
      { ...emptyStudio(), name: 'Rope Works' },
      (id) => (id === 'p1' ? 'Ansa Quill' : id),
      'UTC',
    )
    expect(record).toMatchObject({
      studio: 'Rope Works',
      title: 'Tide Gauge',
      closingNote: 'block scored',
      impressions: 5,
      paper: [{ name: 'cream laid', pieces: 6 }],
      layers: [{ name: 'Layer 1', pulls: 3, rejects: 1 }],
      series: [{ series: 'edition', size: 2, given: 1, signed: 1, destroyed: 1 }],
      proofs: [
        { kind: 'SP', count: 1 },
        { kind: 'warm-up', count: 1 },
      ],
    })
    expect(record.sheets[1]).toMatchObject({ place: 'destroyed', number: '2/2', reason: 'flood' })
    expect(record.sheets[2]).toMatchObject({ place: 'reject', faults: 'salt', verdict: 'reject' })
  })
})

describe('whose edition it is', () => {
  it('is theirs who begins it, until others are named', () => {
    const table = new PressTable()
    expect(table.edition).toMatchObject({ artistId: null, printerIds: ['p1'], printersGrow: false })
    table.submit({ type: 'add-person', stream: 'studio', data: { personId: 'p2', role: 'member' } })
    table.must('name-printers', { artistId: 'p2', printerIds: ['p1', 'p2', 'p2'] })
    expect(table.edition).toMatchObject({ artistId: 'p2', printerIds: ['p1', 'p2'] })
    expect(table.give('name-printers', { artistId: null, printerIds: ['nobody'] }).refusal).toMatchObject({
      code: 'unknown-person',
    })
    expect(table.give('name-printers', { artistId: null, printerIds: [] }).refusal).toMatchObject({
      code: 'nobody-named',
    })
    // Someone who has left since stays named.
    table.submit({ type: 'change-person', stream: 'studio', data: { personId: 'p2', role: 'member', active: false } })
    expect(table.give('name-printers', { artistId: null, printerIds: ['p2'] }).refusal).toBeUndefined()
  })
})
