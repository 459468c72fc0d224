import { onMounted, watch, type Ref } from 'vue'
import { followed } from './following'

interface Kept<Value> {
  value: Value
  /** What the form showed when it was typed in, where it is the form of something that others may change. */
  shown?: Value
}

/**
 * Keep a half-filled form in this tab, so that it survives a reload; `done` forgets it.
 * @param read how that stands of which it is the form: what others changed meanwhile is not taken for what was typed
 */
export function useDraft<Value extends object>(
  key: string,
  form: Ref<Value>,
  read?: () => Value,
): { done: () => void } {
  const name = `draft ${key}`
  let keeping = true
  onMounted(() => {
    const known = JSON.parse(sessionStorage.getItem(name) ?? 'null') as Kept<Value> | null
    if (known?.value)
      form.value = known.shown && read ? followed(known.value, known.shown, read()) : { ...form.value, ...known.value }
    watch(
      form,
      (value) =>
        keeping && sessionStorage.setItem(name, JSON.stringify({ value, shown: read?.() } satisfies Kept<Value>)),
      { deep: true },
    )
  })
  return {
    done() {
      keeping = false
      sessionStorage.removeItem(name)
      setTimeout(() => {
        keeping = true
      }, 0)
    },
  }
}
