import { ref, type Ref, watch } from 'vue'
import { sameContent } from './same'

const copyOf = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value

/**
 * A form that shows how something stands, and goes on showing it when others change it: what nobody has touched here
 * follows, what was typed stays.
 * @param read how it stands, a plain object
 * @param of what it is the form of; when that is another, the form begins anew
 */
export function useFollowing<Value extends object>(read: () => Value, of: () => unknown = () => ''): Ref<Value> {
  const form = ref(copyOf(read())) as Ref<Value>
  let shown = { of: of(), value: copyOf(form.value) }
  watch([read, of] as const, ([now, about]) => {
    const fresh = copyOf(now)
    if (about !== shown.of) form.value = fresh
    else
      for (const key of Object.keys(fresh) as (keyof Value)[])
        if (sameContent(form.value[key], shown.value[key])) form.value[key] = fresh[key]
    shown = { of: about, value: copyOf(now) }
  })
  return form
}
