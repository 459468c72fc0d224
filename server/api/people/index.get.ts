import { usePressroom } from '../../services/use-pressroom'

/** Names to choose from at sign-in; nothing else of a person is told. */
export default defineEventHandler(async () => ({ people: (await usePressroom()).people.all() }))
