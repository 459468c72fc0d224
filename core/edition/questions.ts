import { faultWord } from '../print/faults'
import { adjustmentWord } from '../print/verdicts'
import { isPrint } from './curating-fault'
import { historyOf } from './history'
import { layerNumber } from './layer'
import { layersOn } from './layers-on'
import { resultOn } from './pull'
import type { Sheet } from './sheet'
import type { EditionState } from './state'

/** Something one asks of a stack, and the sheets that answer it, by serial. */
export interface Question {
  key: string
  words: string
  sheetIds: number[]
}

/** Prints that are looked at beside the BAT, as the stack lies: by serial. */
export function printsToSee(state: EditionState): Sheet[] {
  return state.sheets.filter((sheet) => sheet.parts.length === 0 && !sheet.destroyed && isPrint(state, sheet))
}

/** What can be asked of the prints, from what happened to them; only what some answer and not all. */
export function questionsOf(state: EditionState, nameOf: (id: string) => string): Question[] {
  const prints = printsToSee(state)
  const asked = new Map<string, Question>()
  const answer = (key: string, words: string, { id }: Sheet) => {
    const question = asked.get(key) ?? { key, words, sheetIds: [] }
    if (question.sheetIds.at(-1) !== id) question.sheetIds.push(id)
    asked.set(key, question)
  }
  const several = state.layers.length > 1
  const turns = turnsOf(state)
  for (const sheet of prints) {
    if (sheet.curated === null) answer('open', 'not looked at yet', sheet)
    if (sheet.bound !== 'edition')
      answer(`bound ${sheet.bound}`, `set aside for ${sheet.bound === 'archive' ? 'the archive' : sheet.bound}`, sheet)
    if (sheet.curated?.mark === 'for class') answer('for class', 'looked at for class alone', sheet)
    if (new Set(sheet.views.map(({ verdict }) => verdict)).size > 1) answer('differ', 'seen differently', sheet)
    if (layersOn(state, sheet).length < state.layers.length) answer('lacking', 'without every layer', sheet)
    for (const pull of historyOf(state, sheet).pulls) {
      const on = several ? ` on layer ${layerNumber(state, pull.layerId)}` : ''
      const { verdict, faults } = resultOn(state, pull, sheet)
      if (verdict !== 'good') answer(`${verdict} ${pull.layerId}`, `${verdict}${on}`, sheet)
      for (const fault of faults) answer(`fault ${fault}`, `noted ${faultWord(fault)}`, sheet)
      if (pull.rescued) answer('rescued', 'rescued', sheet)
      if (pull.wetOnWet) answer('wet', 'printed wet on wet', sheet)
      answer(`by ${pull.by}`, `pulled by ${nameOf(pull.by)}`, sheet)
      for (const turn of turns)
        if (turn.layerId === pull.layerId && pull.ordinal > turn.afterPull)
          answer(turn.key, `pulled after ${turn.words}${on}`, sheet)
    }
  }
  return [...asked.values()].filter(({ sheetIds }) => sheetIds.length < prints.length)
}

const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** The adjustments of each layer that count, in words, with the pull they came after. */
function turnsOf(state: EditionState): { key: string; layerId: string; afterPull: number; words: string }[] {
  const so = new Map<string, number>()
  return state.adjustments
    .filter(({ voided }) => !voided)
    .map(({ layerId, afterPull, kind }) => {
      const place = so.get(layerId) ?? 0
      so.set(layerId, place + 1)
      return {
        key: `after ${layerId} ${place}`,
        layerId,
        afterPull,
        words: `the ${ordinals[place] ?? `${place + 1}th`} adjustment, ${adjustmentWord(kind)}`,
      }
    })
}
