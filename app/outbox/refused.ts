import { shallowRef } from 'vue'
import { type Refused, withKept } from './kept'

/**
 * Commands the server refused, until a person has read why.
 * @param fail told what keeps them from this browser's disk
 */
export function useRefused(fail: (error: unknown) => void) {
  const refused = shallowRef<readonly Refused[]>([])

  async function load(): Promise<void> {
    refused.value = await withKept((db) => db.getAll('refused')).catch(() => refused.value)
  }

  async function keep(entry: Refused): Promise<void> {
    refused.value = [...refused.value, entry]
    await withKept((db) => db.add('refused', entry)).catch(fail)
  }

  /** Let go of the refusals that were read; one that arrives meanwhile is not among them. */
  async function putAway(): Promise<void> {
    const read = new Set(refused.value.map(({ command }) => command.commandId))
    refused.value = []
    await withKept(async (db) => {
      const tx = db.transaction('refused', 'readwrite')
      for (let at = await tx.store.openCursor(); at; at = await at.continue())
        if (read.has(at.value.command.commandId)) await at.delete()
      await tx.done
    }).catch(fail)
  }

  return { refused, load, keep, putAway }
}
