import type { EditionState } from './state'

/** A proof that was approved: the pulls of its layer are held against it. */
export interface Standard {
  layerId: string
  pullId: string
  at: string
}

type Standing = Pick<EditionState, 'standards' | 'layers'>

/** The standard of a layer, if one was approved. */
export function standardOf({ standards }: Pick<Standing, 'standards'>, layerId: string): Standard | undefined {
  return standards.find((standard) => standard.layerId === layerId)
}

/** The bon à tirer: the last layer's standard. */
export function batOf(state: Standing): Standard | undefined {
  const last = state.layers.at(-1)
  return last && standardOf(state, last.id)
}

/** What the standard of that layer is called: the last one's is the BAT. */
export function standardWord({ layers }: Pick<Standing, 'layers'>, layerId: string): 'BAT' | 'standard' {
  return layers.at(-1)?.id === layerId ? 'BAT' : 'standard'
}
