import type { EditionPasses, Passes } from '../plan/shop-record'
import type { EditionState } from './state'
import { hasEveryLayer, standings } from './places'
import { isLive } from './pull'

/**
 * What an edition's ledger says: every live pull of its layers by the one who pulled it (a doubtful one is still alive),
 * and what finishing took from the sheets that carried every layer. Warm-up, proofs and void pulls say nothing.
 */
export function passesOf(state: EditionState): EditionPasses {
  const printers: Record<string, Passes> = {}
  for (const pull of state.pulls) {
    if (!isLive(pull) || pull.kind !== 'pull') continue
    const theirs = (printers[pull.by] ??= { passed: 0, rejected: 0 })
    if (pull.verdict === 'reject') theirs.rejected += 1
    else theirs.passed += 1
  }
  const finishing: Passes = { passed: 0, rejected: 0 }
  for (const { sheet, place } of standings(state)) {
    if (place.kind === 'marked' || (place.kind === 'good' && place.curated)) finishing.passed += 1
    const lostLate = sheet.spoiled !== null || sheet.curated?.verdict === 'reject' || sheet.destroyed !== null
    if ((place.kind === 'reject' || place.kind === 'destroyed') && lostLate && hasEveryLayer(state, sheet))
      finishing.rejected += 1
  }
  return { method: state.plan?.method ?? 'single', work: state.plan?.work ?? 'press', printers, finishing }
}
