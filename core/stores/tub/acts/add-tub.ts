import { definePlainAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { type TubDescription, tubFault } from '../state'
import { tub } from '../stream'

type Added = TubDescription & { milligrams: number }

const tubAdded = defineEvent(tub, 'tub-added', (state, { milligrams, ...description }: Added) =>
  changed(state, { ...description, left: milligrams }),
)

/** Ink comes into the store. */
export const addTub = definePlainAct(tub, 'add-tub', printers, {
  begins: true,
  events: [tubAdded],
  rule: ({ tub }, data: Added) => {
    const fault = tubFault(data)
    return fault ? refuseFault('tub-unfit', fault) : [tubAdded.on(tub, { ...data, name: data.name.trim() })]
  },
})
