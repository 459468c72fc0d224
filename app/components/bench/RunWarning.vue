<script setup lang="ts">
import type { RankedRemedy } from '#core/finder/finder'
import type { Warning } from '#core/watch/run-watch'

/** What the run is warned of, why in numbers, and what is best tried; it can be told to be quiet, and never takes the hands. */
defineProps<{ warning: Warning; remedy: RankedRemedy | null; finder: string; mayTry: boolean }>()
const emit = defineEmits<{ tried: [fault: string, remedy: string]; silence: []; fresh: [] }>()
</script>

<template>
  <div class="warning">
    <p role="status">
      {{ warning.words }}
      <template v-if="remedy"
        >Try <strong>{{ remedy.words }}</strong><template v-if="remedy.trials.tried > 0"
          >, which worked {{ remedy.trials.worked }} of {{ remedy.trials.tried }} here</template
        >.&#32;</template
      >
      <NuxtLink v-if="warning.fault" :to="finder">Look closer</NuxtLink>
    </p>
    <div class="answers">
      <button
        v-if="remedy && warning.fault && mayTry"
        type="button"
        @click="emit('tried', warning.fault, remedy.words)"
      >
        Tried it
      </button>
      <button v-if="warning.key === 'ink open' && mayTry" type="button" @click="emit('fresh')">Laid afresh</button>
      <button type="button" @click="emit('silence')">Quiet for this run</button>
    </div>
  </div>
</template>

<style scoped>
.warning {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 24px;
  flex: 1 1 60%;
}
p::first-letter {
  text-transform: uppercase;
}
p {
  color: var(--doubtful);
  flex: 1 1 300px;
  max-width: 62ch;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
button {
  border: 1px solid var(--doubtful);
  padding: 0 18px;
  min-height: 64px;
}
</style>
