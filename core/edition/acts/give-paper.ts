import { IsInt, Max, Min } from 'class-validator'
import { Id, Unit, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { paperRationed } from '../../stores/lot/events/paper-rationed'
import { paperReleased } from '../../stores/lot/events/paper-released'
import { rationFault } from '../../stores/lot/ration'
import { lot } from '../../stores/lot/stream'
import { paperGate } from '../gates'
import { askAnswered } from '../events/ask-answered'
import { openAsks } from '../sign-offs'
import { edition } from '../stream'
import { isNamed } from '../who'

class Giving {
  static readonly sample: Giving = { lotId: 'l', personId: 'p', sheets: 1, note: 'one was torn' }

  @Id('lot') lotId!: string
  @Id('person') personId!: string
  @IsInt() @Min(1) @Max(1000) @Unit('sheets') sheets!: number
  @Words(300) note!: string
}

/** More good sheets into the hands of somebody who has used up theirs; whoever asked for them is answered by it. */
export const givePaper = defineAct(edition, 'give-paper', Giving, staff, {
  needs: ({ lotId }) => ({ lot: lot.of(lotId) }),
  events: [paperRationed, paperReleased, askAnswered],
  rule: ({ edition, lot }, { personId, sheets, note }, { commandId }) => {
    if (lot.name === '') return refuse('unknown-lot', 'That paper lot is not here. Choose another.', 'lotId')
    if (!isNamed(edition, personId))
      return refuse('unknown-person', 'Say for whom: somebody who prints this edition.', 'personId')
    const asked = openAsks(edition).filter(({ what, by }) => what === 'more paper' && by === personId)
    return (
      paperGate(edition, { personId, role: 'student' }) ??
      rationFault(lot, sheets) ?? [
        paperRationed.on(lot, { rationId: commandId, personId, editionId: streamId(edition.stream), sheets }),
        paperReleased.on(lot, { rationId: commandId, sheets }),
        ...asked.map(({ id }) => askAnswered.on(edition, { askId: id, note, given: true, takenBack: false })),
      ]
    )
  },
})
