import { onUnmounted, ref } from 'vue'
import type { TearPlan } from '#core/paper/tear-plan'
import type { TearRequest } from '#core/paper/tear-request'

type Answer = { id: number; parts: number } | { id: number; plans: TearPlan[] }

/** Plan tears beside the page, so that it answers throughout however small the pieces are. */
export function useTearPlans() {
  /** Parts of the sheet looked at by a search that takes its time; 0 while none does. */
  const parts = ref(0)
  /** True once a person has stopped the last search. */
  const stopped = ref(false)
  let worker: Worker | null = null
  let answer: ((plans: TearPlan[] | null) => void) | null = null
  let asked = 0

  function begin(): Worker {
    const fresh = new Worker(new URL('../workers/tear.worker.ts', import.meta.url), { type: 'module' })
    fresh.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
      if (data.id !== asked) return
      if ('parts' in data) parts.value = data.parts
      else finish(data.plans)
    })
    return fresh
  }

  function finish(plans: TearPlan[] | null): void {
    parts.value = 0
    answer?.(plans)
    answer = null
  }

  /** Drop a search that is still going on, since a worker at work hears nothing. */
  function drop(): void {
    if (!answer) return
    worker?.terminate()
    worker = null
    finish(null)
  }

  function stop(): void {
    drop()
    stopped.value = true
  }

  onUnmounted(() => {
    drop()
    worker?.terminate()
  })

  /** @returns the plans in order, or null when a newer question took their place or a person stopped the search */
  function planAll(requests: readonly TearRequest[]): Promise<TearPlan[] | null> {
    drop()
    stopped.value = false
    const id = ++asked
    worker ??= begin()
    return new Promise((resolve) => {
      answer = resolve
      // Vue's wrappers cannot be copied to a worker; plain data can.
      worker!.postMessage({ id, requests: JSON.parse(JSON.stringify(requests)) as TearRequest[] })
    })
  }

  return { planAll, stop, parts, stopped }
}
