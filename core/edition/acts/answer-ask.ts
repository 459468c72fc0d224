import { definePlainAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import { askAnswered } from '../events/ask-answered'
import { openAsks } from '../sign-offs'
import { edition } from '../stream'
import { theirs } from '../who'

interface Answer {
  askId: string
  note: string
}

/** Staff have been there, or say why not yet; whoever asked may take it back. */
export const answerAsk = definePlainAct(edition, 'answer-ask', theirs, {
  events: [askAnswered],
  rule: ({ edition }, data: Answer, { role, personId }) => {
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
