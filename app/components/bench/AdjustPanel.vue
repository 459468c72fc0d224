<script setup lang="ts">
import { type AdjustmentKind, adjustmentKinds, adjustmentWord } from '#core/print/verdicts'

/** What was changed between two pulls, in one touch. */
const emit = defineEmits<{ adjust: [kind: AdjustmentKind] }>()
</script>

<template>
  <div class="panel" role="group" aria-label="What was changed">
    <button v-for="(kind, i) in adjustmentKinds" :key="kind" type="button" @click="emit('adjust', kind)">
      <kbd v-if="i < 9">{{ i + 1 }}</kbd>{{ adjustmentWord(kind) }}
    </button>
  </div>
</template>
