import { instantAt } from '#core/time/instant'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import { keepAnswered } from '~/outbox/answered'
import { askToPersist, type Outgoing, type Refused, withKept } from '~/outbox/kept'
import { outboxWire } from '~/outbox/wire'
import { useLive } from './live'
import { useSession } from './session'

export type Answered = (command: CommandRequest, result: { reply: CommandReply } | { error: ApiError }) => void

const longestPause = 8_000
/** How often a tab looks for taps that another left behind. */
const lookEvery = 15_000

/**
 * Commands given here that the server has not answered yet. They lie on disk before their stroke is shown, are sent in
 * the order they were given, and leave only when the server has stored or refused them. All tabs of a browser share them:
 * whichever is open sends what another left.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<Outgoing[]>([])
  /** Commands the server refused, until a person has read why. */
  const refused = shallowRef<Refused[]>([])
  /** The last thing that kept commands from going out, or empty. */
  const hindrance = ref('')
  /** Why this browser cannot keep taps, or empty. They are sent all the same. */
  const notKept = ref('')
  const session = useSession()
  const listeners = new Set<Answered>()
  /** Taps that could not be written to disk are known by numbers below zero. */
  let unwritten = 0
  /** Places in the outbox that were answered while this page was open. */
  const settled = new Set<number>()
  let sending = false
  /** The server cannot take anything now; it is tried again by the timer. */
  let isPaused = false
  let pause = 500
  let timer: ReturnType<typeof setTimeout> | undefined

  const wire = outboxWire({
    put: () => void look(),
    settled: ({ order, command, result }) => settledElsewhere(order, command, result),
  })

  async function load(): Promise<void> {
    await look()
    await loadRefused()
    void askToPersist()
    if (import.meta.client) setInterval(() => void look(), lookEvery)
  }

  /** Take up what lies on disk, whichever tab put it there, and send it. */
  async function look(): Promise<void> {
    try {
      await takeUp()
      notKept.value = waiting.value.some(isUnwritten) ? notKept.value : ''
    } catch (error) {
      sayNotKept(error)
    }
    void send()
  }

  const isUnwritten = ({ order }: Outgoing) => order! < 0

  async function takeUp(): Promise<void> {
    const before = new Set(waiting.value)
    const onDisk = await withKept((db) => db.getAll('outbox'))
    const known = new Set(onDisk.map(({ order }) => order))
    // Only what is on disk still waits, and what never came there; but both may have changed while it was read.
    const put = waiting.value.filter((one) => isUnwritten(one) || (!before.has(one) && !known.has(one.order)))
    waiting.value = [...onDisk.filter(({ order }) => !settled.has(order!)), ...put]
  }

  async function loadRefused(): Promise<void> {
    refused.value = await withKept((db) => db.getAll('refused')).catch(() => refused.value)
  }

  function sayNotKept(error: unknown): void {
    const why = error instanceof Error && error.message ? ` (${error.message})` : ''
    notKept.value = `This browser cannot keep taps on its disk${why}. They are sent all the same; do not close this page while some wait.`
  }

  /** Put a command by; resolves once it is safe on this device's disk, or it was said that it is not. */
  async function put(command: CommandRequest): Promise<void> {
    let order: number
    try {
      order = await write(command)
    } catch (error) {
      sayNotKept(error)
      order = --unwritten
    }
    if (!waiting.value.some((other) => other.commandId === command.commandId))
      waiting.value = [...waiting.value, { ...command, order }]
    wire.put()
    void send()
  }

  async function write(command: CommandRequest): Promise<number> {
    return await withKept(async (db) => {
      const tx = db.transaction('outbox', 'readwrite', { durability: 'strict' })
      const order = await tx.store.add({ ...command })
      await tx.done
      return order
    })
  }

  /** Try once more to keep on disk what is only in this page. */
  async function keepAgain(): Promise<void> {
    try {
      for (const { order, ...command } of waiting.value.filter(isUnwritten)) {
        const kept = await write(command)
        waiting.value = waiting.value.map((other) => (other.order === order ? { ...command, order: kept } : other))
      }
      await takeUp()
      notKept.value = ''
    } catch (error) {
      sayNotKept(error)
    }
    void send()
  }

  /** Send what waits. One tab at a time where the browser can arrange it; resending is harmless all the same. */
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
    // Another tab may have sent some while this one waited for its turn.
    await takeUp().catch(() => undefined)
    while (waiting.value.length > 0) {
      const { order, ...command } = waiting.value[0]!
      try {
        const reply = await api<CommandReply>('/api/commands', 'POST', command)
        await settle(order!, command, { reply })
      } catch (error) {
        if (!(error instanceof ApiError) || mustWait(error)) {
          hindrance.value = error instanceof ApiError ? error.message : 'Waiting for the server.'
          isPaused = true
          timer = setTimeout(() => void send(), pause)
          pause = Math.min(longestPause, pause * 2)
          return
        }
        await keepRefused({ command, message: error.message, at: instantAt(Date.now()) })
        await settle(order!, command, { error })
      }
    }
  }

  /** Unreachable, stumbling, full, signed out or not let in yet: the command stays until that has passed. */
  function mustWait({ unreachable, status, reply }: ApiError): boolean {
    return unreachable || status >= 500 || status === 401 || status === 429 || reply.code === 'change-secret'
  }

  /** Heard of as stored before its answer came, which may be lost: a page loaded meanwhile must not show it twice. */
  function takeOffDisk(commandId: string, position: number): void {
    const heard = waiting.value.find((one) => one.commandId === commandId)
    if (!heard || isUnwritten(heard)) return
    const { order, ...command } = heard
    void keepAnswered({ command, position, lineage: session.lineage })
    void withKept((db) => db.delete('outbox', order!)).catch(sayNotKept)
  }

  async function keepRefused(entry: Refused): Promise<void> {
    refused.value = [...refused.value, entry]
    await withKept((db) => db.add('refused', entry)).catch(sayNotKept)
  }

  async function settle(order: number, command: CommandRequest, result: Parameters<Answered>[1]): Promise<void> {
    // What cannot be taken off the disk is sent again, which the server counts once.
    if ('reply' in result) void keepAnswered({ command, position: result.reply.position, lineage: session.lineage })
    if (order > 0) await withKept((db) => db.delete('outbox', order)).catch(sayNotKept)
    gone(order, command, result)
    wire.settled({ order, command, result })
  }

  function gone(order: number, command: CommandRequest, result: Parameters<Answered>[1]): void {
    settled.add(order)
    waiting.value = waiting.value.filter((other) => other.order !== order)
    hindrance.value = ''
    pause = 500
    for (const listener of listeners) listener(command, result)
  }

  function settledElsewhere(order: number, command: CommandRequest, result: Parameters<Answered>[1]): void {
    if (order < 0) return
    if ('error' in result) void loadRefused()
    gone(order, command, result)
  }

  /** Let go of the refusals that were read; one that arrives meanwhile is not among them. */
  async function putAway(): Promise<void> {
    const read = new Set(refused.value)
    refused.value = []
    await withKept(async (db) => {
      const tx = db.transaction('refused', 'readwrite')
      for (let at = await tx.store.openCursor(); at; at = await at.continue())
        if ([...read].some(({ command }) => command.commandId === at!.value.command.commandId)) await at.delete()
      await tx.done
    }).catch(sayNotKept)
  }

  function onAnswer(listener: Answered): () => void {
    listeners.add(listener)
    return () => void listeners.delete(listener)
  }

  useLive().listen(({ commandId, position }) => takeOffDisk(commandId, position))

  if (import.meta.client) {
    window.addEventListener('online', () => void send())
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void look())
  }

  return {
    waiting,
    refused,
    hindrance,
    notKept,
    unsent: computed(() => waiting.value.length),
    load,
    look,
    put,
    keepAgain,
    send,
    putAway,
    onAnswer,
  }
})
