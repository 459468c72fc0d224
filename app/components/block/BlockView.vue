<script setup lang="ts">
import { flipWords } from '#core/block/block'
import type { Block } from '#core/edition/state'
import { date } from '~/format/days'

/** A block as it prints, its newest state first, with what is known of it in a sentence. */
const props = defineProps<{ known: Block }>()
const units = useUnits()
const mirrored = ref(true)
const chosen = ref<string | null>(null)
const shown = computed(
  () => props.known.states.find(({ stateId }) => stateId === chosen.value) ?? props.known.states.at(-1) ?? null,
)
</script>

<template>
  <div class="block-view">
    <BlockPicture
      v-if="shown?.pictureId"
      v-model:mirrored="mirrored"
      :picture-id="shown.pictureId"
      :what="shown.name"
    />
    <BlockOutline v-else :block="known.block" />
    <div>
      <p class="told">
        {{ known.block.kind }}, {{ units.size(known.block.width, known.block.height) }},
        {{ units.thickness(known.block.thickness) }} with its mount; image
        {{ units.size(known.block.image.width, known.block.image.height)
        }}<template v-if="known.block.rotation !== 0"
          >; turned {{ Math.abs(known.block.rotation) }}°
          {{ known.block.rotation > 0 ? 'clockwise' : 'against the clock' }} to square it</template
        ><template v-if="known.block.removed">; removed: {{ known.block.removed }}</template
        >.
      </p>
      <p>{{ flipWords(known.block.transfer) }}</p>
      <p v-if="known.block.note" class="soft">{{ known.block.note }}</p>
      <ol v-if="known.states.length > 0" class="lines states">
        <li v-for="cut in known.states" :key="cut.stateId">
          <button
            v-if="known.states.length > 1"
            type="button"
            :aria-pressed="cut === shown"
            @click="chosen = cut.stateId"
          >
            {{ cut.name }}</button><strong v-else>{{ cut.name }}</strong
          >, {{ date(cut.cutOn) }}<span v-if="cut.note" class="soft"> · {{ cut.note }}</span>
        </li>
      </ol>
      <p v-else class="soft">
        No state is recorded yet. Keep one, with a picture or a rubbing, before it is cut further.
      </p>
    </div>
  </div>
</template>

<style scoped>
.block-view {
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
  gap: 8px 30px;
}
.states {
  margin-top: 14px;
}
.states button {
  font-weight: 600;
  text-align: left;
  color: var(--green);
  min-height: 28px;
}
.states button[aria-pressed='true'] {
  color: var(--ink);
  border-bottom: 2px solid var(--ink);
}
@media (max-width: 900px) {
  .block-view {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
