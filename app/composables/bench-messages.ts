import { computed, type Ref } from 'vue'
import { standardOf } from '#core/edition/standards'
import { outcomeOf } from '#core/edition/trials'
import { choresDue, routineWords } from '#core/ink/roll-up'
import { lineInForce } from '#core/print/fault-table'
import { faultWord, type Outcome } from '#core/print/faults'
import type { Stroke } from '~/drawings/tally'
import { overprintWords } from '~/drawings/drying-words'
import { pluralise } from '#core/units/pluralise'
import { useEdition } from '~/stores/edition'
import { useLive } from '~/stores/live'
import { useOutbox } from '~/stores/outbox'
import type { useBench } from './bench'
import { useDrying } from './drying'
import { useRackRoom } from './rack-room'

const usualOutcomes: Record<Outcome, string> = {
  reject: 'usually a reject here.',
  note: 'usually noted only.',
  doubtful: 'usually doubtful.',
}

/** What stands on the bench in words: the routine, what is due, what comes next and what is being tried. */
export function useBenchMessages(bench: ReturnType<typeof useBench>, strokes: Ref<Stroke[]>, now: Ref<number>) {
  const edition = useEdition()
  const outbox = useOutbox()
  const live = useLive()

  const routine = computed(() =>
    (bench.layer.value?.rollUp
      ? routineWords(bench.layer.value.rollUp)
      : bench.layer.value?.routine || 'charge, pass'
    ).split(', '),
  )

  /** What is to be done besides, by the number of pulls of this layer; a blended roll is laid afresh. */
  const chores = computed(() => {
    const layer = bench.layer.value
    const pulled = strokes.value.filter((stroke) => stroke.kind === 'pull').length
    const fresh =
      layer?.blend && layer.blend.freshAfter > 0
        ? [
            {
              every: Math.max(1, Math.round(layer.blend.freshAfter / Math.max(1, layer.rollUp?.charges ?? 1))),
              what: 'lay the blend afresh',
            },
          ]
        : []
    return choresDue([...(layer?.rollUp?.chores ?? []), ...fresh], pulled).map((chore) => chore.what)
  })

  const storing = computed(() => {
    if (edition.unsent > 0)
      return `${pluralise(edition.unsent, 'tap')} not stored yet${outbox.hindrance ? `: ${outbox.hindrance}` : ''}`
    if (outbox.refused.length > 0) return `${outbox.refused.length} refused, see Office`
    return live.connected ? 'every pull stored' : 'every pull stored, others not heard'
  })

  /** What a fault usually makes of a sheet in this room. */
  function usually(fault: string): string {
    const { outcome } = lineInForce(edition.studio.faultLines, fault)
    return usualOutcomes[outcome]
  }
  const asked = computed(() => {
    const last = bench.last.value
    const named = last?.faults.at(-1)
    if (named) return `${faultWord(named)}: ${usually(named)}`
    const sheets = last?.sheetIds.length ? `Sheet ${last.sheetIds.join(' and ')}, ${last.verdict}. ` : ''
    return `${sheets}What was it? One touch, or go on.`
  })

  /** How far the layer beneath has dried. */
  const beneathId = computed(() => {
    const layers = edition.state?.layers ?? []
    return layers[layers.findIndex(({ id }) => id === bench.layerId.value) - 1]?.id ?? ''
  })
  const { told: beneath } = useDrying(beneathId, now)
  const drying = computed(() =>
    beneath.value ? overprintWords(beneath.value.drying, beneath.value.since, now.value) : '',
  )

  /** A remedy whose pulls have not settled it yet. */
  const trial = computed(() => {
    const last = edition.state?.trials.findLast(({ layerId }) => layerId === bench.layerId.value)
    return last && outcomeOf(edition.state!, last) === 'open' ? last : undefined
  })
  const rackRoom = useRackRoom(bench.layer)
  const next = computed(
    () =>
      `Next: sheet ${bench.lay.value.map(({ id }) => id).join(' and ')}${trial.value ? `. ${trial.value.remedy} is being tried: the next pulls tell.` : ''}${rackRoom.value ? `. ${rackRoom.value}` : ''}`,
  )

  /** Ink is held against a standard; before there is one there is nothing to grade. */
  const isGraded = computed(
    () => bench.last.value?.kind === 'pull' && !!edition.state && !!standardOf(edition.state, bench.layerId.value),
  )

  return { routine, chores, storing, asked, drying, next, isGraded }
}
