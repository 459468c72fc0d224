import { defineStream } from '../ground/act'
import { emptyAccount } from './state'

/** What a person owes beside what the ledger tells by itself, and what of it is settled. */
export const account = defineStream('account', emptyAccount)
