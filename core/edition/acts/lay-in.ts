import { IsInt, Max, Min } from 'class-validator'
import { agree, pluralise } from '../../units/pluralise'
import { defineAct, defineEvent } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { type Refused, refuse } from '../../ground/refusal'
import { Id, OrNull, SheetIds } from '../../ground/shape'
import { anyone } from '../../ground/who'
import { laidIn } from '../../stores/rack/events/laid-in'
import { mostSlots } from '../../stores/rack/description'
import { freeSlots, type RackState } from '../../stores/rack/state'
import { rack } from '../../stores/rack/stream'
import { editSheet } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer, unknownSheet } from '../refusals'
import { pieceOf, type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'

class LayIn {
  static readonly sample: LayIn = { rackId: 'r', layerId: 'l', sheetIds: [1], from: null }

  @Id('rack') rackId!: string
  /** The layer that is to dry. */
  @Id('layer') layerId!: string
  @SheetIds() sheetIds!: number[]
  /** The first slot to use, or null for the first that is free. */
  @OrNull() @IsInt() @Min(1) @Max(mostSlots) from!: number | null
}

interface Racked {
  rackId: string
  rackName: string
  slots: { slot: number; sheetIds: number[] }[]
}

const sheetsRacked = defineEvent(edition, 'sheets-racked', (state, { rackId, rackName, slots }: Racked) =>
  slots
    .flatMap(({ slot, sheetIds }) => sheetIds.map((id) => ({ id, slot })))
    .reduce(
      (racked, { id, slot }) =>
        editSheet(racked, id, (sheet) => ({ ...sheet, rack: { rackId, rackName, slot, isOut: false } })),
      state,
    ),
)

/** A stack is laid into the next free slots of a rack, piece by piece. */
export const layIn = defineAct(edition, 'lay-in', LayIn, anyone, {
  needs: (data) => ({ rack: rack.of(data.rackId) }),
  events: [sheetsRacked, laidIn],
  rule: ({ edition, rack }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    if (rack.name === '') return refuse('unknown-rack', 'That rack is not here. Choose another.', 'rackId')
    const pieces = piecesNamed(edition, data.sheetIds)
    if ('refusal' in pieces) return pieces
    const free = slotsFor(rack, pieces.found.length, data.from)
    if ('refusal' in free) return free
    const ids = pieces.found.map((piece) => piece.map(({ id }) => id))
    const slots = free.slots.map((slot, i) => ({
      slot,
      sheetIds: ids.slice(i * rack.perSlot, (i + 1) * rack.perSlot).flat(),
    }))
    const what = { editionId: streamId(edition.stream), title: edition.title, layerId: layer.id, layerName: layer.name }
    return [
      sheetsRacked.on(edition, { rackId: data.rackId, rackName: rack.name, slots }),
      laidIn.on(rack, { ...what, slots }),
    ]
  },
})

/** The pieces of paper on which the sheets lie, each once; none of them lies in a rack. */
function piecesNamed(edition: EditionState, sheetIds: readonly number[]): { found: Sheet[][] } | Refused {
  if (sheetIds.length === 0) return refuse('no-sheet', 'No sheet waits to be laid in.', 'sheetIds')
  const seen = new Set<number>()
  const found: Sheet[][] = []
  for (const id of sheetIds) {
    const sheet = sheetOf(edition, id)
    if (!sheet) return unknownSheet(id)
    if (seen.has(id)) continue
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${id} has been cut in two; lay in its parts.`, 'sheetIds')
    const piece = pieceOf(edition, sheet)
    const lying = piece.find(({ rack }) => rack && !rack.isOut)
    if (lying)
      return refuse(
        'lies-already',
        `Sheet ${lying.id} lies in slot ${lying.rack!.slot} of ${lying.rack!.rackName}. Take it out there first.`,
        'sheetIds',
      )
    for (const one of piece) seen.add(one.id)
    found.push(piece)
  }
  return { found }
}

function slotsFor(rack: RackState, pieces: number, from: number | null): { slots: number[] } | Refused {
  const needed = Math.ceil(pieces / rack.perSlot)
  const lain = rack.lain.find(({ slot }) => slot === from)
  if (lain)
    return refuse(
      'slot-taken',
      `Slot ${lain.slot} of ${rack.name} holds ${lain.sheetIds.length === 1 ? 'a sheet' : `${lain.sheetIds.length} sheets`} of ${lain.title}. Take it out, or begin at another slot.`,
      'from',
    )
  const free = freeSlots(rack).filter((slot) => slot >= (from ?? 1))
  if (free.length < needed)
    return refuse(
      'rack-full',
      `${rack.name} has ${pluralise(free.length, 'free slot')}${from === null ? '' : ` from ${from} on`}; ${pluralise(pieces, 'piece')} ${agree(pieces, 'needs', 'need')} ${needed}. Take something out, or use another.`,
      'from',
    )
  return { slots: free.slice(0, needed) }
}
