import { ref } from 'vue'
import { ApiError, wordsOf } from './api'

/** Carry out what a form asks, and keep the words of a refusal for it. */
export function useGiving() {
  const busy = ref(false)
  const fault = ref('')
  const field = ref('')

  /** @returns true when it was done */
  async function giving(act: () => Promise<unknown>): Promise<boolean> {
    busy.value = true
    fault.value = field.value = ''
    try {
      await act()
      return true
    } catch (error) {
      fault.value = wordsOf(error)
      field.value = error instanceof ApiError ? (error.reply.field ?? '') : ''
      return false
    } finally {
      busy.value = false
    }
  }

  return { busy, fault, field, giving }
}
