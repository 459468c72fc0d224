import { onMounted, onUnmounted, ref } from 'vue'
import { useOnce } from './once'

/** True while a dialog is open: then keys are its own. */
export const isAsking = () => document.querySelector('.v-dialog.v-overlay--active') !== null

/** The two doors that stand open from every room: what is found, and the keys of the screen. */
export function useDoors() {
  const finding = ref(false)
  const keysShown = ref(false)

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
  onUnmounted(() => window.removeEventListener('keydown', onKey))

  // Not before the page stands, and yet before a first key: what is typed after it is meant for the dialog.
  onNuxtReady(() => {
    void import('~/components/house/FindDialog.vue')
    void import('~/components/house/KeysDialog.vue')
  })
  const hasFound = useOnce(() => finding.value)
  const hasShownKeys = useOnce(() => keysShown.value)
  return { finding, keysShown, hasFound, hasShownKeys }
}
