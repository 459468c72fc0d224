import type { EditionState } from '../edition/state'
import { stepsOf } from '../finish/plan'
import { finishingStanding } from '../run/finishing-left'
import { unfinished } from '../edition/stack'
import { guesses, waits } from './guesses'

/** One batch of prints going through one step after the press. */
export interface FinishingTask {
  key: string
  what: string
  minutes: number
  isGuessed: boolean
  /** Keys of what the same prints must have gone through. */
  afterKeys: string[]
  /** Minutes by the clock after those. */
  wait: number
  /** Minutes by the clock before anything else is done with these prints. */
  waitAfter: number
}

/**
 * The work after the press in batches (models.md, M17): prints are parted so that no step of a batch takes longer than one
 * goes on, and every batch takes the steps in turn, dry between two.
 * @param prints that will come from the press, while not all are printed
 * @param most minutes one goes on
 */
export function finishingTasks(state: EditionState, prints: number, most: number): FinishingTask[] {
  const standing = finishingStanding(state)
  const isPrinted = standing.of > 0 && unfinished(state) === 0
  const steps = stepsOf(state.finishing).map(({ key, words }, i) => {
    const shown = standing.steps[i]!
    const minutes = shown.minutes ?? (key.startsWith('colour') ? guesses.colour : guesses.step)
    return { key, words, minutes, isGuessed: shown.minutes === null, left: isPrinted ? shown.of - shown.done : prints }
  })
  const batches = Math.max(1, ...steps.map(({ minutes, left }) => Math.ceil((minutes * left) / most)))
  const tasks: FinishingTask[] = []
  for (let n = 1; n <= batches; n++) {
    let before: { key: string; wait: number } | null = null
    for (const { key, words, minutes, isGuessed, left } of steps) {
      const held = share(left, batches, n)
      if (held === 0) continue
      const own = `${key} batch ${n}`
      tasks.push({
        key: own,
        what: `${words[0]!.toUpperCase()}${words.slice(1)}, ${held} ${held === 1 ? 'print' : 'prints'}`,
        minutes: minutes * held,
        isGuessed,
        afterKeys: before ? [before.key] : [],
        wait: before?.wait ?? 0,
        waitAfter: waitAfter(key),
      })
      before = { key: own, wait: waitAfter(key) }
    }
  }
  return tasks
}

/** Colour dries, and what is flattened lies under weights. */
const waitAfter = (key: string): number =>
  key === 'flatten' ? waits.flatten : key.startsWith('colour') ? waits.colour : 0

/** How many of so many go into the n-th of some batches, as even as can be. */
const share = (all: number, batches: number, n: number): number =>
  Math.floor((all * n) / batches) - Math.floor((all * (n - 1)) / batches)
