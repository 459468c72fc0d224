import { defineStore } from 'pinia'
import { computed } from 'vue'
import { instantAt } from '#core/time/instant'
import type { CommandRequest } from '#shared/commands/envelope'
import { askToPersist } from '~/outbox/kept'
import { useRefused } from '~/outbox/refused'
import { type Said, useSending } from '~/outbox/sending'
import { useWaiting } from '~/outbox/waiting'
import { outboxWire } from '~/outbox/wire'
import { useLive } from './live'
import { useSession } from './session'

export type OnAnswer = (command: CommandRequest, said: Said) => void

/** How often a tab looks for taps that another left behind. */
const lookEvery = 15_000

/**
 * Commands given here that the server has not answered yet. They lie on disk before their stroke is shown, are sent in
 * the order they were given, and leave only when the server has stored or refused them. All tabs of a browser share them:
 * whichever is open sends what another left.
 */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const live = useLive()
  const { waiting, notKept, ...disk } = useWaiting()
  const { refused, ...refusals } = useRefused(disk.sayNotKept)
  const { hindrance, send, passed } = useSending(waiting, disk.takeUp, settle)
  const listeners = new Set<OnAnswer>()

  const wire = outboxWire({
    put: () => void look(),
    settled: ({ order, command, result }) => settledElsewhere(order, command, result),
  })

  async function load(): Promise<void> {
    await look()
    await refusals.load()
    void askToPersist()
    if (import.meta.client) setInterval(() => void look(), lookEvery)
  }

  /** Take up what lies on disk, whichever tab put it there, and send it. */
  async function look(): Promise<void> {
    await disk.look()
    void send()
  }

  /** Put a command by; resolves once it is safe on this device's disk, or it was said that it is not. */
  async function put(command: CommandRequest): Promise<void> {
    await disk.put(command)
    wire.put()
    void send()
  }

  /** Try once more to keep on disk what is only in this page. */
  async function keepAgain(): Promise<void> {
    await disk.keepAgain()
    void send()
  }

  async function settle(order: number, command: CommandRequest, said: Said): Promise<void> {
    if ('error' in said) await refusals.keep({ command, message: said.error.message, at: instantAt(Date.now()) })
    await disk.takeOffDisk(order, 'reply' in said ? answered(command, said.reply.position) : null)
    gone(order, command, said)
    wire.settled({ order, command, result: said })
  }

  const answered = (command: CommandRequest, position: number) => ({ command, position, lineage: session.lineage })

  function gone(order: number, command: CommandRequest, said: Said): void {
    disk.gone(order)
    passed()
    if ('reply' in said) live.answered(said.reply.events)
    for (const listener of listeners) listener(command, said)
  }

  function settledElsewhere(order: number, command: CommandRequest, said: Said): void {
    if (order < 0) return
    if ('error' in said) void refusals.load()
    gone(order, command, said)
  }

  /** Heard of as stored before its answer came, which may be lost: a page loaded meanwhile must not show it twice. */
  async function heardStored(commandId: string, position: number): Promise<void> {
    const heard = waiting.value.find((one) => one.commandId === commandId)
    if (!heard || heard.order! < 0) return
    const { order, ...command } = heard
    await disk.takeOffDisk(order!, answered(command, position))
  }

  function onAnswer(listener: OnAnswer): () => void {
    listeners.add(listener)
    return () => void listeners.delete(listener)
  }

  live.hear({ stored: ({ commandId, position }) => void heardStored(commandId, position) })

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
    putAway: refusals.putAway,
    onAnswer,
  }
})
