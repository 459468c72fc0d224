import { IsInt, Max, Min } from 'class-validator'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuseFault } from '../../../ground/refusal'
import { Unit } from '../../../ground/shape'
import { printers } from '../../../ground/who'
import { heaviest } from '../../../ink/amount'
import { TubDescription, tubFault } from '../state'
import { tub } from '../stream'

class NewTub extends TubDescription {
  static override readonly sample: NewTub = { ...TubDescription.sample, milligrams: 400_000 }

  @IsInt() @Min(0) @Max(heaviest) @Unit('mg') milligrams!: number
}

const tubAdded = defineEvent(tub, 'tub-added', (state, { milligrams, ...description }: NewTub) =>
  changed(state, { ...description, left: milligrams }),
)

/** Ink comes into the store. */
export const addTub = defineAct(tub, 'add-tub', NewTub, printers, {
  begins: true,
  events: [tubAdded],
  rule: ({ tub }, data) => {
    const fault = tubFault(data)
    return fault ? refuseFault('tub-unfit', fault) : [tubAdded.on(tub, { ...data, name: data.name.trim() })]
  },
})
