import type { Link } from '../timetable/chain'
import type { EditionTask, TaskKind } from './task'

interface Wording {
  /** A press or person by its resource. */
  nameOf: (resource: string) => string
  titleOf: (editionId: string) => string
  /** A moment as it is said: “Thursday 12 November”. */
  day: (minute: number) => string
}

const spoken: Record<TaskKind, string> = {
  block: 'preparing the block',
  tear: 'tearing',
  pull: 'pulling',
  cut: 'cutting the block',
  lay: 'laying on',
  finish: 'the work after the press',
  curate: 'curating',
  sign: 'signing',
}

/** Shorter waits by the clock are not told: they are over by the next morning anyway. Minutes. */
const worthTelling = 8 * 60

/**
 * The critical chain in words (models.md, M17), a part for each thing that holds the rest up: “the second layer’s drying until
 * Thursday 12 November”, “the long press, taken by Kettle until …”. Tasks of one kind that follow one another are one part.
 */
export function chainWords(
  chain: readonly Link[],
  tasks: readonly EditionTask[],
  editionId: string,
  { nameOf, titleOf, day }: Wording,
): string[] {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const parts: { key: string; words: (until: number) => string; until: number }[] = []
  const say = (key: string, until: number, words: (until: number) => string) => {
    const last = parts.at(-1)
    if (last?.key === key) last.until = until
    else parts.push({ key, words, until })
  }
  for (const [i, { taskId, from, to, because }] of chain.entries()) {
    const task = byId.get(taskId)!
    if (because.kind === 'after' && because.lag >= worthTelling)
      say(`drying ${taskId}`, from, (until) => `${dryingWords(byId.get(because.taskId)!)} until ${day(until)}`)
    if (because.kind === 'resource' && task.editionId === editionId) {
      const other = byId.get(because.taskId)!
      if (other.editionId !== editionId)
        say(
          `taken ${taskId}`,
          from,
          (until) => `${nameOf(because.resource)}, taken by ${titleOf(other.editionId)} until ${day(until)}`,
        )
    }
    if (because.kind === 'racks') say(`racks ${taskId}`, from, (until) => `the racks, full until ${day(until)}`)
    if (because.kind === 'not before') say(`dry ${taskId}`, from, (until) => `what dries until ${day(until)}`)
    if (because.kind === 'booked' && i > 0) say(`booked ${taskId}`, from, (until) => `the booking on ${day(until)}`)
    if (task.editionId === editionId)
      say(
        `${task.kind} ${task.kind === 'pull' ? layerOf(task) : ''}`,
        to,
        (until) => `${taskWords(task)} until ${day(until)}`,
      )
  }
  return parts.map(({ words, until }) => words(until))
}

const layerOf = ({ what }: EditionTask): string => what.split(',')[0]!

const lower = (words: string) => words[0]!.toLowerCase() + words.slice(1)

const taskWords = (task: EditionTask): string =>
  task.kind === 'pull' ? `pulling ${the(lower(layerOf(task)))}` : spoken[task.kind]

const the = (words: string) => (words.startsWith('the ') ? words : `the ${words}`)

const dryingWords = (before: EditionTask): string =>
  before.kind === 'pull' || before.kind === 'lay' ? `${the(lower(layerOf(before)))}’s drying` : 'lying under weights'
