import { usePressroom } from '../services/use-pressroom'
import { describeSession } from '../services/session'

export default defineEventHandler(async (event) => await describeSession(event, await usePressroom()))
