import { Id, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import { askAnswered } from '../events/ask-answered'
import { openAsks } from '../sign-offs'
import { edition } from '../stream'
import { theirs } from '../who'

class Answer {
  static readonly sample: Answer = { askId: 'a', note: 'even out the top edge first' }

  @Id('ask') askId!: string
  @Words(300) note!: string
}

/** Staff have been there, or say why not yet; whoever asked may take it back. */
export const answerAsk = defineAct(edition, 'answer-ask', Answer, theirs, {
  events: [askAnswered],
  rule: ({ edition }, data, { role, personId }) => {
    const ask = openAsks(edition).find(({ id }) => id === data.askId)
    if (!ask) return refuse('not-asked', 'That was answered already, or taken back.', 'askId')
    const takenBack = ask.by === personId
    if (!takenBack && !isStaff(role))
      return refuse('not-yours', 'Only an instructor answers this, or whoever asked takes it back.', 'askId')
    if (!takenBack && ask.what !== 'help' && data.note.trim() === '')
      return refuse('note-missing', 'Say what is still wanted, so that they can go on.', 'note')
    return [askAnswered.on(edition, { ...data, given: false, takenBack })]
  },
})
