import { IsBoolean } from 'class-validator'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { edition } from '../stream'
import { theirs } from '../who'

class Initials {
  static readonly sample: Initials = { isOn: true }

  @IsBoolean() isOn!: boolean
}

const initialsWritten = defineEvent(edition, 'initials-written', (state, { isOn }: Initials) =>
  changed(state, { initials: isOn }),
)

/** The artist signs with initials, or with the whole name again. */
export const writeInitials = defineAct(edition, 'write-initials', Initials, theirs, {
  events: [initialsWritten],
  rule: ({ edition }, data) =>
    edition.initials === data.isOn
      ? refuse('as-it-is', data.isOn ? 'It is signed with initials already.' : 'It is signed with the name already.')
      : [initialsWritten.on(edition, data)],
})
