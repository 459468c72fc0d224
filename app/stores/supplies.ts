import { defineStore } from 'pinia'
import { computed, getCurrentScope, watchEffect } from 'vue'
import { streamId } from '#core/ground/envelope'
import type { StreamState } from '#core/house/streams'
import type { StationState } from '#core/station/state'
import type { BatchState } from '#core/stores/batch/state'
import type { BlockState } from '#core/stores/block/state'
import type { LotState } from '#core/stores/lot/state'
import type { PressState } from '#core/stores/press/state'
import type { RackState } from '#core/stores/rack/state'
import { emptyStudio, type StudioState } from '#core/stores/studio/state'
import type { TubState } from '#core/stores/tub/state'
import { useStream, useStreams } from '~/composables/streams'

type Named<State extends StreamState> = Omit<State, 'stream'> & { id: string }

/** A stream under its id; the same state is the same object, so that nothing is drawn again for another's change. */
const named = <State extends StreamState>() => {
  const known = new WeakMap<State, Named<State>>()
  return (state: State): Named<State> => {
    let found = known.get(state)
    if (!found) {
      const { stream, ...rest } = state
      found = { id: streamId(stream), ...rest } as Named<State>
      known.set(state, found)
    }
    return found
  }
}

/**
 * What the room has to choose from: paper, inks, presses and the like, what changed last first. Each list is read when it is
 * first looked at, and follows the ledger from then on.
 */
export const useSupplies = defineStore('supplies', () => {
  const scope = getCurrentScope()!
  function once<Reading>(begin: () => Reading): () => Reading {
    let begun: Reading | undefined
    return () => (begun ??= scope.run(begin)!)
  }
  function list<State extends StreamState>(kind: string) {
    const read = once(() => useStreams<State>(kind))
    const under = named<State>()
    return { read, all: computed(() => read().states.value.map(under)) }
  }

  const lists = {
    lots: list<LotState>('lot'),
    batches: list<BatchState>('batch'),
    tubs: list<TubState>('tub'),
    presses: list<PressState>('press'),
    racks: list<RackState>('rack'),
    blocks: list<BlockState>('block'),
    stations: list<StationState>('station'),
  }
  type Name = keyof typeof lists
  const readStudio = once(() => useStream<StudioState>('studio'))
  const studio = computed(() => readStudio().state.value ?? emptyStudio())

  /** Whether lists were read to their end: an empty one may not be here yet. */
  const areRead = (...names: Name[]): boolean => names.every((name) => lists[name].read().isAll.value)
  /** What keeps lists from being read, or empty. */
  const troubleOf = (...names: Name[]): string =>
    names.map((name) => lists[name].read().trouble.value).find((trouble) => trouble !== '') ?? ''
  /**
   * Resolves once lists were read to their end.
   * @throws with the words to show
   */
  const whenRead = (...names: Name[]): Promise<void> =>
    new Promise((resolve, reject) => {
      const unwatch = watchEffect(() => {
        const trouble = troubleOf(...names)
        if (areRead(...names)) resolve()
        else if (trouble !== '') reject(new Error(trouble))
        else return
        queueMicrotask(() => unwatch())
      })
    })

  return {
    lots: lists.lots.all,
    batches: lists.batches.all,
    tubs: lists.tubs.all,
    presses: lists.presses.all,
    racks: lists.racks.all,
    blocks: computed(() => lists.blocks.all.value.filter(({ book }) => book !== null)),
    /** Every station under its name: a press under that of the press. */
    stations: computed(() => {
      const names = new Map(lists.presses.all.value.map(({ id, name }) => [id, name]))
      return lists.stations.all.value.map((station) => ({ ...station, name: names.get(station.id) ?? station.name }))
    }),
    rollers: computed(() => studio.value.rollers),
    drawer: computed(() => studio.value.drawer),
    cleaners: computed(() => studio.value.cleaners),
    careRules: computed(() => studio.value.careRules),
    areRead,
    troubleOf,
    whenRead,
  }
})
