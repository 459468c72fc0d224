<script setup lang="ts">
/** A part of a stop that is read as a line until it is touched, or until something is missing in it. */
const props = defineProps<{
  title: string
  /** Its present value, in words. */
  words?: string
  /** Open from the start, since something is to be given. */
  missing?: boolean
}>()
const touched = ref<boolean | null>(null)
const isOpen = computed(() => touched.value ?? props.missing ?? false)
const id = useId()
</script>

<template>
  <section class="part folded" :aria-labelledby="id">
    <h2 :id="id">
      <button type="button" :aria-expanded="isOpen" @click="touched = !isOpen">{{ title }}</button>
    </h2>
    <p v-if="words && !isOpen" class="words">{{ words }}</p>
    <div v-if="isOpen" class="opened"><slot /></div>
  </section>
</template>

<style scoped>
.folded {
  padding: 14px 0 12px;
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
  gap: 4px 20px;
  align-items: baseline;
}
h2 button {
  font: inherit;
  text-align: left;
  min-height: 28px;
}
h2 button::before {
  content: '+' / '';
  display: inline-block;
  width: 0.9em;
  color: var(--green);
}
h2 button[aria-expanded='true']::before {
  content: '–' / '';
}
.words {
  color: var(--soft);
}
.opened {
  grid-column: 1 / -1;
  padding: 8px 0 12px;
}
@media (max-width: 700px) {
  .folded {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
