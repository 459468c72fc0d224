import { CommandRequest } from '#shared/commands/envelope'
import { asking, readChecked } from '../services/request'
import { takeCommand } from '../services/take-command'

export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await takeCommand(room, person, await readChecked(event, CommandRequest))
})
