import { describe, expect, it } from 'vitest'
import { chancesBySheets } from './odds'
import { startAnswers } from './start'

const course = {
  rate: { passed: 23, rejected: 2 },
  proofs: [0, 2, 0, 2],
  finishing: { passed: 29, rejected: 1 },
  needed: 30,
}

describe('the answers for a plan', () => {
  it('are those of each confidence by itself, with the curve between', () => {
    const { answers, chances } = startAnswers(course)
    const layers = course.proofs.map((proofs) => ({ waiting: 0, proofs }))
    const all = chancesBySheets({ ...course, layers, printed: 0 }, 160)
    expect(answers.map((answer) => answer.sheets)).toEqual(
      [0.8, 0.9, 0.95].map((confidence) => all.findIndex((chance) => chance >= confidence)),
    )
    expect(chances[50]).toBeCloseTo(all[50]!, 9)
    expect(chances[29]).toBe(0)
    expect(chances.at(-1)).toBeGreaterThan(0.995)
  })

  it('say nothing where more than 600 would be needed', () => {
    expect(startAnswers({ ...course, needed: 601 })).toMatchObject({
      answers: [{ sheets: null }, { sheets: null }, { sheets: null }],
    })
    const hopeless = { ...course, rate: { passed: 10, rejected: 10 }, proofs: Array<number>(12).fill(0), needed: 40 }
    expect(startAnswers(hopeless).answers[2]!.sheets).toBeNull()
  })
})
