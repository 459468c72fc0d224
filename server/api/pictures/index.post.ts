import { failure } from '../../services/failure'
import { mostPictureBytes } from '../../services/pictures'
import { asking } from '../../services/session'

/** A picture as the bytes of its file. Its size is known before it is read, and never more than we take. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const length = Number(getRequestHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= mostPictureBytes)) {
    throw failure({
      code: 'too-large',
      field: 'picture',
      message: `A picture may have 25 MB; ${Number.isNaN(length) ? 'one of unknown size' : `${Math.ceil(length / 1024 / 1024)} MB`} came. Make it smaller and hand it in again. Nothing was lost.`,
    })
  }
  return await room.pictures.from(person.id, async () => {
    const given = await readRawBody(event, false)
    if (given && given.length > 0) return await room.pictures.keep(given)
    throw failure({
      code: 'no-picture',
      field: 'picture',
      message: 'The file is empty. Choose a picture. Nothing was lost.',
    })
  })
})
