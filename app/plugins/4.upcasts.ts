import { watch } from 'vue'
import { useLive } from '~/stores/live'

/** Milliseconds after the page hears the ledger: by then it has what it shows. */
const rest = 3_000

/**
 * What brings events up to date comes with every act there is: fetched ahead once the page stands, where the page did
 * without till then. Away and not kept here, it is asked for with the next connection.
 */
export default defineNuxtPlugin(() => {
  const live = useLive()
  async function fetchAhead(): Promise<void> {
    const upcasts = await import('#core/house/upcast').catch(() => null)
    if (upcasts) live.readWith(upcasts.upcast)
  }
  watch(
    () => live.connected,
    (isConnected) => {
      if (isConnected) setTimeout(() => void fetchAhead(), rest)
    },
  )
})
