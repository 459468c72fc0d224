<script setup lang="ts">
import { type Edges, edges } from '#core/paper/tear-request'

/** Which of four edges carry a deckle. */
const chosen = defineModel<Edges>({ required: true })
defineProps<{ label: string }>()
const words = { left: 'left', right: 'right', top: 'top', bottom: 'foot' }
</script>

<template>
  <fieldset class="edges">
    <legend>{{ label }}</legend>
    <VCheckbox v-for="edge in edges" :key="edge" v-model="chosen[edge]" :label="words[edge]" />
  </fieldset>
</template>

<style scoped>
.edges {
  border: 0;
  padding: 0;
  margin: 10px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
legend {
  font-size: 0.8rem;
  color: var(--soft);
  padding: 0;
}
</style>
