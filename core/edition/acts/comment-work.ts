import { Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { edition } from '../stream'

class Commented {
  static readonly sample: Commented = { words: 'a clean set' }

  @Words(4000) words!: string
}

const workCommented = defineEvent(edition, 'work-commented', (state, { words }: Commented, event) =>
  changed(state, { comments: appended(state.comments, { words, ...whenOf(event), ...doerOf(event) }) }),
)

/** An instructor writes what they see in the work. */
export const commentWork = defineAct(edition, 'comment-work', Commented, staff, {
  late: true,
  events: [workCommented],
  rule: ({ edition }, { words }) => {
    if (edition.handedIn === null) return refuse('not-handed-in', 'It has not been handed in yet.')
    return words.trim() === ''
      ? refuse('words-missing', 'Write what you see in the work.', 'words')
      : [workCommented.on(edition, { words: words.trim() })]
  },
})
