<script setup lang="ts">
import type { Count } from '#core/edition/count'

defineProps<{ count: Count; editionId: string }>()
</script>

<template>
  <aside class="count" aria-labelledby="count-heading">
    <h2 id="count-heading">The count</h2>
    <dl>
      <div class="made">
        <dt>torn</dt>
        <dd>{{ count.made }}</dd>
      </div>
      <div v-for="row in count.rows" :key="row.key">
        <dt>{{ row.label }}</dt>
        <dd>{{ row.sheets }}</dd>
      </div>
      <div class="total">
        <dt>in all</dt>
        <dd>{{ count.total }}</dd>
      </div>
    </dl>
    <p v-if="count.balances" class="balances">balances</p>
    <ul v-else class="missing" role="alert">
      <li v-for="finding in count.findings" :key="finding">{{ finding }}</li>
    </ul>
    <p v-if="count.disputed > 0" class="disputed">
      <NuxtLink :to="`/editions/${editionId}/pull#disputed`"
        >{{ count.disputed }} disputed {{ count.disputed === 1 ? 'pull' : 'pulls' }}</NuxtLink
      >, not counted until settled.
    </p>
  </aside>
</template>
