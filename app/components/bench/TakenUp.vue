<script setup lang="ts">
import type { EditionState } from '#core/edition/state'
import { ago } from '~/drawings/words'

/** A run is taken up again: what it was printed with comes first, and the first pull is offered as a warm-up. */
defineProps<{ state: EditionState; layerId: string; lastAt: string; routine: string[]; now: number }>()
const emit = defineEmits<{ warmUp: []; goOn: [] }>()
</script>

<template>
  <div class="taken-up">
    <div>
      <p>
        <strong>Last pulled {{ ago(lastAt, now) }}.</strong> Set everything as it was: {{ routine.join(', ') }}. The
        first pull comes out otherwise than the rest.
      </p>
      <StandardPinned :state="state" :layer-id="layerId" />
    </div>
    <div class="answers">
      <button type="button" @click="emit('warmUp')"><kbd>W</kbd>Warm up first</button>
      <button type="button" @click="emit('goOn')">Go on</button>
    </div>
  </div>
</template>

<style scoped>
.taken-up {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
  align-items: center;
}
.taken-up > div:first-child {
  flex: 1 1 320px;
  max-width: 60ch;
}
.answers {
  display: flex;
  gap: 8px;
}
button {
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 18px;
  color: var(--ink);
}
kbd {
  border: 1px solid var(--faint);
  padding: 0 6px;
  margin-right: 8px;
  font-family: var(--sans);
  font-size: 0.72rem;
}
</style>
