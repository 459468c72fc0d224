import { ref, type Ref, watch } from 'vue'
import { sameContent } from './same'

type Plain = Record<string, unknown>

const copyOf = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Field by field: what still says what was shown follows, what was typed stays, what is no more goes. A list is one field. */
function follow(form: Plain, shown: Plain, now: Plain): void {
  for (const key of Object.keys(shown)) if (!(key in now)) delete form[key]
  for (const [key, fresh] of Object.entries(now)) {
    const typed = form[key]
    if (isPlain(typed) && isPlain(shown[key]) && isPlain(fresh)) follow(typed, shown[key], fresh)
    else if (sameContent(typed, shown[key])) form[key] = copyOf(fresh)
  }
}

/** What was typed over something as it was shown, onto that as it stands now. */
export function followed<Value extends object>(typed: Value, shown: Value, now: Value): Value {
  const form = copyOf(typed)
  follow(form as Plain, shown as Plain, copyOf(now) as Plain)
  return form
}

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
    if (about === shown.of) follow(form.value as Plain, shown.value as Plain, fresh as Plain)
    else form.value = fresh
    shown = { of: about, value: copyOf(fresh) }
  })
  return form
}
