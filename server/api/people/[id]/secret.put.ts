import { SetSecret } from '#shared/commands/people'
import { failure } from '../../../services/failure'
import { readChecked } from '../../../services/request'
import { addressOf, asking } from '../../../services/session'

/** One's own secret, with the one in force; or another's set anew by staff, to be changed at first use. */
export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await asking(event, true)
  const id = getRouterParam(event, 'id') ?? ''
  const { secret, before = '' } = await readChecked(event, SetSecret)
  const isOwn = id === person.id
  if (!isOwn && person.mustChange)
    throw failure({ code: 'change-secret', message: 'Choose a PIN or passphrase of your own first.' })
  if (isOwn) {
    const attempt = { personId: id, address: addressOf(event), knownDevice: signIn.device }
    const known = await room.people.recognise(before, attempt)
    if ('refusal' in known)
      throw failure({
        ...known.refusal,
        code: known.refusal.code === 'wait' ? 'wait' : 'secret-unfit',
        field: 'before',
      })
    if (secret === before)
      throw failure({ code: 'same-secret', field: 'secret', message: 'Choose another than the one in force.' })
  }
  const result = await room.people.setSecret(id, secret, person, signIn)
  if ('refusal' in result) throw failure(result.refusal)
  room.log.note({
    kind: isOwn ? 'secret changed' : 'secret set anew',
    person: id,
    by: isOwn ? null : person.id,
    device: signIn.device,
  })
  return { changed: true }
})
