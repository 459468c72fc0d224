import type { EditionState } from '#core/edition/state'
import { type LedgerEvent, type SentEvent, streamKind } from '#core/ground/envelope'
import { actOf } from '#core/house/acts'
import { sentEvent, shareOf } from '#core/house/who-sees'
import { type Card, readCard } from '#core/ink/draw-down'
import { requestOf } from '#shared/commands/requests'
import type { CommandRequest } from '#shared/commands/envelope'
import { check } from '#shared/check'
import type { CommandReply } from '#shared/replies/replies'
import type { Pressroom } from './pressroom'
import { failure } from './failure'
import { giverOf, type Sender } from './giver'
import type { Person } from './people'
import { picturesIn } from './pictures-in'
import { viewerOf } from './viewer'

/** Refusals of somebody who reached for what is another’s. */
const noAccess: ReadonlySet<string> = new Set(['not-allowed', 'not-theirs'])

/**
 * One command from a browser: shape checked, who did it settled, put before the ledger.
 * @throws a failure that says what to do; nothing was stored then
 */
export async function takeCommand(room: Pressroom, sender: Sender, request: CommandRequest): Promise<CommandReply> {
  const checked = checkedData(request)
  if ('refusal' in checked) throw failure(checked.refusal)
  const { card } = checked.value as { card?: Card | null }
  if (picturesIn(checked.value).some((id) => !room.pictures.has(id)))
    throw failure({
      code: 'unknown-picture',
      field: 'pictureId',
      message: 'That picture is not here yet. Hand it in again, then record the state.',
    })
  // Spectra are no business of the browser's own foresight, so a draw-down is read here.
  const drawDown = card ? readCard(card) : null
  if (drawDown && 'trouble' in drawDown) throw failure({ code: 'tub-unfit', field: 'card', message: drawDown.message })
  const { asksAgain } = actOf.get(request.type)!
  const { person, station, occurredAt, claimedAt, claimed } = giverOf(room, sender, request, Date.now())
  const answer = await room.ledger.submit({
    command: {
      type: request.type,
      stream: request.stream,
      // As it was sent: checked, and plain.
      data: request.data,
      expectedSeq: request.expectedSeq,
    },
    context: {
      personId: person.id,
      role: person.role,
      commandId: request.commandId,
      occurredAt,
      claimed,
      isSure: !asksAgain || !sender.signIn || room.signIns.isSure(sender.signIn),
    },
    device: station,
    via: person.id === sender.person.id ? null : sender.person.id,
    said: { by: request.by, at: request.occurredAt },
    claimedAt,
    recordedAt: sender.signIn ? undefined : request.occurredAt,
  })
  switch (answer.status) {
    case 'stored':
      return await withHandOut(room, station, request, {
        ...answer.reply,
        events: answer.events.flatMap((event) => sentTo(room, sender.person, event) ?? []),
      })
    case 'conflict':
      throw failure({
        code: 'reused-id',
        message: 'This command id was used for something else already. Reload the page.',
      })
    default:
      if (noAccess.has(answer.refusal.code))
        room.log.note({ kind: 'not allowed', person: person.id, device: station, detail: request.type })
      throw failure(answer.refusal)
  }
}

/** An event as whoever hands the command in sees it: they read the answer, whoever gave the tap. */
function sentTo(room: Pressroom, person: Person, event: LedgerEvent): SentEvent | null {
  return sentEvent(event, shareOf(viewerOf(person), event.stream, room.owners.isOwn))
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

/** Sheets are kept for stations of a device we named, and for those alone. */
async function withHandOut(
  room: Pressroom,
  station: string,
  request: CommandRequest,
  reply: CommandReply,
): Promise<CommandReply> {
  if (request.type !== 'pull') return reply
  const state = await room.ledger.read<EditionState>(request.stream)
  return {
    ...reply,
    handOut: room.handOuts.next(state, (request.data as { layerId: string }).layerId, station, Date.now()),
  }
}
