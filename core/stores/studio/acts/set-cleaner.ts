import { Cleaner } from '../../../care/cleaning'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { studio } from '../stream'

const cleanerSet = defineEvent(
  studio,
  'cleaner-set',
  (state, data: Cleaner) =>
    changed(state, { cleaners: [...state.cleaners.filter(({ family }) => family !== data.family), data] }),
  [(data) => ({ ...data, isSolvent: false })],
)

/** What an ink family is washed off with here, and for how long it works by its label. */
export const setCleaner = defineAct(studio, 'set-cleaner', Cleaner, staff, {
  events: [cleanerSet],
  rule: ({ studio }, data) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Name the cleaner as its bottle does.', 'name')
      : [cleanerSet.on(studio, data)],
})
