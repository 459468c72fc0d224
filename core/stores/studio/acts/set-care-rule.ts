import { CareRule } from '../../../care/cards'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { staff } from '../../../ground/who'
import { studio } from '../stream'

const careRuleSet = defineEvent(studio, 'care-rule-set', (state, data: CareRule) =>
  changed(state, {
    careRules: [
      ...state.careRules.filter(({ key }) => key !== data.key),
      // No words take the rule away.
      ...(data.rule.trim() === '' ? [] : [data]),
    ],
  }),
)

/** The studio's own rule beside a care card; it comes before what is usual. */
export const setCareRule = defineAct(studio, 'set-care-rule', CareRule, staff, {
  events: [careRuleSet],
  rule: ({ studio }, data) => [careRuleSet.on(studio, data)],
})
