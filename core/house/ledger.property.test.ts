import type { CommandData, EditionCommandType } from './acts'
import { tornRight } from '../../tests/fixtures/torn'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { rollUpDefaults } from '../ink/roll-up'
import { countEdition } from '../edition/count'
import { fold } from './streams'
import { emptyEdition } from '../edition/state'

type Step = { act: string; sheet: number; pick: number; verdict: 'good' | 'doubtful' | 'reject' }

const step: fc.Arbitrary<Step> = fc.record({
  act: fc.constantFrom(
    'pull',
    'pull',
    'pull',
    'pull2',
    'proof',
    'void',
    'restore',
    'dry',
    'spoil',
    'recover',
    'split',
    'curate',
    'curate',
    'number',
    'ap',
    'sign',
    'withdraw',
    'destroy',
    'settle',
    'tear',
    'judge',
    'cut',
    'close',
    'reopen',
    'roll',
    'overprint',
    'blend',
  ),
  sheet: fc.integer({ min: 1, max: 14 }),
  pick: fc.nat(40),
  verdict: fc.constantFrom('good', 'doubtful', 'reject'),
})

/** Turn a random step into a command; most are nonsense now and then, which is the point. */
function commandFor(table: PressTable, s: Step): [EditionCommandType, CommandData<EditionCommandType>] {
  const pulls = table.edition.pulls
  const pullId = pulls[s.pick % Math.max(1, pulls.length)]?.pullId ?? 'none'
  const layerId = table.edition.layers[s.pick % 2]?.id ?? table.layer
  switch (s.act) {
    case 'pull':
      return ['pull', table.pullData(s.sheet, { verdict: s.verdict })]
    case 'pull2':
      return ['pull', table.pullData(s.sheet, { verdict: s.verdict, layerId, wetOnWet: true })]
    case 'proof':
      return ['pull', table.pullData(s.pick % 2 ? s.sheet : null, { kind: 'proof' })]
    case 'void':
      return ['void-pull', { pullId, reason: '' }]
    case 'restore':
      return ['restore-pull', { pullId }]
    case 'judge':
      return ['judge-pull', { pullId, verdict: s.verdict, faults: [], rescued: null, reason: '' }]
    case 'dry':
      return ['declare-dry', { layerId, sheetIds: [s.sheet] }]
    case 'spoil':
      return ['spoil-sheet', { sheetId: s.sheet, fault: 'handling', reason: '' }]
    case 'recover':
      return ['recover-sheet', { sheetId: s.sheet, reason: 'fine' }]
    case 'split':
      return ['split-sheet', { sheetId: s.sheet }]
    case 'curate':
      return ['curate', { sheetId: s.sheet, verdict: s.verdict, reason: 'seen again' }]
    case 'number':
      return ['give-numbers', { series: 'edition', size: 4, assignments: [{ sheetId: s.sheet, number: s.pick % 6 }] }]
    case 'ap':
      return ['give-numbers', { series: 'AP', size: 3, assignments: [{ sheetId: s.sheet, number: 1 + (s.pick % 3) }] }]
    case 'sign':
      return ['sign', { sheetId: s.sheet }]
    case 'withdraw':
      return ['withdraw-numbers', { series: 'edition', reason: 'again' }]
    case 'destroy':
      return ['destroy-print', { sheetId: s.sheet, reason: 'fire' }]
    case 'settle':
      return ['settle-dispute', { pullId, outcome: s.pick % 2 ? 'void' : 'move', sheetId: s.sheet, reason: 'looked' }]
    case 'tear':
      return ['tear', { ...tornRight('l1', 1, 1 + (s.pick % 3)), wrong: s.pick % 2, reason: 'off the edge' }]
    case 'cut':
      return ['cut-further', { layerId }]
    case 'roll':
      return [
        'set-roll-up',
        {
          layerId,
          rollUp: { ...rollUpDefaults, passes: s.pick % 4, chores: [{ every: s.sheet, what: 'clear the rim' }] },
        },
      ]
    case 'overprint':
      return [
        'plan-overprint',
        { overprint: { paper: '#efe3c4', layers: [{ layerId, batchId: null, thickness: s.pick % 12 }], wishes: [] } },
      ]
    case 'blend':
      return [
        'plan-blend',
        {
          layerId,
          blend:
            s.pick % 3
              ? null
              : {
                  stripes: [
                    { batchId: 'a', at: 0.2 },
                    { batchId: 'b', at: s.pick / 40 },
                  ],
                  blend: 0.3,
                  widening: 0,
                  freshAfter: 8,
                  avoid: null,
                  severalDirections: false,
                  thickness: 8,
                },
        },
      ]
    case 'close':
      return ['close', { note: '' }]
    default:
      return ['reopen', { reason: 'more' }]
  }
}

const newTable = () => {
  const table = new PressTable().tear(8)
  table.must('add-layer', { name: 'second', blocks: [] })
  return table
}

describe('whatever is done', () => {
  it('the count balances after every command', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
        const table = newTable()
        for (const s of steps) {
          table.give(...commandFor(table, s))
          const count = countEdition(table.edition)
          expect(count.findings).toEqual([])
          expect(count.total).toBe(count.made)
        }
      }),
      { numRuns: 150 },
    )
  })

  it('the same events fold to the same edition', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const table = newTable()
        for (const s of steps) table.give(...commandFor(table, s))
        expect(
          fold(
            emptyEdition(table.stream),
            table.events.filter((e) => e.stream === table.stream),
          ),
        ).toEqual(table.edition)
      }),
      { numRuns: 40 },
    )
  })

  it('void then redo restores every place', () => {
    let redone = 0
    fc.assert(
      fc.property(fc.array(step, { minLength: 5, maxLength: 30 }), fc.nat(30), (steps, pick) => {
        const table = newTable()
        for (let sheet = 1; sheet <= 4; sheet++) table.pull(sheet)
        for (const s of steps) table.give(...commandFor(table, s))
        const live = table.edition.pulls.filter((pull) => !pull.voided && pull.disputed === null)
        const pull = live[pick % Math.max(1, live.length)]
        const before = countEdition(table.edition)
        if (!pull || table.give('void-pull', { pullId: pull.pullId, reason: '' }).refusal) return
        table.must('restore-pull', { pullId: pull.pullId })
        expect(countEdition(table.edition)).toEqual(before)
        redone += 1
      }),
      { numRuns: 150 },
    )
    // Else the property would hold of nothing.
    expect(redone).toBeGreaterThan(30)
  })

  it('an unknown event changes nothing but the sequence', () => {
    const table = newTable()
    const odd = { ...table.events[0]!, type: 'from-the-future', seq: table.edition.seq + 1 }
    const after = fold(emptyEdition(table.stream), [...table.events.filter((e) => e.stream === table.stream), odd])
    expect({ ...after, changedAt: '' }).toEqual({ ...table.edition, seq: odd.seq, changedAt: '' })
  })
})
