import { type Layer, layerOf } from '../edition/layer'
import { noteOf, type ProofNote } from '../edition/proof-notes'
import { isLive, type Pull } from '../edition/pull'
import { standardOf } from '../edition/standards'
import type { EditionState } from '../edition/state'
import { rollUpDefaults } from '../ink/roll-up'
import { changedSeveral, type ProofTest } from '../press/dial-in'
import { packingChanges } from '../press/compare'
import { packingHeight, type PressSetting } from '../press/stack'
import { dayOf } from '../time/room-day'
import type { Zone } from '../time/zone'
import { blockOf } from './ink-need'

/** One proof on the way to the standard. */
export interface ProofStep {
  pull: Pull
  test: ProofTest
  note: ProofNote | undefined
  /** What is other than at the proof before, in words; of the first it is empty. */
  changed: string[]
  /** It changed more than one thing at the press, and so tells of none. */
  isTangled: boolean
  isStandard: boolean
}

/** The live proofs of a layer, oldest first, each with what was changed for it. @param zone the room's, for the days */
export function proofPath(state: EditionState, layerId: string, zone: Zone): ProofStep[] {
  const layer = layerOf(state, layerId)
  if (!layer) return []
  const pulls = state.pulls.filter((pull) => isLive(pull) && pull.kind === 'proof' && pull.layerId === layerId)
  const tests = pulls.map((pull) => testOf(state, layer, pull, zone))
  const tangled = new Set(changedSeveral(tests))
  const standard = standardOf(state, layerId)
  return pulls.map((pull, i) => ({
    pull,
    test: tests[i]!,
    note: noteOf(state, pull.pullId),
    changed: i === 0 ? [] : changesBetween(layer, [pulls[i - 1]!, tests[i - 1]!], [pull, tests[i]!]),
    isTangled: tangled.has(pull.pullId),
    isStandard: standard?.pullId === pull.pullId,
  }))
}

const settingOf = (layer: Layer, { setupSeq }: Pull): PressSetting | undefined =>
  layer.setups.find(({ seq }) => seq === setupSeq)?.setup

function testOf(state: EditionState, layer: Layer, pull: Pull, zone: Zone): ProofTest {
  const note = noteOf(state, pull.pullId)
  const setting = settingOf(layer, pull)
  const rollUp = layer.rollUp ?? rollUpDefaults
  const isNewsprint = note?.newsprint ?? pull.sheetIds.length === 0
  const states = blockOf(state, layer)?.states.filter(({ cutOn }) => cutOn <= dayOf(pull.at, zone)).length ?? 0
  return {
    id: pull.pullId,
    paper: isNewsprint ? 'newsprint' : 'good paper',
    isNewsprint,
    state: String(states),
    batch: pull.batchIds.join(' '),
    quantities: {
      nip: setting?.nip ?? 0,
      packing: setting ? packingHeight(setting.packing) : 0,
      charges: note?.charges ?? rollUp.charges,
      passes: note?.passes ?? rollUp.passes,
    },
    pressure: note?.pressure ?? null,
    ink: note?.ink ?? null,
  }
}

const mm = (value: number) => `${Math.abs(Math.round(value * 100) / 100)} mm`
const isOther = (difference: number) => Math.abs(difference) > 1e-9

function changesBetween(layer: Layer, before: [Pull, ProofTest], after: [Pull, ProofTest]): string[] {
  const [was, now] = [before[1], after[1]]
  const by = (quantity: keyof ProofTest['quantities']) => now.quantities[quantity] - was.quantities[quantity]
  const more = (difference: number, one: string, many: string) =>
    `${Math.abs(difference)} ${Math.abs(difference) === 1 ? one : many} ${difference > 0 ? 'more' : 'fewer'}`
  return [
    now.paper === was.paper ? '' : `on ${now.paper}`,
    now.state === was.state ? '' : 'the block cut further',
    now.batch === was.batch ? '' : 'another batch',
    isOther(by('nip')) ? `gap ${mm(by('nip'))} ${by('nip') > 0 ? 'closer' : 'wider'}` : '',
    ...packingChanges(settingOf(layer, before[0])?.packing ?? [], settingOf(layer, after[0])?.packing ?? []),
    isOther(by('charges')) ? more(by('charges'), 'charge', 'charges') : '',
    isOther(by('passes')) ? more(by('passes'), 'pass', 'passes') : '',
  ].filter(Boolean)
}
