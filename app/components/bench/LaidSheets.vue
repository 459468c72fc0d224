<script setup lang="ts">
import type { Pull } from '#core/edition/pull'
import type { Verdict } from '#core/print/verdicts'

/** Which of the sheets that one pull printed it is about: the others are good. */
const props = defineProps<{ last: Pull }>()
const emit = defineEmits<{ judge: [sheetId: number, verdict: Verdict] }>()
/** What was said of the pull as it came, for a sheet that is taken in again. */
const given = ref<Verdict>(props.last.verdict === 'good' ? 'doubtful' : props.last.verdict)
const verdictOf = (id: number) => props.last.apart.find(({ sheetId }) => sheetId === id)?.verdict ?? props.last.verdict
const isMeant = (id: number) => verdictOf(id) !== 'good'
</script>

<template>
  <div class="laid" role="group" aria-label="Which of them">
    <span class="soft">Which of them?</span>
    <button
      v-for="id in last.sheetIds"
      :key="id"
      type="button"
      :aria-pressed="isMeant(id)"
      @click="emit('judge', id, isMeant(id) ? 'good' : given)"
    >
      {{ id }} {{ verdictOf(id) }}
    </button>
  </div>
</template>

<style scoped>
.laid {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  width: 100%;
  margin-bottom: 8px;
}
button {
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 16px;
  color: var(--ink);
  font-family: var(--serif);
  font-variant-numeric: tabular-nums;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
}
</style>
