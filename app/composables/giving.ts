import { computed, getCurrentInstance, type InjectionKey, provide, reactive, ref, type Ref } from 'vue'
import { ApiError, wordsOf } from './api'

/** What a form's fields know of its last refusal. */
export interface FieldRefusal {
  /** The words for a field of that name, or none. */
  of: (name: string) => string
  /** From now on that field shows its words, so that the form does not say them again. @returns what ends it */
  show: (name: string) => () => void
}

export const refusalKey: InjectionKey<FieldRefusal> = Symbol('refusal')

interface Refused {
  fault: Ref<string>
  field: Ref<string>
}
/** What a component has of it: a form's fields hear all its givings. */
interface Heard {
  givings: Refused[]
  /** How many fields of a name show their words by themselves. */
  shown: Map<string, number>
}
const heardIn = new WeakMap<object, Heard>()

// Of a list the place in it is named too: `zones.0.name`.
const isOf = (said: string, name: string) => said === name || said.startsWith(`${name}.`)

function hear(): Heard {
  const component = getCurrentInstance() ?? {}
  const known = heardIn.get(component)
  if (known) return known
  const heard: Heard = { givings: [], shown: reactive(new Map()) }
  heardIn.set(component, heard)
  const { givings, shown } = heard
  const count = (name: string, by: number) => shown.set(name, (shown.get(name) ?? 0) + by)
  provide(refusalKey, {
    of: (name) => givings.find(({ field }) => isOf(field.value, name))?.fault.value ?? '',
    show(name) {
      count(name, 1)
      return () => count(name, -1)
    },
  })
  return heard
}

/** Carry out what a form asks, and keep the words of a refusal for it. */
export function useGiving() {
  const busy = ref(false)
  const fault = ref('')
  const field = ref('')
  const { givings, shown } = hear()
  givings.push({ fault, field })
  /** What is said at the foot of the form: what no field of it shows. */
  const footFault = computed(() =>
    [...shown].some(([name, times]) => times > 0 && isOf(field.value, name)) ? '' : fault.value,
  )

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
