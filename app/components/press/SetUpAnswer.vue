<script setup lang="ts">
import { changeWords, readingWords, tiltOf } from '#core/press/screws'
import type { ScrewSetting } from '#core/press/stack'
import type { SetUp } from '#core/run/set-up'
import { ago } from '~/drawings/words'

/** What the stack asks of the press: where the screws go, what that is from the last user's block, and how one does it. */
const props = defineProps<{
  answer: SetUp | null
  steps: string[]
  /** What the screws are set to now or will be. */
  screws: { left: ScrewSetting; right: ScrewSetting }
  /** The whole stack, mm. */
  height: number | null
  /** True while nothing was set on the press after this, and nothing is changed here. */
  stands: boolean
}>()
const units = useUnits()
const session = useSession()
const onScrews = computed(() => (props.answer?.kind === 'screws' ? props.answer : null))
const off = computed(() => {
  const mm = onScrews.value?.answer.off ?? 0
  if (Math.abs(mm) < 0.005) return 'to the mark'
  return `${units.thickness(Math.abs(mm))} ${mm < 0 ? 'too close' : 'too open'}, the nearest mark`
})
const change = computed(() => {
  const from = onScrews.value?.change
  if (!from) return null
  const [left, right] = [changeWords(from.left), changeWords(from.right)]
  return { words: left === right ? `both ${left}` : `left ${left}; right ${right}`, use: from.from }
})
const tilt = computed(() => {
  if (!onScrews.value) return ''
  const { screws: made } = onScrews.value
  const height = tiltOf(props.screws.left, props.screws.right, made)
  if (Math.abs(height) < 0.005) return ''
  return `The ${height > 0 ? 'left' : 'right'} end stands ${units.thickness(Math.abs(height))} higher${made.span ? ` over the ${units.length(made.span)} between the screws` : ''}.`
})
</script>

<template>
  <div class="answer">
    <template v-if="onScrews">
      <p class="figure">{{ readingWords(onScrews.answer) }}</p>
      <p class="soft">
        up from zero, {{ off }}<template v-if="height !== null">; the stack is {{ units.thickness(height) }}</template>
      </p>
      <p v-if="change">
        <strong>{{ stands ? 'It stands so' : change.words }}</strong><br />
        <span class="soft"
          ><template v-if="!stands">from {{ change.use.title }}, {{ change.use.layerName }}, </template>set by
          {{ session.nameOf(change.use.by) }} {{ ago(change.use.at) }}</span
        >
      </p>
      <p v-if="tilt" class="warn">{{ tilt }}</p>
      <ol class="steps">
        <li v-for="step in steps" :key="step">{{ step }}</li>
      </ol>
    </template>
    <template v-else-if="answer?.kind === 'underlay'">
      <p class="figure">{{ units.thickness(answer.underlay) }}</p>
      <p class="soft">go under the block</p>
      <p v-if="Math.abs(answer.missing) >= 0.005">
        {{ units.thickness(Math.abs(answer.missing)) }} {{ answer.missing > 0 ? 'are missing' : 'are too much' }} in the
        packing.
      </p>
      <p v-else>The packing makes it up.</p>
    </template>
    <p v-else-if="answer?.kind === 'by feel'">
      This press is set by its packing and by feel. Proofs tell whether a card more or less is wanted.
    </p>
    <p v-else-if="answer?.kind === 'missing'"><span class="soft">Not known yet.</span> {{ answer.words }}</p>
    <p v-else-if="answer?.kind === 'refused'" class="trouble" role="alert">{{ answer.words }}</p>
    <p v-else class="soft">Choose the press, and what this stack asks of it is said here.</p>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  gap: 10px;
  align-content: start;
}
.figure {
  font-family: var(--serif);
  font-size: 1.9rem;
  font-weight: 600;
  line-height: 1.1;
}
.warn {
  color: var(--doubtful);
}
.steps {
  display: grid;
  gap: 6px;
  padding-left: 1.3em;
  list-style: decimal;
  font-size: 0.95rem;
}
</style>
