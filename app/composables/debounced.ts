import { watch, type WatchSource } from 'vue'

/** React to changes once they have paused. */
export function watchDebounced(sources: WatchSource[], act: () => void, milliseconds: number): void {
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(sources, () => {
    clearTimeout(timer)
    timer = setTimeout(act, milliseconds)
  })
}
