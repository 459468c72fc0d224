import { type Ref, ref } from 'vue'
import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import type { Outgoing } from './kept'

/** What the server said of a command. */
export type Said = { reply: CommandReply } | { error: ApiError }

const shortestPause = 500
const longestPause = 8_000

/** Unreachable, stumbling, full, signed out or not let in yet: the command stays until that has passed. */
const mustWait = ({ unreachable, status, reply }: ApiError): boolean =>
  unreachable || status >= 500 || status === 401 || status === 429 || reply.code === 'change-secret'

/**
 * Send what waits, in the order it was given. One tab at a time where the browser can arrange it; resending is harmless all
 * the same.
 * @param waiting what waits, oldest first
 * @param takeUp looks what waits now: another tab may have sent some
 * @param settle takes what the server said; it waits no more then
 */
export function useSending(
  waiting: Readonly<Ref<readonly Outgoing[]>>,
  takeUp: () => Promise<void>,
  settle: (order: number, command: CommandRequest, said: Said) => Promise<void>,
) {
  /** The last thing that kept commands from going out, or empty. */
  const hindrance = ref('')
  let sending = false
  /** The server cannot take anything now; it is tried again by the timer. */
  let isPaused = false
  let pause = shortestPause
  let timer: ReturnType<typeof setTimeout> | undefined

  async function send(): Promise<void> {
    if (sending || waiting.value.length === 0) return
    sending = true
    isPaused = false
    clearTimeout(timer)
    try {
      if (navigator.locks) await navigator.locks.request('ample-tally-outbox', sendAll)
      else await sendAll()
    } finally {
      sending = false
    }
    // Given after the last answer and before the turn was handed on.
    if (!isPaused) void send()
  }

  async function sendAll(): Promise<void> {
    await takeUp().catch(() => undefined)
    while (waiting.value.length > 0) {
      const { order, ...command } = waiting.value[0]!
      try {
        const reply = await api<CommandReply>('/api/commands', 'POST', command)
        await settle(order!, command, { reply })
      } catch (error) {
        if (!(error instanceof ApiError) || mustWait(error)) return standBack(error)
        await settle(order!, command, { error })
      }
    }
  }

  function standBack(error: unknown): void {
    hindrance.value = error instanceof ApiError ? error.message : 'Waiting for the server.'
    isPaused = true
    timer = setTimeout(() => void send(), pause)
    pause = Math.min(longestPause, pause * 2)
  }

  /** The server answered, here or in another tab. */
  function passed(): void {
    hindrance.value = ''
    pause = shortestPause
  }

  return { hindrance, send, passed }
}
