import type { ErrorReply, PictureReply } from '#shared/replies/replies'
import { ApiError } from './api'

/** Largest file the server takes; asked here first, so that nobody waits for a refusal. */
const mostBytes = 25 * 1024 * 1024

/**
 * Hand in a picture file.
 * @throws ApiError with the words to show
 */
export async function sendPicture(file: File): Promise<PictureReply> {
  if (file.size > mostBytes)
    throw new ApiError(413, {
      code: 'too-large',
      field: 'picture',
      message: `A picture may have 25 MB; this one has ${Math.ceil(file.size / 1024 / 1024)} MB. Make it smaller and choose it again. Nothing was lost.`,
    })
  let answer: Response
  try {
    answer = await fetch('/api/pictures', {
      method: 'POST',
      credentials: 'same-origin',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
      signal: AbortSignal.timeout(60_000),
    })
  } catch {
    throw new ApiError(0, {
      code: 'unreachable',
      message: 'The server cannot be reached, so the picture is not kept yet. Choose it again when it is back.',
    })
  }
  const reply = (await answer.json().catch(() => null)) as PictureReply | ErrorReply | null
  if (!answer.ok || !reply)
    throw new ApiError(
      answer.status,
      (reply as ErrorReply | null) ?? {
        code: `http-${answer.status}`,
        message: 'The server gave no sensible answer. Choose the picture again.',
      },
    )
  return reply as PictureReply
}
