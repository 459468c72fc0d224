<script setup lang="ts">
import { linkCode } from '~/drawings/link-code'

/** A link as a code that a camera reads. */
const props = defineProps<{ link: string; edge?: number }>()
const code = computed(() => linkCode(props.link))
const quiet = 4
</script>

<template>
  <svg
    :viewBox="`${-quiet} ${-quiet} ${code.size + 2 * quiet} ${code.size + 2 * quiet}`"
    :width="edge ?? 150"
    :height="edge ?? 150"
    role="img"
    :aria-label="`A code for ${link}`"
    shape-rendering="crispEdges"
  >
    <rect :x="-quiet" :y="-quiet" :width="code.size + 2 * quiet" :height="code.size + 2 * quiet" fill="#fff" />
    <rect
      v-for="run in code.runs"
      :key="`${run.x} ${run.y}`"
      :x="run.x"
      :y="run.y"
      :width="run.length"
      height="1"
      fill="#000"
    />
  </svg>
</template>
