import { usePressroom } from '../services/use-pressroom'
import { openSession } from '../services/request'

export default defineEventHandler(async (event) => {
  const session = await openSession(event, await usePressroom())
  await session.clear()
  return { signedOut: true }
})
