import { computed } from 'vue'
import { layerOf, setupInForce } from '#core/edition/layer'
import { isBegun } from '#core/edition/pull'
import { type Ask, type AskFor, openAsks, signedOff } from '#core/edition/sign-offs'
import type { EditionState } from '#core/edition/state'
import { leaveOf } from '#core/stores/studio/leaves'
import { useEdition } from '~/stores/edition'
import { useSession } from '~/stores/session'

/** One thing that can be asked for here, and how it is said. */
export interface Asking {
  what: AskFor
  layerId: string | null
  pressId: string | null
  words: string
}

/**
 * What a student can ask staff for on an edition: what its assignment has a gate for and is not signed off, and help.
 * @param layerOfNow the layer at hand
 */
export function useAsking(state: () => EditionState, layerOfNow: () => string) {
  const edition = useEdition()
  const session = useSession()
  const me = computed(() => session.person?.id ?? '')
  const layer = computed(() => layerOf(state(), layerOfNow()))
  const setup = computed(() => (layer.value ? setupInForce(layer.value) : null))

  const gated = computed<Asking[]>(() => {
    const { assignment } = state()
    const gates = assignment?.gates ?? []
    const found: Asking[] = []
    const at = setup.value
    const about = { layerId: null, pressId: null }
    if (gates.includes('paper') && !signedOff(state(), 'paper', null))
      found.push({ ...about, what: 'paper', words: 'Good paper: look at my proof' })
    if (gates.includes('paper') && signedOff(state(), 'paper', null))
      found.push({ ...about, what: 'more paper', words: 'More paper' })
    if (
      at &&
      gates.includes('press') &&
      !leaveOf(edition.studio, { personId: me.value, use: 'press', pressId: at.pressId })
    )
      found.push({ ...about, what: 'press', pressId: at.pressId, words: `Show me ${at.pressName}` })
    if (
      edition.studio.cleaners.some(({ isSolvent }) => isSolvent) &&
      !leaveOf(edition.studio, { personId: me.value, use: 'solvents', pressId: null })
    )
      found.push({ ...about, what: 'solvents', words: 'Show me the solvents' })
    const here = layer.value
    const mayBeCut = here && !here.cutFurther && state().plan?.method === 'reduction' && isBegun(state(), here.id)
    if (here && mayBeCut && gates.includes('cut') && !signedOff(state(), 'cut', here.id))
      found.push({ ...about, what: 'cut', layerId: here.id, words: `May I cut after ${here.name}?` })
    return found
  })

  const mine = computed(() => openAsks(state()).filter(({ by }) => by === me.value))
  const isAsked = ({ what, layerId, pressId }: Asking) =>
    mine.value.some((ask) => ask.what === what && ask.layerId === layerId && ask.pressId === pressId)

  const ask = ({ what, layerId, pressId }: Omit<Asking, 'words'>, words: string) =>
    edition.tap('ask', { what, layerId, pressId, words })
  const takeBack = (one: Ask) => edition.tap('answer-ask', { askId: one.id, note: '' })

  return { gated, mine, isAsked, ask, takeBack }
}
