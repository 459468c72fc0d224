import type { EditionPasses, Passes } from '../plan/shop-record'
import { newsprintOf } from './newsprint'
import { touchRecordOf } from './touch-tests'
import type { EditionState } from './state'
import { tallied, talliedUnder } from './tally'
import { trialsOf } from './trials'

/**
 * What an edition's ledger says: every live pull of its layers by the one who pulled it (a doubtful one is still alive),
 * sheet by sheet, with what was lost between presses; what finishing took from the sheets that carried every layer; and
 * the sheets that proofs of later layers took. Warm-up, proofs and void pulls say nothing of the rates.
 */
export function passesOf(state: EditionState): EditionPasses {
  const passed = talliedUnder(state, 'passed ')
  const rejected = talliedUnder(state, 'rejected ')
  const people = [...new Set([...passed.keys(), ...rejected.keys()])].sort()
  const printers: Record<string, Passes> = Object.fromEntries(
    people.map((person) => [person, { passed: passed.get(person) ?? 0, rejected: rejected.get(person) ?? 0 }]),
  )
  return {
    method: state.plan?.method ?? 'single',
    work: state.plan?.work ?? 'press',
    printers,
    finishing: { passed: tallied(state, 'finished'), rejected: tallied(state, 'lost in finishing') },
    faults: Object.fromEntries(talliedUnder(state, 'fault ')),
    trials: trialsOf(state),
    newsprint: newsprintOf(state),
    touch: touchRecordOf(state),
    proofs: state.layers
      .slice(1)
      .reduce(
        ({ layers, sheets }, { id }) =>
          tallied(state, `pulled ${id}`) > 0
            ? { layers: layers + 1, sheets: sheets + tallied(state, `proofed ${id}`) }
            : { layers, sheets },
        { layers: 0, sheets: 0 },
      ),
  }
}
