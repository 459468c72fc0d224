<script setup lang="ts">
import { faults } from '#core/print/faults'

/** The faults to name after a doubtful or rejected pull: this room's usual ones first, by number key. */
const props = defineProps<{ chosen: string[]; usual: string[] }>()
const emit = defineEmits<{ name: [key: string]; done: [] }>()
const ordered = computed(() => [...faults].sort((a, b) => rank(a.key) - rank(b.key)))
const rank = (key: string) =>
  props.usual.includes(key) ? props.usual.indexOf(key) : 100 + faults.findIndex((fault) => fault.key === key)
defineExpose({ ordered })
</script>

<template>
  <div class="faults" role="group" aria-label="Name the fault">
    <p>What was it? One touch, or go on pulling.</p>
    <div class="choices">
      <button
        v-for="(fault, i) in ordered"
        :key="fault.key"
        type="button"
        :aria-pressed="chosen.includes(fault.key)"
        :title="fault.seen"
        @click="emit('name', fault.key)"
      >
        <kbd v-if="i < 9">{{ i + 1 }}</kbd>{{ fault.word }}
      </button>
      <button type="button" class="done" @click="emit('done')">Go on</button>
    </div>
  </div>
</template>

<style scoped>
.faults p {
  color: var(--soft);
  margin-bottom: 8px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
button {
  border: 1px solid var(--rule);
  min-height: 44px;
  padding: 0 14px;
  font-size: 1rem;
  color: var(--ink);
  display: inline-flex;
  align-items: center;
  gap: 9px;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
}
kbd {
  font-family: var(--sans);
  font-size: 0.75rem;
  color: var(--soft);
}
button[aria-pressed='true'] kbd {
  color: inherit;
}
.done {
  border-color: var(--green);
  color: var(--green);
}
</style>
