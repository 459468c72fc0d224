import { resolve } from 'node:path'
import { loadDemo } from './load-demo'
import { openPressroom, type Pressroom } from './pressroom'

let opening: Promise<Pressroom> | undefined

async function open(): Promise<Pressroom> {
  const room = await openPressroom(
    resolve(process.env.AMPLE_TALLY_DATA || 'data'),
    process.env.AMPLE_TALLY_DEMO === '1',
  )
  if (room.demo) await loadDemo(room)
  return room
}

/** The pressroom this process serves, opened once from AMPLE_TALLY_DATA. */
export function usePressroom(): Promise<Pressroom> {
  opening ??= open()
  return opening
}
