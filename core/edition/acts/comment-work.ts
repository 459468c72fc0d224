import { definePlainAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { edition } from '../stream'

interface Commented {
  words: string
}

const workCommented = defineEvent(edition, 'work-commented', (state, { words }: Commented, event) =>
  changed(state, { comments: appended(state.comments, { words, ...whenOf(event), ...doerOf(event) }) }),
)

/** An instructor writes what they see in the work. */
export const commentWork = definePlainAct(edition, 'comment-work', staff, {
  late: true,
  events: [workCommented],
  rule: ({ edition }, { words }: Commented) => {
    if (edition.handedIn === null) return refuse('not-handed-in', 'It has not been handed in yet.')
    return words.trim() === ''
      ? refuse('words-missing', 'Write what you see in the work.', 'words')
      : [workCommented.on(edition, { words: words.trim() })]
  },
})
