import type { EditionState } from '#core/edition/state'
import { streamKind } from '#core/ground/envelope'
import { actOf } from '#core/house/acts'
import { type Card, readCard } from '#core/ink/draw-down'
import { requestOf } from '#shared/commands/requests'
import type { CommandRequest } from '#shared/commands/envelope'
import { check } from '#shared/check'
import type { CommandReply } from '#shared/replies/replies'
import type { Person } from './people'
import type { Pressroom } from './pressroom'
import { failure } from './failure'

/**
 * One command from a browser: shape checked, who did it settled, put before the ledger.
 * @throws a failure that says what to do; nothing was stored then
 */
export async function takeCommand(room: Pressroom, person: Person, request: CommandRequest): Promise<CommandReply> {
  const checked = checkedData(request)
  if ('refusal' in checked) throw failure(checked.refusal)
  const {
    pictureId: own,
    reading,
    card,
  } = checked.value as { pictureId?: string | null; reading?: { pictureId: string } | null; card?: Card | null }
  const pictureId = own ?? reading?.pictureId
  if (pictureId && !room.pictures.has(pictureId))
    throw failure({
      code: 'unknown-picture',
      field: 'pictureId',
      message: 'That picture is not here yet. Hand it in again, then record the state.',
    })
  // Spectra are no business of the browser's own foresight, so a draw-down is read here.
  const drawDown = card ? readCard(card) : null
  if (drawDown && 'trouble' in drawDown) throw failure({ code: 'tub-unfit', field: 'card', message: drawDown.message })
  const by = request.by === person.id ? person : room.people.get(request.by)
  if (!by)
    throw failure({ code: 'invalid', field: 'by', message: 'The person named is not in the studio. Sign in again.' })
  const answer = await room.ledger.submit({
    command: {
      type: request.type,
      stream: request.stream,
      data: JSON.parse(JSON.stringify(checked.value)),
      expectedSeq: request.expectedSeq,
    },
    // What may be done follows from who hands it in, never from who is named.
    context: { personId: by.id, role: person.role, commandId: request.commandId, occurredAt: request.occurredAt },
    device: request.device,
    via: by.id === person.id ? null : person.id,
  })
  switch (answer.status) {
    case 'stored':
      return await withHandOut(room, request, { ...answer.reply, events: answer.events })
    case 'conflict':
      throw failure({
        code: 'reused-id',
        message: 'This command id was used for something else already. Reload the page.',
      })
    default:
      throw failure(answer.refusal)
  }
}

/** What the act is given, when there is such an act on a stream of that kind and its data is in shape. */
function checkedData({ type, stream, data }: CommandRequest) {
  const shape = requestOf.get(type)
  const kind = streamKind(stream)
  if (!shape || actOf.get(type)?.stream.kind !== kind)
    throw failure({
      code: 'invalid',
      field: 'type',
      message: `“${type}” is not something that can be done to ${kind}. Reload the page, then do it again.`,
    })
  return check(shape, data)
}

async function withHandOut(room: Pressroom, request: CommandRequest, reply: CommandReply): Promise<CommandReply> {
  if (request.type !== 'pull') return reply
  const state = await room.ledger.read<EditionState>(request.stream)
  return {
    ...reply,
    handOut: room.handOuts.next(state, (request.data as { layerId: string }).layerId, request.device, Date.now()),
  }
}
