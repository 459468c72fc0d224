<script setup lang="ts">
import { agree, pluralise } from '#core/units/pluralise'
import type { EditionPlan } from '#core/plan/plan'
import type { PlanAnswers } from '~/composables/plan-answers'
import { chanceWords, percent } from '~/drawings/words'

/** What one came for: the chance, the sheets for each confidence to choose from, and what a good print costs. */
const plan = defineModel<EditionPlan>({ required: true })
const props = defineProps<{ answers: PlanAnswers; disabled?: boolean }>()
const edition = useEdition()
const { wanted, start, usual, chance, found, unknown, cost, spoilage, proofsTaken } = props.answers
const isReachable = computed(() => found.value.answers.some(({ sheets }) => sheets !== null))
const money = (amount: number) => `${edition.studio.currency} ${amount.toFixed(2)}`
const choose = (confidence: number, sheets: number) => {
  plan.value.confidence = confidence
  plan.value.start = sheets
}
</script>

<template>
  <div>
    <dl class="answers" aria-label="Sheets to start">
      <div>
        <dd class="chance">
          {{ start < wanted ? '–' : chanceWords(chance.chance, chance.isRough) }}
        </dd>
        <dt class="whole">chance of {{ wanted }} good from {{ start }}</dt>
      </div>
      <div v-for="{ confidence, sheets } in found.answers" :key="confidence">
        <dd>
          <button
            type="button"
            :disabled="disabled || sheets === null"
            :aria-pressed="plan.start !== null && plan.start === sheets"
            :aria-label="`Start ${sheets === null ? 'more than 600 sheets' : pluralise(sheets, 'sheet')} for ${confidence * 100} %`"
            @click="choose(confidence, sheets!)"
          >
            {{ sheets ?? '> 600' }}
          </button>
        </dd>
        <dt>sheets for {{ confidence * 100 }} %</dt>
      </div>
      <div class="cost">
        <dd v-if="unknown.length === 0">{{ money(cost) }}</dd>
        <dd v-else class="unknown">not known yet</dd>
        <dt v-if="unknown.length === 0">a good print, {{ money(spoilage) }} of it spoilage</dt>
        <dt v-else>what a good print costs: it wants {{ unknown.join(', and ') }}</dt>
      </div>
    </dl>
    <p v-if="!isReachable" class="trouble">
      More than 600 sheets would be needed. Want fewer prints, or find out why so many are lost.
    </p>
    <p v-else class="told soft">
      <template v-if="plan.start === null && usual !== null"
        >{{ usual }} is the room’s usual {{ percent(edition.studio.confidence) }}: Paper tears as many, until you
        choose.</template
      >
      <template v-if="proofsTaken > 0"
        >{{ proofsTaken }} of them {{ agree(proofsTaken, 'goes', 'go') }} to proofs of the later layers.</template
      >
      Warm-up pulls are proof paper on top.
    </p>
  </div>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: start;
}
.answers > div {
  display: flex;
  flex-direction: column;
}
dd {
  margin: 0;
  font-family: var(--serif);
  font-size: 2.1rem;
  font-weight: 600;
  line-height: 1.1;
  min-height: 44px;
  display: flex;
  align-items: end;
}
dt {
  font-size: 0.84rem;
  color: var(--soft);
  max-width: 13em;
}
dt.whole {
  white-space: nowrap;
  max-width: none;
}
.chance {
  color: var(--green);
}
.unknown {
  font-size: 1.3rem;
  color: var(--soft);
}
button {
  font: inherit;
  text-align: left;
  box-shadow: inset 0 0 0 transparent;
  min-width: 44px;
  min-height: 44px;
  line-height: inherit;
}
button:hover:not(:disabled) {
  box-shadow: inset 0 -3px 0 var(--rule);
}
button[aria-pressed='true'] {
  box-shadow: inset 0 -3px 0 var(--green);
}
.told {
  margin-top: 6px;
  font-size: 0.88rem;
}
</style>
