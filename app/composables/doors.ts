import { onMounted, onUnmounted, ref, watch } from 'vue'
import { useOnce } from './once'

/** True from the key that opens a door: the dialog itself may come a moment later. */
let isOpening = false

/** True while a dialog is open: then keys are its own. */
export const isAsking = () => isOpening || document.querySelector('.v-dialog.v-overlay--active') !== null

/** The two doors that stand open from every room: what is found, and the keys of the screen. */
export function useDoors() {
  const finding = ref(false)
  const keysShown = ref(false)
  watch(
    [finding, keysShown],
    () => {
      isOpening = finding.value || keysShown.value
    },
    { flush: 'sync' },
  )

  function onKey(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    const { tagName, isContentEditable } = event.target as HTMLElement
    if (['INPUT', 'SELECT', 'TEXTAREA'].includes(tagName) || isContentEditable) return
    if (isAsking()) return
    const key = event.key.toLowerCase()
    if (key === 'f') finding.value = true
    else if (key === 'k' || key === '?') keysShown.value = true
    else return
    event.preventDefault()
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onUnmounted(() => {
    window.removeEventListener('keydown', onKey)
    isOpening = false
  })

  // Not before the page stands, and yet before a first key: what is typed after it is meant for the dialog.
  const stands = ref(false)
  onNuxtReady(() => {
    stands.value = true
  })
  const hasDoors = useOnce(() => stands.value || finding.value || keysShown.value)
  return { finding, keysShown, hasDoors }
}
