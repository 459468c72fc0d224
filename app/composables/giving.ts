import { computed, type InjectionKey, provide, reactive, ref } from 'vue'
import { ApiError, wordsOf } from './api'

/** What a form's fields know of its last refusal. */
export interface FieldRefusal {
  /** The words for a field of that name, or none. */
  of: (name: string) => string
  /** From now on that field shows its words, so that the form does not say them again. @returns what ends it */
  show: (name: string) => () => void
}

export const refusalKey: InjectionKey<FieldRefusal> = Symbol('refusal')

/** Carry out what a form asks, and keep the words of a refusal for it. */
export function useGiving() {
  const busy = ref(false)
  const fault = ref('')
  const field = ref('')

  const shown = reactive(new Map<string, number>())
  // Of a list the place in it is named too: `zones.0.name`.
  const isOf = (name: string) => field.value === name || field.value.startsWith(`${name}.`)
  provide(refusalKey, {
    of: (name) => (isOf(name) ? fault.value : ''),
    show(name) {
      shown.set(name, (shown.get(name) ?? 0) + 1)
      return () => void shown.set(name, shown.get(name)! - 1)
    },
  })
  /** What is said at the foot of the form: what no field of it shows. */
  const footFault = computed(() => ([...shown].some(([name, times]) => times > 0 && isOf(name)) ? '' : fault.value))

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

  /** What the form finds wrong by itself, before anything is given. */
  function refuse(words: string): void {
    fault.value = words
    field.value = ''
  }

  return { busy, fault, field, footFault, giving, refuse }
}
