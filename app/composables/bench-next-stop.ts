import { isLastLayer, layerNumber } from '#core/edition/layer'

/** Where the way goes on when nothing can be pulled here any more, or not yet. */
export function useBenchNextStop(bench: ReturnType<typeof useBench>) {
  const edition = useEdition()
  return computed((): { to: string; words: string } | null => {
    const { state } = edition
    const layer = bench.layer.value
    if (!state || !layer || state.closedAt || !edition.isTheirs) return null
    const at = (stop: string) => `/editions/${edition.id}/${stop}`
    if (layer.withoutPull) return { to: `${at('pull')}?layer=${layer.id}`, words: 'Count them there' }
    if (layer.cutFurther) {
      const next = state.layers[layerNumber(state, layer.id)]
      return next
        ? { to: `/bench/${edition.id}?layer=${next.id}`, words: `Go on with ${next.name}` }
        : { to: at('plan'), words: 'Add the next layer' }
    }
    if (state.made === 0) return { to: at('paper'), words: 'Tear it' }
    if (bench.sheet.value !== undefined) return null
    return state.plan?.method === 'reduction' && !isLastLayer(state, layer.id)
      ? { to: `${at('gate')}?layer=${layer.id}`, words: 'Before the next state is cut' }
      : { to: at('dry'), words: 'Let them dry' }
  })
}
