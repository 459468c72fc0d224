import { asking } from '../../services/session'

/** A kept picture. Its name is the hash of what is in it, so it may be kept by the browser for good. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const picture = await room.pictures.read(getRouterParam(event, 'id') ?? '')
  setResponseHeaders(event, { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' })
  return picture
})
