import type { Layer } from '../edition/layer'
import { noteOf } from '../edition/proof-notes'
import type { Pull } from '../edition/pull'
import type { EditionState } from '../edition/state'
import type { RollUp } from '../ink/roll-up'
import { factors } from '../register/growth'
import type { BlockState } from '../stores/block/state'
import { pluralise } from '../units/pluralise'
import { blockOf } from './ink-need'

/** Where a block is, by its own book. */
export type BlockKept = Pick<BlockState, 'kept' | 'cancelled'> & { id: string }

/** Mask up, ink, wipe, mask down, lay: what is done for one impression, in its order. */
export function routineOf(state: EditionState, { rollUp, routine }: Layer, proof: Pull | undefined): string[] {
  if (!rollUp) return [...(routine || 'charge, pass').split(/,\s*/).filter(Boolean), ...laying]
  const note = proof && noteOf(state, proof.pullId)
  return [
    ...rolling({ ...rollUp, charges: note?.charges ?? rollUp.charges, passes: note?.passes ?? rollUp.passes }),
    ...laying,
  ]
}

const laying = ['lay the sheet to the stops', 'packing down, press']

function rolling({ roller, charges, passes, directions, wiping, masks, dabbing, touching }: RollUp): string[] {
  const many = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`
  return [
    masks && `mask up: ${masks}`,
    `ink${roller ? ` with the roller ${roller.name}` : ''}: ${many(charges, 'charge', 'charges')}, ${many(passes, 'pass', 'passes')} each, ${directions}`,
    touching && `touch in ${touching}`,
    dabbing && `dab off ${dabbing}`,
    wiping && `wipe ${wiping}`,
    masks && `mask down: ${masks}`,
  ].filter((step): step is string => typeof step === 'string' && step !== '')
}

const mm = (value: number) => `${Math.round(value * 10) / 10} mm`

const times = (n: number) => (n === 1 ? 'once' : `${n} times`)

/** How the paper is got ready for a layer, and how much it had grown. */
export function settlingWords({ settling: { passes, growth } }: Pick<Layer, 'settling'>): string[] {
  const [x, y] = factors(growth).map((factor) => ((factor - 1) * 100).toFixed(2))
  return [
    ...(passes > 0 ? [`Each sheet goes through the press blank ${times(passes)} first.`] : []),
    ...(growth ? [`The paper was measured then: ${x} % along its width, ${y} % along its height.`] : []),
  ]
}

function stopWords(pins: number, stops: number): string {
  if (pins > 0) return `${pluralise(pins, 'pin')}.`
  return stops > 0 ? `Stops of ${mm(stops)} along two edges.` : 'No stops.'
}

/** How paper meets block. */
export function registerWords({ register }: EditionState, layer: Layer): string[] {
  return [...settlingWords(layer), ...meetingWords(register)]
}

function meetingWords(register: EditionState['register']): string[] {
  if (!register) return ['No registration sheet was drawn.']
  const { sheet, outline, meeting, stops, pins, rotation } = register.register
  return [
    meeting === 'paper onto block' ? 'The paper is laid onto the block.' : 'The block is set onto the paper.',
    `Sheet ${mm(sheet.width)} × ${mm(sheet.height)}; block or mount ${mm(outline.left)} from its left edge, ${mm(outline.top)} from the upper one, as the print is seen.`,
    ...(Math.abs(rotation) > 0.01 ? [`The block is turned by ${rotation.toFixed(1)}° to square it.`] : []),
    stopWords(pins.length, stops),
    'The sheet prints at full size from the Block stop, under Register.',
  ]
}

/** The block of a layer, and where it is kept. */
export function blockWords(state: EditionState, layer: Layer, blocks: readonly BlockKept[]): string[] {
  const own =
    layer.blocks.length > 0 ? state.blocks.filter(({ id }) => layer.blocks.includes(id)) : [blockOf(state, layer)]
  const said = own.flatMap((book) => {
    if (!book) return []
    const { block, states } = book
    const store = blocks.find(({ id }) => id === book.id)
    const kept = store?.kept ? `kept ${store.kept.where}` : 'nobody said where it is kept'
    const where = store?.cancelled ? `cancelled: ${store.cancelled.reason}` : kept
    const last = states.at(-1)
    return [
      `${block.name}, ${block.kind}, ${mm(block.width)} × ${mm(block.height)}, ${block.thickness} mm thick${last ? `, ${last.name}` : ''}; ${where}.`,
    ]
  })
  return [
    ...(said.length > 0 ? said : ['No block was described.']),
    ...(layer.cutFurther ? ['It has been cut further since: this layer takes no more pulls.'] : []),
  ]
}
