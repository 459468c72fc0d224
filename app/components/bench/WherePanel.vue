<script setup lang="ts">
import { imageOf } from '#core/edition/fault-places'
import { noteOf } from '#core/edition/proof-notes'
import { standardOf } from '#core/edition/standards'
import type { EditionState } from '#core/edition/state'
import { faultWord } from '#core/print/faults'

/** Where the fault named last is seen on the print. */
const props = defineProps<{ state: EditionState; layerId: string; fault: string }>()
const emit = defineEmits<{ place: [across: number, down: number]; done: [] }>()
const image = computed(() => imageOf(props.state))
const picture = computed(() => {
  const standard = standardOf(props.state, props.layerId)
  return (standard && noteOf(props.state, standard.pullId)?.pictureId) ?? null
})
</script>

<template>
  <div class="where">
    <p class="soft">Where is {{ faultWord(fault) }}? One touch, or go on.</p>
    <PrintPlace
      v-if="image"
      :shape="image.width / image.height"
      :picture-id="picture"
      :what="faultWord(fault)"
      @place="(across, down) => emit('place', across, down)"
    />
    <p v-else>Nobody said how large the image is yet: give it under Paper or Block.</p>
    <button type="button" class="done" @click="emit('done')">Go on</button>
  </div>
</template>

<style scoped>
.where {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: center;
}
.done {
  border: 1px solid var(--green);
  color: var(--green);
  min-height: 64px;
  padding: 0 20px;
}
</style>
