import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { StoresReply } from '#shared/replies/replies'
import { api } from '~/composables/api'

/** Paper lots, ink batches and presses to choose from. */
export const useSupplies = defineStore('supplies', () => {
  const stores = ref<StoresReply>({
    lots: [],
    batches: [],
    tubs: [],
    presses: [],
    racks: [],
    blocks: [],
    stations: [],
    rollers: [],
    drawer: [],
    cleaners: [],
    careRules: [],
  })

  const isLoaded = ref(false)

  async function load(): Promise<void> {
    stores.value = await api<StoresReply>('/api/stores')
    isLoaded.value = true
  }

  return {
    load,
    isLoaded,
    lots: computed(() => stores.value.lots),
    batches: computed(() => stores.value.batches),
    tubs: computed(() => stores.value.tubs),
    presses: computed(() => stores.value.presses),
    racks: computed(() => stores.value.racks),
    blocks: computed(() => stores.value.blocks),
    rollers: computed(() => stores.value.rollers),
    drawer: computed(() => stores.value.drawer),
    stations: computed(() => stores.value.stations),
    cleaners: computed(() => stores.value.cleaners),
    careRules: computed(() => stores.value.careRules),
  }
})
