import { failure } from '../services/failure'

/** No other address of the API is anything. */
export default defineEventHandler(() => {
  throw failure({ code: 'http-404', message: 'There is nothing at this address. Go back to the floor.' })
})
