<script setup lang="ts">
import type { Fact } from '#core/edition/record-facts'

/** Facts of an edition or of a print, as its papers say them. */
defineProps<{ facts: readonly Fact[] }>()
</script>

<template>
  <dl>
    <div v-for="fact in facts" :key="fact.term">
      <dt>{{ fact.term }}</dt>
      <dd>
        <template v-for="(line, i) in fact.lines" :key="i">{{ line }}<br /></template>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
dl > div {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 16px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
dt {
  color: var(--soft);
}
@media (max-width: 600px) {
  dl > div {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
