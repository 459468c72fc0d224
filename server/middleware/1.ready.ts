import { usePressroom } from '../services/use-pressroom'

/** Nitro does not wait for plugins: no request is looked at before the ledger is open. */
export default defineEventHandler(async () => {
  await usePressroom()
})
