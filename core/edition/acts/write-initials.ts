import { definePlainAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { edition } from '../stream'
import { theirs } from '../who'

interface Initials {
  isOn: boolean
}

const initialsWritten = defineEvent(edition, 'initials-written', (state, { isOn }: Initials) =>
  changed(state, { initials: isOn }),
)

/** The artist signs with initials, or with the whole name again. */
export const writeInitials = definePlainAct(edition, 'write-initials', theirs, {
  events: [initialsWritten],
  rule: ({ edition }, data: Initials) =>
    edition.initials === data.isOn
      ? refuse('as-it-is', data.isOn ? 'It is signed with initials already.' : 'It is signed with the name already.')
      : [initialsWritten.on(edition, data)],
})
