import type { EditionPasses, Passes } from '../plan/shop-record'
import type { EditionState } from './state'
import { tallied, talliedUnder } from './tally'

/**
 * What an edition's ledger says: every live pull of its layers by the one who pulled it (a doubtful one is still alive),
 * and what finishing took from the sheets that carried every layer. Warm-up, proofs and void pulls say nothing.
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
  }
}
