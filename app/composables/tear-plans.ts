import { onUnmounted } from 'vue'
import type { TearPlan, TearRequest } from '#core/paper/tear-plan'

/** Plan tears beside the page, so that it answers throughout however small the pieces are. */
export function useTearPlans() {
  const worker = new Worker(new URL('../workers/tear.worker.ts', import.meta.url), { type: 'module' })
  const waiting = new Map<number, (plans: TearPlan[]) => void>()
  let asked = 0
  worker.addEventListener('message', ({ data }: MessageEvent<{ id: number; plans: TearPlan[] }>) => {
    waiting.get(data.id)?.(data.plans)
    waiting.delete(data.id)
  })
  onUnmounted(() => worker.terminate())

  function planAll(requests: readonly TearRequest[]): Promise<TearPlan[]> {
    const id = ++asked
    return new Promise((resolve) => {
      waiting.set(id, resolve)
      // Vue's wrappers cannot be copied to a worker; plain data can.
      worker.postMessage({ id, requests: JSON.parse(JSON.stringify(requests)) as TearRequest[] })
    })
  }

  return { planAll }
}
