import { describe, expect, it } from 'vitest'
import { chanceBySheets } from './odds'
import { startAnswers } from './start'

const groups = [
  { layers: 4, passed: 23, rejected: 2 },
  { layers: 1, passed: 29, rejected: 1 },
]

describe('the answers for a plan', () => {
  it('are those of each confidence by itself, with the curve between', () => {
    const { answers, chances } = startAnswers(groups, 30)
    const all = chanceBySheets(groups, 30, 120)
    expect(answers.map((answer) => answer.sheets)).toEqual(
      [0.8, 0.9, 0.95].map((confidence) => all.findIndex((chance) => chance >= confidence)),
    )
    expect(chances[50]).toBeCloseTo(all[50]!, 12)
    expect(chances[29]).toBe(0)
    expect(chances.at(-1)).toBeGreaterThan(0.995)
  })

  it('say nothing where more than 600 would be needed', () => {
    expect(startAnswers(groups, 601)).toMatchObject({ answers: [{ sheets: null }, { sheets: null }, { sheets: null }] })
    expect(startAnswers([{ layers: 12, passed: 10, rejected: 10 }], 40).answers[2]!.sheets).toBeNull()
  })
})
