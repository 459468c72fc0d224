import { dryingDefaults, type DryingSaid } from '../drying/moments'
import type { BlendPlan, RollUp } from '../ink/roll-up'
import type { PressSetting } from '../press/stack'
import { asTorn, type Settling } from '../register/growth'

/** One press set-up, copied into the edition so that it folds by itself. */
export interface PressSetup extends PressSetting {
  pressId: string
  pressName: string
}

/** A part of the layer that is inked by itself. */
export interface Zone {
  id: string
  name: string
  /** The ink batch it is rolled with, or null while none is chosen. */
  batchId: string | null
  batchName: string
}

/**
 * How the last layer's stack comes to the press: as it was pulled, its last sheet first, by the slots it lay in, by the
 * serial on each sheet, or mixed: unmarked sheets off the line in any order, of which nobody can say which is which.
 */
export type StackOrder = 'pulled' | 'reversed' | 'slot' | 'serial' | 'mixed'
export const stackOrders: readonly StackOrder[] = ['pulled', 'reversed', 'slot', 'serial', 'mixed']

/** One press pass over the whole stack. */
export interface Layer {
  id: string
  name: string
  blocks: string[]
  zones: Zone[]
  routine: string
  /** Images of a piece of paper that one pull prints: 1, or as many as are locked up side by side. */
  fills: number
  stackOrder: StackOrder
  /** How it is rolled up, once that is said. */
  rollUp: RollUp | null
  /** Inks side by side on one roller, or null for one ink to a zone. */
  blend: BlendPlan | null
  /** Every set-up this layer has had, with the `seq` of the event that set it; the last is in force. */
  setups: { seq: number; setup: PressSetup }[]
  /** How it dries. */
  drying: DryingSaid
  /** How its paper is got ready: blank passes, and how much it grew. */
  settling: Settling
  /** Laid on without a press: gilding, paper coloured before. It takes no pulls. */
  withoutPull: boolean
  /** True once the block has been cut to its next state: no more pulls (reduction). */
  cutFurther: boolean
}

interface Layered {
  layers: readonly Layer[]
}

export function layerOf(state: Layered, layerId: string): Layer | undefined {
  return state.layers.find((layer) => layer.id === layerId)
}

/** Place of a layer among the edition's, from 1; 0 when it is none of them. */
export function layerNumber(state: Layered, layerId: string): number {
  return state.layers.findIndex((layer) => layer.id === layerId) + 1
}

/** Whether none comes after it, not even one that is planned and not added yet. */
export function isLastLayer(state: Layered & { plan: { layersPlanned: number } | null }, layerId: string): boolean {
  const number = layerNumber(state, layerId)
  return number === state.layers.length && number >= (state.plan?.layersPlanned ?? 1)
}

/** The zone of a layer that is inked all over. */
export function wholeBlock(): Zone {
  return { id: 'whole', name: 'whole block', batchId: null, batchName: '' }
}

/** The set-up in force for a layer now, if one was recorded. */
export function setupInForce(layer: Layer): PressSetup | null {
  return layer.setups.at(-1)?.setup ?? null
}

/** A layer of which nothing more is said yet. */
export function newLayer({
  layerId,
  name,
  blocks,
  zones,
}: {
  layerId: string
  name: string
  blocks: string[]
  zones: Zone[]
}): Layer {
  return {
    id: layerId,
    name,
    blocks,
    zones,
    routine: '',
    fills: 1,
    stackOrder: 'pulled',
    rollUp: null,
    blend: null,
    setups: [],
    settling: asTorn,
    drying: dryingDefaults,
    withoutPull: false,
    cutFurther: false,
  }
}
