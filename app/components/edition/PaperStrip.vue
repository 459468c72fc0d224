<script setup lang="ts">
import type { Stop } from '#core/edition/stops'
import { tornEdge } from '~/drawings/torn-edge'

const props = defineProps<{ stops: Stop[]; editionId: string }>()
const edge = tornEdge(1000, 10)
const here = useRoute()
/** Pages that belong to a stop of another name. */
const partOf: Record<string, string> = { register: 'paper', recall: 'prove', gate: 'pull', papers: 'close' }
const open = computed(() => {
  const page = String(here.path.split('/')[3] ?? '')
  return partOf[page] ?? page
})
const to = (stop: Stop) => `/editions/${props.editionId}/${stop.key}`
</script>

<template>
  <nav class="strip" aria-label="The edition’s way">
    <svg class="strip-edge" viewBox="0 0 1000 10" preserveAspectRatio="none" aria-hidden="true">
      <path :d="edge.sheet" class="sheet" />
      <path :d="edge.line" class="torn" />
    </svg>
    <ol>
      <li v-for="stop in stops" :key="stop.key">
        <NuxtLink
          :to="to(stop)"
          :class="{ 'is-open': open === stop.key, 'is-not-yet': stop.state === 'not yet' }"
          :aria-current="open === stop.key ? 'page' : undefined"
        >
          <span class="name">{{ stop.name }}</span>
          <span class="figure">{{ stop.figure }}</span>
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>
