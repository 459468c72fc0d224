import { computed, onMounted, onUnmounted, ref } from 'vue'
import { api } from './api'
import { useSession } from '~/stores/session'

const lookEvery = 1_000
/** How long before the end it is said. */
const warned = 60_000
/** How often the server is told that someone is here. */
const toldEvery = 60_000
const name = 'touched'

/**
 * A shared station that nobody touches signs its person out, and says so a minute before. All tabs of a browser are one
 * station here: a touch in any keeps them all.
 */
export function useIdle() {
  const session = useSession()
  const now = ref(Date.now())
  const touched = ref(Date.now())
  let told = 0
  let timer: ReturnType<typeof setInterval> | undefined
  let ending = false

  const limit = computed(() => {
    const current = session.session
    return current?.person && !current.own ? current.studio.idleMinutes * 60_000 : 0
  })
  /** Seconds until the end once it is near, else null. */
  const left = computed(() => {
    const remaining = touched.value + limit.value - now.value
    return limit.value > 0 && remaining <= warned ? Math.max(0, Math.ceil(remaining / 1000)) : null
  })

  function touch(): void {
    touched.value = Date.now()
    localStorage.setItem(name, String(touched.value))
    if (!session.person || touched.value - told < toldEvery) return
    told = touched.value
    void api('/api/session/touch', 'POST', {}).catch(() => undefined)
  }

  async function look(): Promise<void> {
    now.value = Date.now()
    touched.value = Math.max(touched.value, Number(localStorage.getItem(name) ?? 0))
    if (left.value !== 0 || ending) return
    ending = true
    // A dead server hears of it later by itself: it counts the minutes too.
    await session.signOut(true).catch(() => undefined)
    ending = false
    const { path, fullPath } = useRoute()
    // Whoever is at the door already goes on to where they wanted.
    if (path !== '/sign-in') await navigateTo(`/sign-in?idle=1&to=${encodeURIComponent(fullPath)}`)
  }

  const signs = ['pointerdown', 'keydown', 'wheel'] as const
  onMounted(() => {
    touch()
    timer = setInterval(() => void look(), lookEvery)
    for (const sign of signs) window.addEventListener(sign, touch, { passive: true })
  })
  onUnmounted(() => {
    clearInterval(timer)
    for (const sign of signs) window.removeEventListener(sign, touch)
  })
  return { left, touch }
}
