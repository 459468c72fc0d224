import type { EditionState, Standard } from './state'

type Standing = Pick<EditionState, 'standards' | 'layers'>

/** The standard of a layer, if one was approved. */
export function standardOf({ standards }: Pick<Standing, 'standards'>, layerId: string): Standard | undefined {
  return standards.find((standard) => standard.layerId === layerId)
}

/** The last layer that is pulled: gilding over it has no proof at a press. */
const lastPulled = ({ layers }: Pick<Standing, 'layers'>) => layers.findLast(({ withoutPull }) => !withoutPull)

/** The bon à tirer: the last layer's standard. */
export function batOf(state: Standing): Standard | undefined {
  const last = lastPulled(state)
  return last && standardOf(state, last.id)
}

/** What the standard of that layer is called: the last one's is the BAT. */
export function standardWord(state: Pick<Standing, 'layers'>, layerId: string): 'BAT' | 'standard' {
  return lastPulled(state)?.id === layerId ? 'BAT' : 'standard'
}
