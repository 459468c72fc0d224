import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { planDefaults } from '../../plan/defaults'
import type { EditionPlan } from '../../plan/plan'
import { edition } from '../stream'

interface Started {
  title: string
  plan: EditionPlan
  /** Null in ledgers from before anyone was named. */
  printerIds: string[] | null
}

/** An edition begins. */
export const editionStarted = defineEvent(
  edition,
  'edition-started',
  (state, { title, plan, printerIds }: Started, event) =>
    changed(state, {
      title,
      plan,
      startedAt: event.occurredAt,
      printerIds: printerIds ?? [],
      printersGrow: printerIds === null,
    }),
  [
    (data) => ({ ...data, plan: { ...planDefaults, ...(data.plan as object) } }),
    (data) => ({ ...data, printerIds: null }),
  ],
)
