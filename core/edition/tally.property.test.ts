import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plan } from '../../tests/fixtures/plan'
import type { Happening } from '../ground/envelope'
import { evolve, fold } from '../house/streams'
import { countEdition } from './count'
import { emptyEdition, type EditionState } from './state'
import { tallyAnew, tallyOf } from './tally'

/** Events as a ledger might hold them, lawful or not, on few sheets so that they meet. */
interface Thrown {
  type: string
  data: object
  /** Whether the tally is asked for afterwards. */
  asked: boolean
}

const sheetId = fc.integer({ min: 1, max: 6 })
const pullId = fc.integer({ min: 1, max: 9 }).map((n) => `p${n}`)
const layerId = fc.constantFrom('l1', 'l2')
const verdict = fc.constantFrom('good', 'doubtful', 'reject')
const series = fc.constantFrom('edition', 'AP')
const number = fc.integer({ min: 0, max: 4 })
const pulled = fc.record({
  pullId,
  layerId,
  kind: fc.constantFrom('pull', 'pull', 'pull', 'proof', 'warm-up'),
  proofKind: fc.constant(null),
  verdict,
  sheetIds: fc.uniqueArray(sheetId, { maxLength: 2 }),
  faults: fc.constant([]),
  rescued: fc.constant(null),
  wetOnWet: fc.boolean(),
  setupSeq: fc.constant(0),
  batchIds: fc.constant([]),
})
const torn = fc.record({ lotId: fc.constant('l'), lotName: fc.constant('laid'), count: fc.integer({ min: 1, max: 2 }) })

const shapes: Record<string, fc.Arbitrary<object>> = {
  pulled,
  'pull-disputed': fc
    .record({ rule: fc.constant('x'), message: fc.constant('y') })
    .chain((why) => pulled.map((pull) => ({ ...pull, ...why }))),
  'dispute-settled': fc.record({ pullId, outcome: fc.constantFrom('void', 'move'), sheetId, reason: fc.constant('') }),
  'pull-judged': fc.record({ pullId, verdict, faults: fc.constant([]), rescued: fc.constant(null) }),
  'pull-voided': fc.record({ pullId }),
  'pull-restored': fc.record({ pullId }),
  'bat-set': fc.record({ pullId, replaced: fc.constant(null), reason: fc.constant('') }),
  'declared-dry': fc.record({ layerId, sheetIds: fc.array(sheetId, { maxLength: 3 }) }),
  'block-cut-further': fc.record({ layerId }),
  'sheet-spoiled': fc.record({ sheetId, fault: fc.constant('handling'), reason: fc.constant('') }),
  'sheet-recovered': fc.record({ sheetId }),
  'sheet-split': sheetId.map((id) => ({ sheetId: id, parts: [] as number[] })),
  'sheet-curated': fc.record({ sheetId, verdict, reason: fc.constant('') }),
  'numbers-given': fc.record({
    series,
    size: fc.integer({ min: 1, max: 3 }),
    assignments: fc.array(fc.record({ sheetId, number }), { maxLength: 2 }),
  }),
  'numbers-withdrawn': fc.record({ series }),
  'print-signed': fc.record({ sheetId }),
  'signing-withdrawn': fc.record({ sheetId }),
  'print-destroyed': fc.record({ sheetId, reason: fc.constant(''), replaceable: fc.boolean() }),
  'size-amended': fc.record({ size: number, proofs: fc.constant({ AP: 1, PP: 0, HC: 0 }), reason: fc.constant('') }),
  'sheets-torn': torn,
  'layer-added': fc.record({ layerId, name: fc.constant('n'), blocks: fc.constant([]), zones: fc.constant([]) }),
}

const thrown: fc.Arbitrary<Thrown> = fc
  .constantFrom(...Object.keys(shapes), 'pulled', 'pulled', 'pulled')
  .chain((type) => fc.record({ type: fc.constant(type), data: shapes[type]!, asked: fc.boolean() }))

function happening(state: EditionState, { type, data }: Pick<Thrown, 'type' | 'data'>): Happening {
  // A sheet is split once, into the next two serials, as the rule would have it.
  const split = type === 'sheet-split' ? state.sheets[(data as { sheetId: number }).sheetId - 1] : undefined
  const parts = split && split.parts.length === 0 ? [state.sheets.length + 1, state.sheets.length + 2] : []
  // A pull has the id of its command, which is used once.
  const isPull = type === 'pulled' || type === 'pull-disputed'
  // Split again it would lose the parts it has, which the rule refuses: such an event finds no sheet.
  const again = split && parts.length === 0 ? { sheetId: 999 } : {}
  const own = type === 'sheet-split' ? { parts, ...again } : isPull ? { pullId: `p${state.pulls.length + 1}` } : {}
  const given = { ...data, ...own }
  const seq = state.seq + 1
  return { stream: state.stream, seq, type, version: 1, actor: `a${seq % 2}`, occurredAt: `t${seq}`, data: given }
}

function begun(): EditionState {
  const empty = emptyEdition('edition:e1')
  const start = [
    { type: 'edition-started', data: { title: 'Tide Gauge', plan } },
    { type: 'layer-added', data: { layerId: 'l1', name: 'one', blocks: [], zones: [] } },
    { type: 'sheets-torn', data: { lotId: 'l', lotName: 'laid', count: 4 } },
  ]
  return start.reduce((state, event) => evolve(state, happening(state, event)), empty)
}

const plainly = (state: EditionState) => {
  const { standings, counts } = tallyAnew(state)
  return { standings, counts: new Map([...counts].sort()) }
}
const kept = (state: EditionState) => {
  const { standings, counts } = tallyOf(state)
  return { standings, counts: new Map([...counts].sort()) }
}

describe('a tally kept by difference', () => {
  it('is the whole count, after any events, asked at every step or now and then', () => {
    fc.assert(
      fc.property(fc.array(thrown, { maxLength: 40 }), fc.boolean(), (events, always) => {
        let state = begun()
        tallyOf(state)
        for (const event of events) {
          state = evolve(state, happening(state, event))
          if (always || event.asked) expect(kept(state)).toEqual(plainly(state))
        }
        expect(kept(state)).toEqual(plainly(state))
      }),
      { numRuns: 1500 },
    )
  })

  it('holds for two futures of one state, and beside folds', () => {
    fc.assert(
      fc.property(fc.array(thrown, { maxLength: 12 }), fc.array(thrown, { maxLength: 12 }), (one, other) => {
        const start = begun()
        tallyOf(start)
        const step = (state: EditionState, event: Thrown) => evolve(state, happening(state, event))
        const first = one.reduce(step, start)
        const second = other.reduce(step, start)
        expect(kept(first)).toEqual(plainly(first))
        expect(kept(second)).toEqual(plainly(second))
        const more = fold(first, [
          happening(first, { type: 'sheet-spoiled', data: { sheetId: 1, fault: 'x', reason: '' } }),
        ])
        expect(kept(more)).toEqual(plainly(more))
        expect(countEdition(more).total).toBe(countEdition({ ...more }).total)
      }),
      { numRuns: 500 },
    )
  })
})
