import { type Climate, type DryingConditions, guessedClimate, setsByAbsorbing } from '../drying/moments'
import type { InkFamily } from '../ink/family'
import { type Layer, layerNumber } from './layer'
import type { EditionState } from './state'

/** What the room knows of how things dry. */
export interface DryingRoom {
  familyOf: (batchId: string) => InkFamily | null
  climate: Climate | null
  isDamp: boolean
  /** Film of ink, µm; the usual one where it was never weighed. */
  film?: number
}

/** Film that is reckoned with at a press and by hand until runs were weighed, µm. */
const usualFilm = { press: 8, hand: 10 }

/** Ink of a layer: the one of its first zone that has one; oil while none is said. */
function familyIn({ zones }: Layer, room: DryingRoom): InkFamily {
  const batchId = zones.find((zone) => zone.batchId !== null)?.batchId
  return (batchId && room.familyOf(batchId)) || 'oil'
}

/** How a layer dries, from what was said of it, what lies beneath it and the air of the room (models.md, M12). */
export function conditionsOf(state: EditionState, layer: Layer, room: DryingRoom): DryingConditions {
  const beneath = state.layers.slice(0, Math.max(0, layerNumber(state, layer.id) - 1))
  const isHand = state.plan?.work === 'small hand work' || state.plan?.work === 'large hand work'
  const { temperature, humidity } = room.climate ?? guessedClimate
  return {
    ...layer.drying,
    temperature,
    humidity,
    family: familyIn(layer, room),
    film: room.film ?? (isHand ? usualFilm.hand : usualFilm.press),
    isDamp: room.isDamp,
    beneath: beneath.length,
    onAbsorbing: beneath.some((under) => setsByAbsorbing(familyIn(under, room))),
  }
}
