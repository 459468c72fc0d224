<script setup lang="ts">
import type { EditionState } from '#core/edition/state'

/** Whose hands are at which layer of what, and whether all of it is stored. */
const props = defineProps<{ state: EditionState; person: string; storing: string; unsent: number }>()
const layerId = defineModel<string>('layerId', { required: true })
const emit = defineEmits<{ changePerson: [] }>()
const at = computed(() => props.state.layers.findIndex((layer) => layer.id === layerId.value))
</script>

<template>
  <header>
    <h1>
      <NuxtLink :to="`/editions/${state.stream.slice('edition:'.length)}/pull`">{{ state.title }}</NuxtLink>
    </h1>
    <label v-if="state.layers.length > 1" class="layer"
      >layer {{ at + 1 }} of {{ state.layers.length }}
      <select v-model="layerId" aria-label="Layer">
        <option v-for="layer in state.layers" :key="layer.id" :value="layer.id">{{ layer.name }}</option>
      </select>
    </label>
    <span v-else class="layer">{{ state.layers[at]?.name }}</span>
    <p class="storing" role="status">
      <button type="button" @click="emit('changePerson')">{{ person }} <kbd>C</kbd></button> ·
      <span :class="{ unsent: unsent > 0 }">{{ storing }}</span>
    </p>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 18px;
}
h1 {
  font-size: 1.4rem;
  font-weight: 600;
}
h1 a:not(.v-btn) {
  color: inherit;
  text-decoration: none;
}
h1 a:hover {
  text-decoration: underline;
}
.layer,
.storing {
  color: var(--soft);
  font-size: 0.9rem;
}
.layer select {
  color: var(--ink);
  background: var(--ground);
  border-bottom: 1px solid var(--rule);
  padding: 4px;
  min-height: 32px;
}
.storing {
  margin-left: auto;
}
.storing button {
  min-height: 32px;
  color: var(--ink);
}
.unsent {
  color: var(--doubtful);
  font-weight: 600;
}
kbd {
  border: 1px solid var(--faint);
  padding: 0 6px;
  font-family: var(--sans);
  font-size: 0.72rem;
  color: var(--soft);
}
</style>
