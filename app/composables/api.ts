import type { ErrorReply } from '#shared/replies/replies'

/** A request the server answered with a refusal. `status` 0 means the server could not be reached. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly reply: ErrorReply,
  ) {
    super(reply.message)
  }

  get unreachable(): boolean {
    return this.status === 0
  }
}

const away: ErrorReply = {
  code: 'unreachable',
  message: 'The server cannot be reached. Nothing is lost; this is tried again.',
}

/**
 * Ask the server.
 * @throws ApiError with the server's words, or status 0 when it is away
 */
export async function api<Reply>(
  path: string,
  method: 'GET' | 'POST' | 'PUT' | 'DELETE' = 'GET',
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Reply> {
  let answer: Response
  try {
    answer = await fetch(path, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(15_000),
      headers: { ...headers, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new ApiError(0, away)
  }
  const text = await answer.text()
  const parsed = parse(text)
  if (!answer.ok)
    throw new ApiError(
      answer.status,
      (parsed as ErrorReply | null) ?? {
        code: `http-${answer.status}`,
        message: 'The server gave no sensible answer. Nothing was lost; try again.',
      },
    )
  return parsed as Reply
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** True when asking again by itself may help: the server is away, has stumbled, or is asked too much. */
export const mayPass = (error: unknown): boolean =>
  error instanceof ApiError && (error.unreachable || error.status >= 500 || error.status === 429)

/** What to tell a person of any failure. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong. Nothing was lost; try again.'
}
