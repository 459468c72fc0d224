import { getRequestPath, type H3Error, type H3Event, send, setResponseHeader, setResponseStatus } from 'h3'
import type { ErrorReply } from '#shared/replies/replies'

const plain: Record<number, string> = {
  404: 'There is nothing at this address. Go back to the floor.',
  405: 'This address does not take that kind of request.',
}

/** Every failure is answered as `{ code, message, field? }`; what we did not foresee is logged and said plainly. */
export default async function answerError(error: H3Error, event: H3Event): Promise<void> {
  const status = error.statusCode || 500
  const given = error.data as ErrorReply | undefined
  const foreseen = given !== undefined && typeof given.code === 'string'
  if (!foreseen && status >= 500)
    console.error(`${event.method} ${getRequestPath(event)} failed:`, error.cause ?? error)
  const reply: ErrorReply = foreseen
    ? given
    : {
        code: `http-${status}`,
        message:
          plain[status] ??
          'The server stumbled over this. Nothing was lost; try again, and tell the manager if it stays.',
      }
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(event, 'cache-control', 'no-store')
  await send(event, JSON.stringify(reply))
}
