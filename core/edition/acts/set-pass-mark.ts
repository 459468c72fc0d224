import { IsIn } from 'class-validator'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { type PassMark, passMarks } from '../../print/pass-mark'
import { edition } from '../stream'
import { theirs } from '../who'

class Marked {
  static readonly sample: Marked = { passMark: 'for class' }

  @IsIn(passMarks) passMark!: PassMark
}

const passMarkSet = defineEvent(edition, 'pass-mark-set', (state, { passMark }: Marked) => changed(state, { passMark }))

/** What the prints are for, and so how strictly they are looked at; what was curated before keeps its own mark. */
export const setPassMark = defineAct(edition, 'set-pass-mark', Marked, theirs, {
  events: [passMarkSet],
  rule: ({ edition }, data) => {
    if (!passMarks.includes(data.passMark))
      return refuse('unknown-pass-mark', 'Choose what the prints are for: for sale, or for class.', 'passMark')
    return edition.passMark === data.passMark
      ? refuse('as-it-is', `The prints are looked at ${data.passMark} already.`, 'passMark')
      : [passMarkSet.on(edition, data)]
  },
})
