import { type MaybeRefOrGetter, onMounted, onUnmounted, ref, shallowRef, toValue, watch } from 'vue'
import { useLive } from '~/stores/live'
import { api, wordsOf } from './api'

/** Many events come together: a list is asked for once when they have. ms. */
const settles = 300

/**
 * What a room shows, asked for anew whenever anything of the ledger changes, or the path does. `null`: nothing heard yet.
 */
export function useLiveReply<Reply>(path: MaybeRefOrGetter<string>) {
  const live = useLive()
  const reply = shallowRef<Reply | null>(null)
  const trouble = ref('')
  /** When it was asked for last. */
  const now = ref(Date.now())

  async function ask(): Promise<void> {
    try {
      reply.value = await api<Reply>(toValue(path))
      now.value = Date.now()
      trouble.value = ''
    } catch (error) {
      trouble.value = wordsOf(error)
    }
  }

  let asking: Promise<void> | null = null
  let next: Promise<void> | null = null

  /**
   * One question at a time, so that no older answer is shown over a newer one; whoever asks while one is under way is
   * answered by one that began later.
   */
  function load(): Promise<void> {
    if (asking)
      return (next ??= asking.then(() => {
        next = null
        return load()
      }))
    asking = ask().finally(() => {
      asking = null
    })
    return asking
  }

  let soon: ReturnType<typeof setTimeout> | undefined
  const unlisten = live.listen(
    () => {
      // Not put off again by what follows: a busy room never rests.
      soon ??= setTimeout(() => {
        soon = undefined
        void load()
      }, settles)
    },
    () => void load(),
  )
  watch(
    () => toValue(path),
    () => void load(),
  )
  onMounted(async () => {
    await load()
    live.follow(live.position)
  })
  onUnmounted(() => {
    clearTimeout(soon)
    unlisten()
  })
  return { reply, trouble, now, load }
}
