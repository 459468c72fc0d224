import { type Ref, ref, watch } from 'vue'

/** True from the first time that something is: a dialog is loaded when it first opens, and then stays. */
export function useOnce(is: () => boolean): Readonly<Ref<boolean>> {
  const was = ref(is())
  watch(is, (now) => {
    was.value ||= now
  })
  return was
}
