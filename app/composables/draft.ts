import { onMounted, watch, type Ref } from 'vue'

/** Keep a half-filled form in this tab, so that it survives a reload; `done` forgets it. */
export function useDraft<Value>(key: string, form: Ref<Value>): { done: () => void } {
  const name = `draft ${key}`
  let keeping = true
  onMounted(() => {
    const known = sessionStorage.getItem(name)
    if (known) form.value = { ...form.value, ...(JSON.parse(known) as Value) }
    watch(form, (value) => keeping && sessionStorage.setItem(name, JSON.stringify(value)), { deep: true })
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
