import { describe, expect, it } from 'vitest'
import { plan } from '../../tests/fixtures/plan'
import { planChanges } from './changes'

describe('two versions of a plan', () => {
  it('differ by what bears on the edition', () => {
    expect(planChanges(plan, plan)).toEqual([])
    expect(
      planChanges(plan, { ...plan, size: 6, start: 9, due: '2026-12-20', proofs: { AP: 1, PP: 1, HC: 0 } }),
    ).toEqual([
      { what: 'prints', before: '4', after: '6' },
      { what: 'proofs', before: '1 AP, 0 PP, 0 HC', after: '1 AP, 1 PP, 0 HC' },
      { what: 'started', before: 'undecided', after: '9' },
      { what: 'wanted by', before: 'no date', after: '2026-12-20' },
    ])
  })

  it('differ in smaller matters without a word', () => {
    expect(planChanges(plan, { ...plan, numerals: 'arabic', rates: { ...plan.rates, inkGram: 1 } })).toEqual([])
  })
})
