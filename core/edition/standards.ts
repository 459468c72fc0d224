import type { EditionState, Standard } from './state'

type WithStandards = Pick<EditionState, 'standards' | 'layers'>

/** The standard of a layer, if one was approved. */
export function standardOf({ standards }: Pick<WithStandards, 'standards'>, layerId: string): Standard | undefined {
  return standards.find((standard) => standard.layerId === layerId)
}

/** The last layer that is pulled: gilding over it has no proof at a press. */
const lastPulled = ({ layers }: Pick<WithStandards, 'layers'>) => layers.findLast(({ withoutPull }) => !withoutPull)

/** The bon à tirer: the last layer's standard. */
export function batOf(state: WithStandards): Standard | undefined {
  const last = lastPulled(state)
  return last && standardOf(state, last.id)
}

/** What the standard of that layer is called: the last one's is the BAT. */
export function standardWord(state: Pick<WithStandards, 'layers'>, layerId: string): 'BAT' | 'standard' {
  return lastPulled(state)?.id === layerId ? 'BAT' : 'standard'
}
