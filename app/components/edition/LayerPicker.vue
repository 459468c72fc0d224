<script setup lang="ts">
import type { Layer } from '#core/edition/layer'

defineProps<{ layers: Layer[] }>()
const chosen = defineModel<string>({ required: true })
</script>

<template>
  <div v-if="layers.length > 1" class="layers" role="group" aria-label="Layer">
    <button
      v-for="(layer, i) in layers"
      :key="layer.id"
      type="button"
      :aria-pressed="chosen === layer.id"
      @click="chosen = layer.id"
    >
      {{ i + 1 }} {{ layer.name }}
    </button>
  </div>
</template>

<style scoped>
.layers {
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  margin-bottom: 16px;
}
button {
  font-family: var(--serif);
  padding: 6px 0;
  min-height: 32px;
  color: var(--soft);
  border-bottom: 2px solid transparent;
}
button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  border-color: var(--ink);
}
</style>
