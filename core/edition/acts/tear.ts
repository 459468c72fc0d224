import { IsInt, IsNumber, Max, Min } from 'class-validator'
import { Id, OrNull, Parts, Words } from '../../ground/shape'
import { longest } from '../../units/length'
import { agree, pluralise } from '../../units/pluralise'
import { defineAct, defineEvent } from '../../ground/act'
import { type Context, streamId } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, type Refused, refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import { mostImages } from '../../paper/piece'
import { noEdges } from '../../paper/tear-request'
import { lotAdded } from '../../stores/lot/events/lot-added'
import { lotTorn } from '../../stores/lot/events/lot-torn'
import { inHand, type LotState, type Ration, rationOf } from '../../stores/lot/state'
import { lot } from '../../stores/lot/stream'
import { dayGate, paperGate } from '../gates'
import { sheetSpoiled } from '../events/sheet-spoiled'
import { blankPieces, mostSheets, type Torn } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { isNamed, theirs } from '../who'

class OffcutsKept {
  @Id('lot') lotId!: string
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  @IsInt() @Min(1) @Max(5000) count!: number
}

class Tear {
  static readonly sample: Tear = {
    lotId: 'l',
    lotSheets: 4,
    count: 16,
    images: 1,
    wrong: 0,
    reason: '',
    width: 300,
    height: 230,
    rationId: null,
    offcuts: [{ lotId: 'o', width: 90, height: 80, count: 3 }],
  }

  @Id('lot') lotId!: string
  @IsInt() @Min(1) @Max(5000) lotSheets!: number
  /** Good pieces got. */
  @IsInt() @Min(0) @Max(5000) count!: number
  /** Images that each piece holds. */
  @IsInt() @Min(1) @Max(mostImages) images!: number
  /** Pieces torn wrong: they are sheets too, and spoiled. */
  @IsInt() @Min(0) @Max(500) wrong!: number
  @Words(500) reason!: string
  /** Size of a piece, mm; 0 when it was not said. */
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
  /** The ration it is torn from, or null for the shelf. */
  @OrNull() @Id('ration') rationId!: string | null
  /** Offcuts kept as proof paper, each size as a lot of its own. */
  @Parts(() => OffcutsKept, 12) offcuts!: OffcutsKept[]
}

const sheetsTorn = defineEvent(
  edition,
  'sheets-torn',
  (state, data: Torn) => {
    const blank = blankPieces(state.sheets.length + 1, data.count, data.images, data.lotId, data.lotName)
    return changed(state, {
      sheets: [...state.sheets, ...blank],
      made: state.made + blank.length,
      torn: appended(state.torn, { ...data }),
    })
  },
  [(data) => ({ ...data, width: 0, height: 0 }), (data) => ({ ...data, images: 1 })],
)

const offcutLotIds = ({ offcuts }: Tear) => [...new Set(offcuts.map(({ lotId }) => lotId))]

/** Large sheets of a lot become the edition's sheets; what is torn wrong counts, and offcuts go back to the store. */
export const tear = defineAct(edition, 'tear', Tear, theirs, {
  needs: (data) => ({ lot: lot.of(data.lotId), offcutLots: offcutLotIds(data).map((id) => lot.of(id)) }),
  events: [sheetsTorn, sheetSpoiled, lotTorn, lotAdded],
  rule: ({ edition, lot, offcutLots }, data, asker) => {
    const pieces = data.count + data.wrong
    const { lotSheets, rationId, width, height } = data
    const firstWrong = edition.sheets.length + data.count * data.images + 1
    const reason = `torn wrong: ${data.reason.trim()}`
    const kept = offcutsByLot(data.offcuts)
    return (
      countsFault(edition, lot, data) ??
      dayGate(edition, asker) ??
      (lot.use === 'edition' ? paperGate(edition, asker) : null) ??
      rationFault(edition, lot, data, asker) ??
      offcutsFault(offcutLots, kept) ?? [
        lotTorn.on(lot, { editionStream: edition.stream, sheets: lotSheets, pieces, rationId }),
        sheetsTorn.on(edition, {
          lotId: data.lotId,
          lotName: lot.name,
          lotSheets,
          count: pieces,
          images: data.images,
          pricePerLotSheet: lot.price,
          width,
          height,
        }),
        ...Array.from({ length: data.wrong * data.images }, (_, i) =>
          sheetSpoiled.on(edition, { sheetId: firstWrong + i, fault: 'handling', reason }),
        ),
        ...kept!.map((offcut, i) => lotAdded.on(offcutLots[i]!, offcutLot(lot, offcut))),
      ]
    )
  },
})

