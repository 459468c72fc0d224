<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { recurring } from '#core/run/recurring'
import type { InClass } from '#core/run/in-class'
import { faultWord } from '#core/print/faults'

/** Faults that several have, and what mended them: told to the class, never by name. */
const props = defineProps<{ benches: readonly InClass[] }>()
const lines = computed(() => recurring(props.benches))
</script>

<template>
  <section class="part" aria-labelledby="recurs">
    <div class="part-head">
      <h2 id="recurs">What recurs</h2>
      <p>of each one’s last 25 pulls</p>
    </div>
    <p v-if="lines.length === 0" class="soft">No fault is on more than one bench.</p>
    <ul v-else class="lines">
      <li v-for="one in lines" :key="one.fault">
        <strong>{{ faultWord(one.fault) }}</strong> on {{ pluralise(one.editions, 'bench') }},
        {{ pluralise(one.pulls, 'pull') }};
        <template v-if="one.mended"
          >“{{ one.mended.remedy }}” worked {{ one.mended.worked }} of {{ one.mended.tried }} times here.</template
        >
        <span v-else class="soft"
          >nothing tried has mended it yet. <NuxtLink :to="`/finder?fault=${one.fault}`">What to try</NuxtLink></span
        >
      </li>
    </ul>
  </section>
</template>
