<script setup lang="ts">
import { faults } from '#core/print/faults'

/** The faults to name after a doubtful or rejected pull: the six likeliest as large fields, the rest behind one more. */
const props = defineProps<{ chosen: string[]; likely: string[]; asked: string }>()
const emit = defineEmits<{ name: [key: string]; done: []; help: []; where: [] }>()
const all = ref(false)
const large = 6
const byKey = new Map(faults.map((fault) => [fault.key, fault]))
const shown = computed(() =>
  props.likely.slice(0, all.value ? undefined : large).flatMap((key) => byKey.get(key) ?? []),
)
</script>

<template>
  <div class="faults" role="group" aria-label="Name the fault">
    <p>{{ asked }}</p>
    <div class="choices" :class="{ all }">
      <button
        v-for="(fault, i) in shown"
        :key="fault.key"
        type="button"
        :aria-pressed="chosen.includes(fault.key)"
        :title="fault.seen"
        @click="emit('name', fault.key)"
      >
        <kbd v-if="i < 9">{{ i + 1 }}</kbd>{{ fault.word }}
      </button>
      <button v-if="!all" type="button" class="soft" @click="all = true">more</button>
      <button v-if="chosen.length > 0" type="button" class="soft" @click="emit('where')">Where?</button>
      <button v-if="chosen.length > 0" type="button" class="soft" @click="emit('help')">What helps?</button>
      <button type="button" class="done" @click="emit('done')">Go on</button>
    </div>
  </div>
</template>

<style scoped>
.faults {
  width: 100%;
}
.faults p {
  color: var(--soft);
  margin-bottom: 8px;
}
.choices {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.choices.all {
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
}
button {
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 16px;
  font-family: var(--serif);
  font-size: 1.15rem;
  color: var(--ink);
  text-align: left;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
}
kbd {
  font-family: var(--sans);
  font-size: 0.75rem;
  color: var(--soft);
  margin-right: 9px;
}
button[aria-pressed='true'] kbd {
  color: inherit;
}
.soft {
  color: var(--soft);
}
.done {
  border-color: var(--green);
  color: var(--green);
}
@media (max-width: 560px) {
  .choices,
  .choices.all {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px;
  }
  button {
    padding: 0 10px;
  }
  kbd {
    display: none;
  }
  .done {
    grid-column: span 2;
  }
}
</style>
