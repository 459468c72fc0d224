import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Reading } from '#shared/replies/reading'
import { AskedReading } from './asked-reading'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const away = new Error('away')

/** A reading of racks, and the server a test speaks for: each question waits until it is answered. */
function asked(on: readonly string[] = ['rack']) {
  const shown: (string | null)[] = []
  const failed: unknown[] = []
  const questions: {
    answer: (position: number, data?: string, on?: string[]) => void
    fail: (error: unknown) => void
  }[] = []
  const reading = new AskedReading<string>({
    ask: () =>
      new Promise<Reading<string>>((resolve, reject) =>
        questions.push({
          answer: (position, data = `at ${position}`, narrower) => resolve({ position, data, on: narrower }),
          fail: reject,
        }),
      ),
    concerns: ({ stream }, last) => (last?.on ?? on).some((name) => stream === name || stream.startsWith(`${name}:`)),
    show: ({ data }) => shown.push(data),
    clear: () => shown.push(null),
    fail: (error) => failed.push(error),
    passes: (error) => error === away,
  })
  reading.plan()
  const turn = () => vi.advanceTimersByTimeAsync(0)
  return { reading, shown, failed, questions, turn }
}
const rack = (position: number) => ({ stream: 'rack:a', position })

describe('a reply', () => {
  it('is asked for once, and not for what it holds already', async () => {
    const { reading, shown, questions, turn } = asked()
    questions[0]!.answer(40)
    await turn()
    for (let position = 1; position <= 40; position++) reading.heard(rack(position))
    await vi.advanceTimersByTimeAsync(60_000)
    expect([shown, questions.length]).toEqual([['at 40'], 1])
  })

  it('is not asked for by what it does not depend on', async () => {
    const { reading, questions, turn } = asked()
    questions[0]!.answer(40)
    await turn()
    for (let position = 41; position < 400; position++) reading.heard({ stream: 'edition:e', position })
    await vi.advanceTimersByTimeAsync(60_000)
    expect(questions).toHaveLength(1)
  })

  it('that says what it follows from is asked for by that alone', async () => {
    const { reading, questions, turn } = asked(['edition'])
    questions[0]!.answer(40, 'mine', ['edition:mine'])
    await turn()
    reading.heard({ stream: 'edition:other', position: 41 })
    await vi.advanceTimersByTimeAsync(5_000)
    expect(questions).toHaveLength(1)
    reading.heard({ stream: 'edition:mine', position: 42 })
    await vi.advanceTimersByTimeAsync(5_000)
    expect(questions).toHaveLength(2)
  })

  it('is asked for once a second in a busy room, and shows the last state in the end', async () => {
    const { reading, shown, questions, turn } = asked()
    questions[0]!.answer(0)
    await turn()
    for (let position = 1; position <= 300; position++) {
      reading.heard(rack(position))
      await vi.advanceTimersByTimeAsync(33)
      questions.at(-1)!.answer(position)
    }
    await vi.advanceTimersByTimeAsync(1_100)
    questions.at(-1)!.answer(300)
    await turn()
    expect(questions.length).toBeGreaterThan(8)
    expect(questions.length).toBeLessThan(14)
    expect(shown.at(-1)).toBe('at 300')
  })

  it('that is dear is asked for no more than a tenth of the time', async () => {
    const { reading, questions, turn } = asked()
    await vi.advanceTimersByTimeAsync(500)
    questions[0]!.answer(0)
    await turn()
    reading.heard(rack(1))
    await vi.advanceTimersByTimeAsync(4_400)
    expect(questions).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(questions).toHaveLength(2)
  })

  it('is asked for at once after one’s own act', async () => {
    const { reading, questions, turn } = asked()
    questions[0]!.answer(0)
    await turn()
    reading.heard(rack(1), true)
    expect(questions).toHaveLength(2)
  })

  it('that is older than an event heard meanwhile is asked for again', async () => {
    const { reading, shown, questions, turn } = asked()
    reading.heard(rack(7))
    questions[0]!.answer(6)
    await turn()
    await vi.advanceTimersByTimeAsync(1_100)
    questions[1]!.answer(7)
    await turn()
    expect(shown).toEqual(['at 6', 'at 7'])
    // The answer held it already: nothing more is asked.
    await vi.advanceTimersByTimeAsync(60_000)
    expect(questions).toHaveLength(2)
  })

  it('to an earlier question is not shown', async () => {
    const { reading, shown, questions, turn } = asked()
    reading.anew()
    questions[1]!.answer(3, 'tuesday')
    questions[0]!.answer(3, 'monday')
    await turn()
    expect(shown).toEqual([null, 'tuesday'])
  })

  it('is asked for again when the server is back, and by itself ever more seldom', async () => {
    const { reading, shown, failed, questions, turn } = asked()
    questions[0]!.fail(away)
    await vi.advanceTimersByTimeAsync(4_000)
    expect(questions.length).toBeGreaterThan(1)
    questions.at(-1)!.fail(away)
    await turn()
    const before = questions.length
    reading.connected()
    expect(questions).toHaveLength(before + 1)
    questions.at(-1)!.answer(1)
    await turn()
    expect([failed.length, shown]).toEqual([2, ['at 1']])
  })

  it('that was refused is not asked for until something has changed, or somebody asks', async () => {
    const { reading, questions, turn } = asked()
    questions[0]!.fail(new Error('not yours'))
    await vi.advanceTimersByTimeAsync(120_000)
    expect(questions).toHaveLength(1)
    reading.heard(rack(1))
    await vi.advanceTimersByTimeAsync(5_000)
    expect(questions).toHaveLength(2)
    questions[1]!.fail(new Error('not yours'))
    await turn()
    reading.again()
    await vi.advanceTimersByTimeAsync(10_000)
    expect(questions).toHaveLength(3)
  })

  it('is not shown once the room was left', async () => {
    const { reading, shown, questions, turn } = asked()
    reading.stop()
    questions[0]!.answer(1)
    await turn()
    expect(shown).toEqual([])
  })
})
