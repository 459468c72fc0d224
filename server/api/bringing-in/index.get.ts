import { settingUp } from '../../services/setting-up'

/** How far the file that came has been read, what is wrong with it, and what it holds. */
export default defineEventHandler(async (event) => {
  const { room } = await settingUp(event, getRequestHeader(event, 'x-set-up-token') ?? '')
  return room.bringingIn.reply
})
