import { ArrayMaxSize, IsArray, IsInt, Max, Min } from 'class-validator'
import { defineAct, defineEvent } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { Id } from '../../ground/shape'
import { anyone } from '../../ground/who'
import { mostSlots } from '../../stores/rack/description'
import { takenOut } from '../../stores/rack/events/taken-out'
import { rack } from '../../stores/rack/stream'
import { editSheet } from '../edit'
import { edition } from '../stream'

class TakeOut {
  static readonly sample: TakeOut = { rackId: 'r', slots: [1] }

  @Id('rack') rackId!: string
  @IsArray()
  @ArrayMaxSize(mostSlots)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(mostSlots, { each: true })
  slots!: number[]
}

interface Unracked {
  rackId: string
  sheetIds: number[]
}

/** Where a sheet lay is remembered, for the order in which the stack comes to the press. */
const sheetsUnracked = defineEvent(edition, 'sheets-unracked', (state, { rackId, sheetIds }: Unracked) =>
  sheetIds.reduce(
    (out, id) =>
      editSheet(out, id, (sheet) =>
        sheet.rack?.rackId === rackId ? { ...sheet, rack: { ...sheet.rack, isOut: true } } : sheet,
      ),
    state,
  ),
)

/** A stack is taken out of its slots; of a closed edition too, for it changes nothing that the record says. */
export const takeOut = defineAct(edition, 'take-out', TakeOut, anyone, {
  late: true,
  needs: (data) => ({ rack: rack.of(data.rackId) }),
  events: [sheetsUnracked, takenOut],
  rule: ({ edition, rack }, data) => {
    const slots = [...new Set(data.slots)]
    if (slots.length === 0) return refuse('no-slot', 'Choose the slots to empty.', 'slots')
    const own = rack.lain.filter(
      ({ slot, editionId }) => slots.includes(slot) && editionId === streamId(edition.stream),
    )
    const gone = slots.find((slot) => !own.some((one) => one.slot === slot))
    if (gone !== undefined)
      return refuse(
        'not-there',
        `Nothing of ${edition.title} lies in slot ${gone} of ${rack.name || 'that rack'} any more. Look at the rack again.`,
        'slots',
      )
    const sheetIds = own.flatMap((one) => one.sheetIds)
    return [sheetsUnracked.on(edition, { rackId: data.rackId, sheetIds }), takenOut.on(rack, { slots })]
  },
})
