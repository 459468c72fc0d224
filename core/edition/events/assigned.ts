import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import type { Assignment } from '../assignment'
import { edition } from '../stream'

/** It is a class's assignment, and these are its terms from now on. */
export const assigned = defineEvent(
  edition,
  'assigned',
  (state, assignment: Assignment) => changed(state, { assignment }),
  [(data) => ({ opens: null, ...data })],
)
