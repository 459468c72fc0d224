import { isAsking } from './doors'

/** Keys of a table where things lie to be looked at: a letter an act. Held down, only an arrow goes on. */
export function useTableKeys(acts: Record<string, () => unknown>): void {
  function onKey(event: KeyboardEvent): void {
    const { tagName } = event.target as HTMLElement
    if (isAsking() || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    if (['INPUT', 'SELECT', 'TEXTAREA'].includes(tagName)) return
    // Space on a button is that button's own; on a link it would only scroll.
    if (event.key === ' ' && tagName === 'BUTTON') return
    const act = acts[event.key] ?? acts[event.key.toLowerCase()]
    if (!act) return
    event.preventDefault()
    if (!event.repeat || event.key.startsWith('Arrow')) act()
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onUnmounted(() => window.removeEventListener('keydown', onKey))
}
