import { onMounted, onUnmounted, ref } from 'vue'

/** Keep the screen on while a station stands at the bench, where the browser allows it; `awake` says whether it does. */
export function useAwake() {
  const awake = ref(false)
  let lock: WakeLockSentinel | null = null
  let gone = false

  async function ask(): Promise<void> {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    try {
      const given = await navigator.wakeLock.request('screen')
      // The bench was left while the browser thought about it.
      if (gone) return void given.release()
      lock = given
      awake.value = true
      given.addEventListener('release', () => {
        awake.value = false
      })
    } catch {
      awake.value = false
    }
  }
  const again = () => void ask()
  onMounted(() => {
    void ask()
    // The lock ends whenever the page is out of sight.
    document.addEventListener('visibilitychange', again)
  })
  onUnmounted(() => {
    gone = true
    document.removeEventListener('visibilitychange', again)
    void lock?.release()
  })
  return awake
}
