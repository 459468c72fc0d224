import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import type { StudioState } from '#core/stores/studio/state'
import { DatabaseUnusable } from '../database/connections'
import { loadDemo } from './load-demo'
import { openPressroom, type Pressroom } from './pressroom'

let opening: Promise<Pressroom> | undefined

/**
 * The folder named in AMPLE_TALLY_DATA, or `data` here. A slip of the pen must not open an empty room: one that is named and
 * not there is made only when that was said.
 * @throws DatabaseUnusable when it is none
 */
function dataFolder(): string {
  const named = process.env.AMPLE_TALLY_DATA
  if (named === undefined) return resolve('data')
  if (named.trim() === '')
    throw new DatabaseUnusable('AMPLE_TALLY_DATA is set and names no folder. Name one, or take the variable away.')
  const folder = resolve(named)
  if (!existsSync(folder) && process.env.AMPLE_TALLY_NEW !== '1')
    throw new DatabaseUnusable(
      `There is no folder ${folder}. Look at its name in AMPLE_TALLY_DATA; for a new pressroom start once with --new.`,
    )
  return folder
}

async function open(): Promise<Pressroom> {
  const room = await openPressroom(dataFolder(), process.env.AMPLE_TALLY_DEMO === '1')
  if (room.demo) await loadDemo(room)
  else room.backups.everyNight(() => room.ledger.read<StudioState>('studio'))
  return room
}

/** The pressroom this process serves, opened from AMPLE_TALLY_DATA. */
export function usePressroom(): Promise<Pressroom> {
  opening ??= open()
  return opening
}

/** Close it and open the one that AMPLE_TALLY_DATA names by now; whoever asks meanwhile waits for that. */
export function changePressroom(): Promise<Pressroom> {
  const before = opening
  opening = (async () => {
    await (await before?.catch(() => null))?.close()
    return await open()
  })()
  return opening
}
