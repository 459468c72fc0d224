import type { ErrorReply } from '#shared/replies/replies'
import { ApiError } from './api'

interface How {
  headers?: Record<string, string>
  /** Milliseconds after which it is given up; without it the browser waits as long as the file takes. */
  within?: number
  /** What to say when the server is away. */
  away?: string
}

/**
 * Hand in the bytes of a file.
 * @throws ApiError with the words to show
 */
export async function handInBytes<Reply>(
  path: string,
  file: File,
  { headers, within, away = 'The server cannot be reached. Choose the file again when it is back.' }: How = {},
): Promise<Reply> {
  let answer: Response
  try {
    answer = await fetch(path, {
      method: 'POST',
      credentials: 'same-origin',
      headers: { ...headers, 'content-type': 'application/octet-stream' },
      body: file,
      ...(within === undefined ? {} : { signal: AbortSignal.timeout(within) }),
    })
  } catch {
    throw new ApiError(0, { code: 'unreachable', message: away })
  }
  const reply = (await answer.json().catch(() => null)) as Reply | ErrorReply | null
  if (!answer.ok || !reply)
    throw new ApiError(
      answer.status,
      (reply as ErrorReply | null) ?? {
        code: `http-${answer.status}`,
        message: 'The server gave no sensible answer. Choose the file again.',
      },
    )
  return reply as Reply
}
