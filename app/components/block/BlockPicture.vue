<script setup lang="ts">
/** A picture of a block, as it is or as it will print, so that lettering is caught before it is cut. */
defineProps<{ pictureId: string; what: string }>()
const mirrored = defineModel<boolean>('mirrored', { required: true })
</script>

<template>
  <figure class="block-picture">
    <div class="ways" role="group" aria-label="Show the picture">
      <button type="button" :aria-pressed="!mirrored" @click="mirrored = false">As the block is</button
      ><button type="button" :aria-pressed="mirrored" @click="mirrored = true">As it prints</button>
    </div>
    <img
      :src="`/api/pictures/${pictureId}`"
      :alt="`${what}, ${mirrored ? 'mirrored, as it prints' : 'as the block is'}`"
      :class="{ mirrored }"
    />
    <figcaption class="soft">
      {{ mirrored ? 'Mirrored: lettering must read right here.' : 'As one sees the block: lettering reads backwards.' }}
    </figcaption>
  </figure>
</template>

<style scoped>
.block-picture {
  max-width: 420px;
  margin: 12px 0;
}
img {
  display: block;
  max-width: 100%;
  max-height: 320px;
  border: 1px solid var(--rule);
}
img.mirrored {
  transform: scaleX(-1);
}
.ways {
  display: flex;
  gap: 18px;
  margin-bottom: 6px;
}
.ways button {
  padding: 4px 0;
  min-height: 28px;
  color: var(--soft);
  border-bottom: 2px solid transparent;
}
.ways button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  border-color: var(--ink);
}
figcaption {
  font-size: 0.84rem;
  margin-top: 5px;
}
</style>
