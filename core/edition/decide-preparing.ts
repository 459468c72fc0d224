import { blockFault } from '../block/block'
import { type Decision, refuse } from '../ledger/envelope'
import { pieceFault } from '../paper/piece'
import { noEdges } from '../paper/tear-plan'
import { registerFault } from '../register/registration'
import { inHand, lotEvent } from '../stores/lot'
import { editionEvent, only, type EditionStates, type Rules } from './rule'

type Preparing =
  'plan-piece' | 'tear' | 'prepare-block' | 'change-block' | 'record-block-state' | 'find-exposure' | 'draw-register'

const mostSheets = 5000
const mostBlocks = 40

function noSuchBlock(): Decision {
  return refuse(
    'unknown-block',
    'That block is not part of this edition. Reload the page and choose a block from the list.',
    'blockId',
  )
}

const hasBlock = ({ edition }: EditionStates, blockId: string) => edition.blocks.some((block) => block.id === blockId)

/** Paper and blocks, before ink is opened. */
export const preparingRules: Rules<Preparing> = {
  'plan-piece': ({ edition }, data) => {
    const fault = pieceFault(data.piece)
    return fault ? refuse('piece-unfit', fault.message, fault.field) : only(edition, 'piece-planned', data)
  },

  tear: ({ edition, lot, offcutLots = [] }, data) => {
    if (!lot || lot.name === '')
      return refuse('unknown-lot', 'That paper lot is not here. Add it first, or choose another.', 'lotId')
    const pieces = data.count + data.wrong
    if (pieces < 1) return refuse('count-range', 'Say how many pieces were torn, 1 or more.', 'count')
    if (data.wrong > 0 && data.reason.trim() === '')
      return refuse(
        'reason-missing',
        `${data.wrong} were torn wrong: say how, so that it need not happen again.`,
        'reason',
      )
    if (edition.sheets.length + pieces > mostSheets)
      return refuse(
        'too-many-sheets',
        `An edition holds at most ${mostSheets} sheets; this would make ${edition.sheets.length + pieces}.`,
        'count',
      )
    if (data.lotSheets < 1)
      return refuse('lot-sheets-range', 'Say how many large sheets were used, 1 or more.', 'lotSheets')
    if (data.lotSheets > pieces)
      return refuse(
        'lot-sheets-range',
        `${data.lotSheets} large sheets cannot give only ${pieces} pieces. Count again.`,
        'lotSheets',
      )
    const ration = lot.rations.find((known) => known.id === data.rationId)
    if (data.rationId !== null && !ration)
      return refuse('unknown-ration', 'That paper was not given out from this lot. Choose again.', 'rationId')
    if (ration && data.lotSheets > inHand(ration)) {
      return refuse(
        'more-than-in-hand',
        `${inHand(ration)} sheets of ${lot.name} are in the person’s hands; ${data.lotSheets} were torn. Give out more first, or tear from the shelf.`,
        'lotSheets',
      )
    }
    if (offcutLots.some((offcuts) => offcuts.name !== ''))
      return refuse(
        'already-there',
        'Those offcuts are in the store already. Reload the page and look at the paper table.',
        'offcuts',
      )
    const first = edition.sheets.length + data.count + 1
    return {
      events: [
        lotEvent(lot.stream, 'lot-torn', {
          editionStream: edition.stream,
          sheets: data.lotSheets,
          pieces,
          rationId: data.rationId,
        }),
        editionEvent(edition, 'sheets-torn', {
          lotId: data.lotId,
          lotName: lot.name,
          lotSheets: data.lotSheets,
          count: pieces,
          pricePerLotSheet: lot.price,
          width: data.width,
          height: data.height,
        }),
        ...Array.from({ length: data.wrong }, (_, i) =>
          editionEvent(edition, 'sheet-spoiled', {
            sheetId: first + i,
            fault: 'handling',
            reason: `torn wrong: ${data.reason.trim()}`,
          }),
        ),
        ...data.offcuts.map((offcut, i) =>
          lotEvent(offcutLots[i]!.stream, 'lot-added', {
            maker: lot.maker,
            name: `${lot.name}, offcuts`,
            width: offcut.width,
            height: offcut.height,
            weight: lot.weight,
            price: 0,
            use: 'proof',
            grain: 'unknown',
            betterSide: lot.betterSide,
            deckles: noEdges,
            damp: lot.damp,
            keptAt: lot.keptAt,
            sheets: offcut.count,
          }),
        ),
      ],
    }
  },

  'prepare-block': ({ edition }, data, context) => {
    if (edition.blocks.length >= mostBlocks)
      return refuse('too-many-blocks', `An edition takes at most ${mostBlocks} blocks.`)
    const fault = blockFault(data.block)
    return fault
      ? refuse('block-unfit', fault.message, fault.field)
      : only(edition, 'block-prepared', { blockId: context.commandId, block: data.block })
  },

  'change-block': (states, data) => {
    if (!hasBlock(states, data.blockId)) return noSuchBlock()
    const fault = blockFault(data.block)
    return fault ? refuse('block-unfit', fault.message, fault.field) : only(states.edition, 'block-changed', data)
  },

  'record-block-state': (states, data, context) => {
    if (!hasBlock(states, data.blockId)) return noSuchBlock()
    if (data.name.trim() === '')
      return refuse('name-missing', 'Say what was cut, for instance “second state, sky cleared”.', 'name')
    return only(states.edition, 'block-state-recorded', { ...data, name: data.name.trim(), stateId: context.commandId })
  },

  'find-exposure': (states, data) => {
    if (!hasBlock(states, data.blockId)) return noSuchBlock()
    const { exposure } = data
    if (!(exposure.exposure > 0))
      return refuse('exposure-missing', 'Give the exposure in seconds, above 0.', 'exposure')
    if (exposure.firstHolding !== null && exposure.firstHolding >= exposure.steps.length)
      return refuse('unknown-step', 'The step that holds is not one of those tested.', 'firstHolding')
    return only(states.edition, 'exposure-found', data)
  },

  'draw-register': ({ edition, studio }, data) => {
    if (data.formatId !== null && !studio.seriesFormats.some((format) => format.id === data.formatId))
      return refuse(
        'unknown-format',
        'That series format is not kept here any more. Choose another, or none.',
        'formatId',
      )
    const fault = registerFault(data.register)
    return fault ? refuse('register-unfit', fault.message, fault.field) : only(edition, 'register-drawn', data)
  },
}
