import { Parts } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { type PastEdition, PastEditionRow } from '../../../plan/past-editions'
import { studio } from '../stream'

const pastEditionsAdded = defineEvent(studio, 'past-editions-added', (state, data: { editions: PastEdition[] }) =>
  changed(state, { pastEditions: [...state.pastEditions, ...data.editions] }),
)

const sameTotals = (a: PastEditionRow, b: PastEditionRow) =>
  a.title === b.title && a.method === b.method && a.passed === b.passed && a.rejected === b.rejected

class PastEditions {
  static readonly sample: PastEditions = {
    editions: [{ title: 'Old Pier', method: 'single', work: 'press', passed: 96, rejected: 4, finished: 0, lost: 0 }],
  }

  @Parts(() => PastEditionRow, 500) editions!: PastEditionRow[]
}

/** Editions from before the ledger are written into the book, as totals. */
export const addPastEditions = defineAct(studio, 'add-past-editions', PastEditions, staff, {
  events: [pastEditionsAdded],
  rule: ({ studio }, { editions }, context) => {
    if (editions.length === 0)
      return refuse(
        'nothing-given',
        'No edition was given. Type one, or choose a file with at least one good row.',
        'editions',
      )
    const known = editions.find((given) => studio.pastEditions.some((past) => sameTotals(past, given)))
    if (known)
      return refuse(
        'already-there',
        `“${known.title}” with the same totals is in the book already. Take it out of what you add.`,
        'editions',
      )
    return [
      pastEditionsAdded.on(studio, {
        editions: editions.map((edition, i) => ({ ...edition, id: `${context.commandId}-${i + 1}` })),
      }),
    ]
  },
})
