import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api } from '~/composables/api'

/** A person asked for the PIN or passphrase once more, in the middle of something, and what they answer. */
export const useSure = defineStore('sure', () => {
  const asking = ref(false)
  let answer: ((isSure: boolean) => void) | null = null

  /** Ask, and wait. @returns false when the person left it */
  function ask(): Promise<boolean> {
    answer?.(false)
    asking.value = true
    return new Promise((resolve) => {
      answer = resolve
    })
  }

  function end(isSure: boolean): void {
    asking.value = false
    answer?.(isSure)
    answer = null
  }

  /** @throws ApiError when the secret does not fit; the question stands */
  async function give(secret: string): Promise<void> {
    await api('/api/session/sure', 'POST', { secret })
    end(true)
  }

  return { asking, ask, give, leave: () => end(false) }
})
