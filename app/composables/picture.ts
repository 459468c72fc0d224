import type { PictureReply } from '#shared/replies/replies'
import { ApiError } from './api'
import { handInBytes } from './hand-in'

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
  return await handInBytes<PictureReply>('/api/pictures', file, {
    within: 60_000,
    away: 'The server cannot be reached, so the picture is not kept yet. Choose it again when it is back.',
  })
}
