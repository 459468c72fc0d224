import { dayIn } from '~/format/days'
import { computed, type Ref, ref } from 'vue'
import { trialsOf } from '#core/edition/trials'
import { findCause } from '#core/finder/finder'
import { openTime } from '#core/ink/roll-up'
import { layerRate } from '#core/plan/pass-rate'
import { planDefaults } from '#core/plan/defaults'
import { lineInForce } from '#core/print/fault-table'
import { together } from '#core/print/remedies'
import { type WarningKey, watchRun } from '#core/watch/run-watch'
import { useEdition } from '~/stores/edition'
import { useSituation } from './situation'

const silencedAt = 'bench quiet'
const mostSilenced = 60

function kept(): string[] {
  try {
    const places: unknown = JSON.parse(sessionStorage.getItem(silencedAt) ?? '[]')
    return Array.isArray(places) ? places.filter((one) => typeof one === 'string') : []
  } catch {
    return []
  }
}

/** The watch over the run of a layer, with what is best tried against what it warns of. */
export function useRunWatch(layerId: Ref<string>, now: Ref<number>) {
  const edition = useEdition()
  const state = computed(() => edition.state)
  const situation = useSituation(state, layerId)

  /** The planned share not good: the guess and the room's past, without this edition's own pulls. */
  const planned = computed(() => {
    const plan = state.value?.plan ?? { ...planDefaults, method: 'single' as const }
    return 1 - layerRate(plan, edition.record, null).rate
  })
  const watch = computed(() => {
    const layer = state.value?.layers.find(({ id }) => id === layerId.value)
    if (!state.value || !layer) return null
    return watchRun(state.value, layer.id, {
      planned: planned.value,
      openMinutes: openTime(layer.rollUp, situation.value?.family ?? null),
      now: now.value,
    })
  })

  /** What was silenced, by the layer and day: a run of tomorrow is warned anew. */
  const silenced = ref(kept())
  const place = (key: WarningKey) => `${edition.id} ${layerId.value} ${dayIn(now.value)} ${key}`
  function silence(key: WarningKey): void {
    silenced.value = [...silenced.value, place(key)].slice(-mostSilenced)
    sessionStorage.setItem(silencedAt, JSON.stringify(silenced.value))
  }

  const warning = computed(() => watch.value?.warnings.find(({ key }) => !silenced.value.includes(place(key))) ?? null)
  /** The first thing to try against it, with how often it worked here. */
  const remedy = computed(() => {
    const fault = warning.value?.fault
    if (!fault || !situation.value || !state.value) return null
    const record = together(edition.record.trials, trialsOf(state.value))
    const seen = { ...situation.value, isStaying: warning.value?.key === 'staying' }
    return findCause(fault, seen, record, lineInForce(edition.studio.faultLines, fault)).remedies[0] ?? null
  })

  return { watch, warning, remedy, silence }
}
