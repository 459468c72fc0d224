import { CommandRequest } from '#shared/commands/envelope'
import { readChecked } from '../services/request'
import { asking } from '../services/session'
import { takeCommand } from '../services/take-command'

export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await asking(event)
  const request = await readChecked(event, CommandRequest)
  room.signIns.touch(signIn)
  return await takeCommand(room, { person, signIn }, request)
})
