import { getQuery, getRequestHeader, type H3Event, readRawBody } from 'h3'
import { fieldsOf } from '#core/ground/shape'
import { check } from '#shared/check'
import { failure } from './failure'

const mostBytes = 256 * 1024

/** A JSON body of bounded size, checked against a request class. */
export async function readChecked<T extends object>(event: H3Event, shape: new () => T): Promise<T> {
  const length = Number(getRequestHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= mostBytes)) {
    throw failure({
      code: 'too-large',
      message: `A request may hold ${mostBytes / 1024} kB; ${Number.isNaN(length) ? 'one of unknown size' : `${Math.round(length / 1024)} kB`} came. Nothing was changed.`,
    })
  }
  const raw = await readRawBody(event, false)
  const result = check(shape, parsed(raw))
  if ('refusal' in result) throw failure(result.refusal)
  return result.value
}

function parsed(raw: Buffer | undefined): unknown {
  try {
    // Bytes that are no UTF-8 would be replaced, and something else be kept than was sent.
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(raw))
  } catch {
    throw failure({ code: 'invalid', message: 'The request is no JSON. Nothing was changed.' })
  }
}

/** A query string, checked against a request class. */
export function queryChecked<T extends object>(event: H3Event, shape: new () => T): T {
  const result = check(shape, withNumbers(shape, getQuery(event)))
  if ('refusal' in result) throw failure(result.refusal)
  return result.value
}

/** In an address everything is text: what a class says is a whole number is read as one, where it is one. */
function withNumbers(shape: new () => object, query: object): object {
  const fields = fieldsOf(shape)
  return Object.fromEntries(
    Object.entries(query).map(([key, value]) => [
      key,
      fields.get(key)?.kind === 'whole' && /^-?\d+$/.test(String(value)) ? Number(value) : value,
    ]),
  )
}
