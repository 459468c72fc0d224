import { defineAct, defineEvent } from '../../../ground/act'
import { doerOf, whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { printers } from '../../../ground/who'
import { noScrews } from '../fault'
import { ZeroFound } from '../state'
import { press } from '../stream'

const zeroFound = defineEvent(press, 'zero-found', (state, data: ZeroFound, event) =>
  changed(state, { zero: { ...data, ...whenOf(event), ...doerOf(event) } }),
)

/** Both screws were brought down until they just touched, on what lay on the bed. */
export const findZero = defineAct(press, 'find-zero', ZeroFound, printers, {
  events: [zeroFound],
  rule: ({ press }, data) => {
    if (press.divisions === 0) return noScrews(press.name)
    if (!(data.on.reduce((sum, { thickness }) => sum + thickness, 0) > 0))
      return refuse(
        'bare-bed',
        'Lay something on the bed and say how thick it is: a roller is never brought down onto the bare bed.',
        'on',
      )
    if (Math.max(data.left, data.right) >= press.divisions)
      return refuse(
        'no-such-mark',
        `A turn of ${press.name} has ${press.divisions} divisions, 0 to ${press.divisions - 1}.`,
        'left',
      )
    return [zeroFound.on(press, data)]
  },
})
