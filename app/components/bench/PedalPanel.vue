<script setup lang="ts">
import { isLearnt, type Side, type Switch, type SwitchAct, switchActs } from '~/composables/pedal'

/** A foot pedal with two switches: which key each sends is learnt by treading on it; a stand-in on the screen does the same. */
defineProps<{ learning: Side | null; why: string; awake: boolean }>()
const switches = defineModel<Record<Side, Switch>>('switches', { required: true })
const emit = defineEmits<{ learn: [side: Side]; press: [side: Side]; done: [] }>()
const sides: Side[] = ['left', 'right']
const set = (side: Side, does: string) => {
  switches.value[side].does = switchActs.find((act): act is SwitchAct => act === does)!
}
</script>

<template>
  <div class="panel" role="group" aria-label="Foot pedal">
    <div v-for="side in sides" :key="side" class="side">
      <label
        >The {{ side }} switch does
        <select :value="switches[side].does" @change="set(side, ($event.target as HTMLSelectElement).value)">
          <option v-for="act in switchActs" :key="act">{{ act }}</option>
        </select></label
      >
      <button type="button" :aria-pressed="learning === side" @click="emit('learn', side)">
        {{
          learning === side
            ? 'Tread on it now'
            : isLearnt(switches[side])
              ? `Learn its key, now ${switches[side].code}`
              : 'Learn its key'
        }}
      </button>
      <button type="button" :aria-label="`Stand-in: ${side} switch`" @click="emit('press', side)">Stand-in</button>
    </div>
    <p v-if="why" class="warn" role="alert">{{ why }}</p>
    <p class="soft">
      {{
        awake
          ? 'The screen stays on while the bench is open.'
          : 'This browser may let the screen sleep: set the device to stay on.'
      }}
    </p>
    <button type="button" @click="emit('done')">Done</button>
  </div>
</template>

<style scoped>
.side {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
label {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
select {
  background: var(--ground);
  color: var(--ink);
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 10px;
}
.warn {
  color: var(--doubtful);
}
</style>
