<script setup lang="ts">
import type { Pull } from '#core/edition/pull'
import { type Grade, grades } from '#core/press/dial-in'

/** Ink of the last pull held against the standard, in one touch; or none. */
const props = defineProps<{ last: Pull }>()
const emit = defineEmits<{ grade: [grade: Grade | null] }>()
const words: Record<Grade, string> = {
  [-2]: 'far too little',
  [-1]: 'little',
  0: 'as the standard',
  1: 'much',
  2: 'far too much',
}
const sign = (grade: Grade) => (grade > 0 ? `+${grade}` : String(grade).replace('-', '−'))
const isGiven = (grade: Grade) => props.last.grade === grade
</script>

<template>
  <div class="grades" role="group" aria-label="Ink against the standard">
    <span class="soft">Ink</span>
    <button
      v-for="(grade, i) in grades"
      :key="grade"
      type="button"
      :aria-pressed="isGiven(grade)"
      :aria-label="`${i + 1}${sign(grade)}: ${words[grade]}`"
      @click="emit('grade', isGiven(grade) ? null : grade)"
    >
      <kbd>{{ i + 1 }}</kbd>{{ sign(grade) }}
    </button>
  </div>
</template>

<style scoped>
.grades {
  display: flex;
  align-items: center;
  gap: 6px;
}
button {
  border: 1px solid var(--rule);
  min-width: 64px;
  min-height: 64px;
  color: var(--ink);
  font-variant-numeric: tabular-nums;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
}
kbd {
  display: block;
  font-family: var(--sans);
  font-size: 0.72rem;
  color: var(--soft);
}
[aria-pressed='true'] kbd {
  color: var(--ground);
}
</style>
