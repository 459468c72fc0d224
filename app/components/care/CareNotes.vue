<script setup lang="ts">
import { type CareKey, careCards, deferring } from '#core/care/cards'

/** Care cards where they apply: one line each, the usual caution beneath, the studio's own rule before it. */
const props = defineProps<{ cards: readonly CareKey[] }>()
const supplies = useSupplies()
const ruleOf = (key: CareKey) => supplies.careRules.find((one) => one.key === key)?.rule
const shown = computed(() => [...new Set(props.cards)])
</script>

<template>
  <aside v-if="shown.length > 0" class="care" aria-label="Care">
    <details v-for="key in shown" :key="key">
      <summary>{{ careCards[key].title }}</summary>
      <p v-if="ruleOf(key)"><strong>Here:</strong> {{ ruleOf(key) }}</p>
      <p>{{ careCards[key].usual }}</p>
      <p class="soft">{{ deferring }}</p>
    </details>
  </aside>
</template>

<style scoped>
.care {
  border-left: 3px solid var(--doubtful);
  padding-left: 14px;
  display: grid;
  gap: 2px;
  font-size: 0.92rem;
  max-width: 68ch;
}
summary {
  font-weight: 600;
  min-height: 28px;
  cursor: pointer;
}
details p {
  margin: 4px 0;
}
</style>
