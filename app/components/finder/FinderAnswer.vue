<script setup lang="ts">
import { type RankedRemedy, type Finding } from '#core/finder/finder'
import { percent } from '~/drawings/words'

/** Causes in order with their reasons, and one thing to try first; the rest behind it. */
const props = defineProps<{ finding: Finding; mayTry: boolean; busy?: boolean }>()
const emit = defineEmits<{ tried: [remedy: string] }>()
const first = computed(() => props.finding.remedies[0])
const counts = ({ trials }: RankedRemedy) =>
  trials.tried === 0 ? 'not tried here yet' : `worked ${trials.worked} of ${trials.tried} here`
</script>

<template>
  <div v-if="first" class="finding">
    <div class="first">
      <p class="soft">Try first</p>
      <p class="remedy">{{ first.words }}</p>
      <p class="soft">against {{ first.cause }}; {{ counts(first) }}</p>
      <VBtn v-if="mayTry" :loading="busy" @click="emit('tried', first.words)">Tried it</VBtn>
    </div>
    <div>
      <p class="soft">Likely causes</p>
      <ol>
        <li v-for="cause in finding.causes" :key="cause.words">
          <span class="bar" :style="{ '--share': cause.weight }" aria-hidden="true" />
          {{ cause.words }}
          <span class="soft"
            >{{ percent(cause.weight)
            }}{{ cause.factors.length ? `: ${cause.factors.map(({ why }) => why).join('; ')}` : '' }}</span
          >
        </li>
      </ol>
    </div>
    <details v-if="finding.remedies.length > 1">
      <summary>If that does not help</summary>
      <ul class="lines">
        <li v-for="remedy in finding.remedies.slice(1)" :key="remedy.words" class="other">
          <span
            >{{ remedy.words }} <span class="soft">against {{ remedy.cause }}; {{ counts(remedy) }}</span></span
          >
          <button
            v-if="mayTry"
            type="button"
            :aria-label="`Tried: ${remedy.words}`"
            @click="emit('tried', remedy.words)"
          >
            Tried it
          </button>
        </li>
      </ul>
    </details>
  </div>
  <p v-else class="soft">
    Nothing is tried against this one: the sheet is a reject, and the next is handled with more care.
  </p>
</template>

<style scoped>
.finding {
  display: grid;
  gap: 18px;
}
.first {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.remedy {
  font-family: var(--serif);
  font-size: 1.7rem;
  font-weight: 600;
  line-height: 1.2;
}
ol {
  display: grid;
  gap: 6px;
}
ol li {
  display: grid;
  grid-template-columns: 80px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
.bar {
  height: 10px;
  background: linear-gradient(to right, var(--green) calc(var(--share) * 100%), var(--rule) 0);
}
.other {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  align-items: center;
}
.other button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 44px;
}
</style>
