import { ref, shallowRef } from 'vue'
import type { CommandRequest } from '#shared/commands/envelope'
import { addAnswered, keepAnswered } from './answered'
import { type Answered, type Outgoing, withKept } from './kept'

/**
 * Commands that the server has not answered yet, oldest first, as they lie on this browser's disk. All tabs share them. What
 * cannot be written there is kept in this page, under a number below zero.
 */
export function useWaiting() {
  const waiting = shallowRef<readonly Outgoing[]>([])
  /** Why this browser cannot keep taps, or empty. They are sent all the same. */
  const notKept = ref('')
  let unwritten = 0
  /** Places in the outbox that were answered while this page was open. */
  const settled = new Set<number>()

  const isUnwritten = ({ order }: Outgoing) => order! < 0

  function sayNotKept(error: unknown): void {
    const why = error instanceof Error && error.message ? ` (${error.message})` : ''
    notKept.value = `This browser cannot keep taps on its disk${why}. They are sent all the same; do not close this page while some wait.`
  }

  /** Take up what lies on disk, whichever tab put it there. */
  async function takeUp(): Promise<void> {
    const before = new Set(waiting.value)
    const onDisk = await withKept((db) => db.getAll('outbox'))
    const known = new Set(onDisk.map(({ order }) => order))
    // Only what is on disk still waits, and what never came there; but both may have changed while it was read.
    const put = waiting.value.filter((one) => isUnwritten(one) || (!before.has(one) && !known.has(one.order)))
    waiting.value = [...onDisk.filter(({ order }) => !settled.has(order!)), ...put]
  }

  /** The same, and say whether this browser keeps taps. */
  async function look(): Promise<void> {
    try {
      await takeUp()
      if (!waiting.value.some(isUnwritten)) notKept.value = ''
    } catch (error) {
      sayNotKept(error)
    }
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
  }

  /**
   * What was stored moves to what is kept for a ledger that is put back, in one step: a page that is closed in between would
   * lose it.
   * @param answered how it was stored, or null when it was refused
   */
  async function takeOffDisk(order: number, answered: Answered | null): Promise<void> {
    if (order < 0) {
      if (answered) await keepAnswered(answered)
      return
    }
    await withKept(async (db) => {
      const tx = db.transaction(['outbox', 'answered'], 'readwrite')
      const outbox = tx.objectStore('outbox')
      // Another tab, or the live stream, may have taken it off before.
      if (answered && (await outbox.getKey(order)) !== undefined)
        await addAnswered(tx.objectStore('answered'), answered)
      await outbox.delete(order)
      await tx.done
      // It is sent again, which the server counts once.
    }).catch(sayNotKept)
  }

  /** It was answered. */
  function gone(order: number): void {
    settled.add(order)
    waiting.value = waiting.value.filter((other) => other.order !== order)
  }

  return { waiting, notKept, sayNotKept, takeUp, look, put, keepAgain, takeOffDisk, gone }
}
