<script setup lang="ts">
import { agree, pluralise } from '#core/units/pluralise'
import { batchesOf, sheetLaidOut } from '#core/edition/finishing'
import { finishingStanding } from '#core/run/finishing-left'
import { stepsOf } from '#core/finish/plan'
import { formatDuration, listed } from '~/drawings/words'

/** After the press: colours by hand in batches, flattening, trimming, the chop; as a grid that shows what is left. */
const edition = useEdition()
const state = computed(() => edition.state!)
const steps = computed(() => stepsOf(state.value.finishing))
const batches = computed(() => batchesOf(state.value))
const standing = computed(() => finishingStanding(state.value))
const disabled = computed(() => !!state.value.closedAt || !edition.isTheirs)
const answer = computed(() => {
  const { finished, of, minutesLeft, unknown } = standing.value
  if (of === 0) return 'No print carries every layer yet.'
  if (finished === of) return of === 1 ? 'The print is finished.' : `All ${of} prints are finished.`
  const left = minutesLeft > 0 ? `: ${formatDuration(minutesLeft)} still` : ''
  const beside = unknown.length > 0 && unknown.length < steps.value.length ? `, and ${listed(unknown)}` : ''
  return `${finished} of ${pluralise(of, 'print')} ${agree(finished, 'is', 'are')} finished${left}${minutesLeft > 0 ? beside : ''}.`
})
</script>

<template>
  <div>
    <section class="part">
      <TeachStep v-if="steps.length === 0"
        ><span class="soft">Say below what is done, and the grid is drawn here.</span></TeachStep
      >
      <template v-else>
        <p class="spoken">{{ answer }}</p>
        <FinishGrid :steps="standing.steps" :batches="batches" :disabled="disabled" />
      </template>
    </section>
    <section class="part" aria-label="What is done after the press">
      <div class="part-head"><h2>What is done</h2></div>
      <FinishPlan :laid="sheetLaidOut(state)" :disabled="disabled" />
    </section>
    <section v-if="!disabled && batches.length > 0" class="part" aria-label="Lost after the press">
      <SharedPaper />
      <SpoilSheet />
    </section>
  </div>
</template>
