import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import { kept, type Outgoing, type Refused } from '~/outbox/kept'

export type Answered = (command: CommandRequest, result: { reply: CommandReply } | { error: ApiError }) => void

const longestPause = 8_000

/**
 * Commands given here that the server has not answered yet. They lie on disk before their stroke is shown, are sent in
 * the order they were given, and leave only when the server has stored or refused them.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<Outgoing[]>([])
  /** Commands the server refused, until a person has read why. */
  const refused = shallowRef<Refused[]>([])
  /** The last thing that kept commands from going out, or empty. */
  const hindrance = ref('')
  const listeners = new Set<Answered>()
  let sending = false
  let pause = 500
  let timer: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    waiting.value = await (await kept()).getAll('outbox')
    refused.value = await (await kept()).getAll('refused')
    void send()
  }

  /** Put a command by; resolves once it is safe on this device's disk. */
  async function put(command: CommandRequest): Promise<void> {
    const tx = (await kept()).transaction('outbox', 'readwrite', { durability: 'strict' })
    const order = await tx.store.add({ ...command })
    await tx.done
    waiting.value = [...waiting.value, { ...command, order }]
    void send()
  }

  /** Send what waits. One tab at a time where the browser can arrange it; resending is harmless all the same. */
  async function send(): Promise<void> {
    if (sending || waiting.value.length === 0) return
    sending = true
    clearTimeout(timer)
    try {
      if (navigator.locks) await navigator.locks.request('ample-tally-outbox', sendAll)
      else await sendAll()
    } finally {
      sending = false
    }
  }

  async function sendAll(): Promise<void> {
    while (waiting.value.length > 0) {
      const { order, ...command } = waiting.value[0]!
      try {
        const reply = await api<CommandReply>('/api/commands', 'POST', command)
        await settle(order!, command, { reply })
      } catch (error) {
        if (!(error instanceof ApiError) || mustWait(error)) {
          hindrance.value = error instanceof ApiError ? error.message : 'Waiting for the server.'
          timer = setTimeout(() => void send(), pause)
          pause = Math.min(longestPause, pause * 2)
          return
        }
        const entry = { command, message: error.message, at: new Date().toISOString() }
        await (await kept()).add('refused', entry)
        refused.value = [...refused.value, entry]
        await settle(order!, command, { error })
      }
    }
  }

  /** Unreachable, stumbling, full or signed out: the command stays until that has passed. */
  function mustWait(error: ApiError): boolean {
    return error.unreachable || error.status >= 500 || error.status === 401 || error.status === 429
  }

  async function settle(order: number, command: CommandRequest, result: Parameters<Answered>[1]): Promise<void> {
    await (await kept()).delete('outbox', order)
    waiting.value = waiting.value.filter((other) => other.order !== order)
    hindrance.value = ''
    pause = 500
    for (const listener of listeners) listener(command, result)
  }

  async function putAway(): Promise<void> {
    await (await kept()).clear('refused')
    refused.value = []
  }

  function onAnswer(listener: Answered): () => void {
    listeners.add(listener)
    return () => void listeners.delete(listener)
  }

  if (import.meta.client) window.addEventListener('online', () => void send())

  return {
    waiting,
    refused,
    hindrance,
    unsent: computed(() => waiting.value.length),
    load,
    put,
    send,
    putAway,
    onAnswer,
  }
})