function countsFault(edition: EditionState, lot: LotState, data: Tear): Refused | null {
  const pieces = data.count + data.wrong
  if (lot.name === '')
    return refuse('unknown-lot', 'That paper lot is not here. Add it first, or choose another.', 'lotId')
  if (pieces < 1) return refuse('count-range', 'Say how many pieces were torn, 1 or more.', 'count')
  if (data.wrong > 0 && data.reason.trim() === '')
    return reasonMissing(`${data.wrong} were torn wrong: say how, so that it need not happen again.`)
  if (data.images < 1 || data.images > mostImages)
    return refuse('images-range', `A piece holds 1 to ${mostImages} images; ${data.images} was given.`, 'images')
  const sheets = edition.sheets.length + pieces * data.images
  if (sheets > mostSheets)
    return refuse(
      'too-many-sheets',
      `An edition holds at most ${mostSheets} sheets; this would make ${sheets}.`,
      'count',
    )
  if (data.lotSheets < 1)
    return refuse('lot-sheets-range', 'Say how many large sheets were used, 1 or more.', 'lotSheets')
  if (data.lotSheets > pieces)
    return refuse(
      'lot-sheets-range',
      `${pluralise(data.lotSheets, 'large sheet')} cannot give only ${pluralise(pieces, 'piece')}. Count again.`,
      'lotSheets',
    )
  return null
}

function rationFault(
  edition: EditionState,
  lot: LotState,
  { rationId, lotSheets }: Tear,
  asker: Context,
): Refused | null {
  if (rationId === null) return null
  const ration = rationOf(lot, rationId)
  if (!ration) return refuse('unknown-ration', 'That paper was not given out from this lot. Choose again.', 'rationId')
  if (!mayTearFrom(edition, ration, asker))
    return refuse(
      'not-theirs',
      'That paper was given out to somebody else. Tear from your own, or from the shelf.',
      'rationId',
    )
  if (ration.editionId !== undefined && ration.editionId !== streamId(edition.stream) && !isStaff(asker.role))
    return refuse(
      'other-edition',
      'That paper was given out for the edition of a class. Tear it there, or ask staff.',
      'rationId',
    )
  if (lotSheets <= inHand(ration)) return null
  return refuse(
    'more-than-in-hand',
    `${pluralise(inHand(ration), 'sheet')} of ${lot.name} ${agree(inHand(ration), 'is', 'are')} in the person’s hands; ${lotSheets} ${agree(lotSheets, 'was', 'were')} torn. Give out more first, or tear from the shelf.`,
    'lotSheets',
  )
}

/** Paper in somebody's hands is theirs; of a class's group, whose edition it is for, any of the group tears it. */
function mayTearFrom(edition: EditionState, { personId }: Ration, asker: Context): boolean {
  const isGroups = edition.assignment !== null && isNamed(edition, personId)
  return isStaff(asker.role) || personId === asker.personId || isGroups
}

/** Offcuts by the lot they become, those named twice summed; null when one lot would hold two sizes. */
function offcutsByLot(offcuts: readonly OffcutsKept[]): OffcutsKept[] | null {
  const lots = new Map<string, OffcutsKept>()
  for (const offcut of offcuts) {
    const known = lots.get(offcut.lotId)
    if (known && (known.width !== offcut.width || known.height !== offcut.height)) return null
    lots.set(offcut.lotId, { ...offcut, count: offcut.count + (known?.count ?? 0) })
  }
  return [...lots.values()]
}

function offcutsFault(offcutLots: readonly LotState[], kept: readonly OffcutsKept[] | null): Refused | null {
  if (kept === null)
    return refuse('two-sizes', 'Offcuts of two sizes cannot be one lot. Keep each size as a lot of its own.', 'offcuts')
  return offcutLots.every((offcuts) => offcuts.name === '')
    ? null
    : refuse(
        'already-there',
        'Those offcuts are in the store already. Reload the page and look at the paper table.',
        'offcuts',
      )
}

/** Offcuts of one size as a lot of proof paper. */
function offcutLot(lot: LotState, { width, height, count }: OffcutsKept) {
  const { maker, weight, betterSide, damp, keptAt } = lot
  return {
    maker,
    name: `${lot.name}, offcuts`,
    width,
    height,
    weight,
    price: 0,
    use: 'proof' as const,
    grain: 'unknown' as const,
    betterSide,
    deckles: noEdges,
    damp,
    keptAt,
    sheets: count,
  }
}
