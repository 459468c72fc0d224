<script setup lang="ts">
import { screens } from '~/help/screens'

/** Where nothing is yet: the step in two sentences, as the keys tell it too, and the act that begins it. */
const route = useRoute()
const says = computed(() => screens[String(route.name)]?.says)
</script>

<template>
  <div class="teach">
    <p class="sentence">{{ says }}</p>
    <div v-if="$slots.default" class="begin"><slot /></div>
  </div>
</template>

<style scoped>
.teach {
  max-width: 62ch;
  padding: 6px 0 10px;
}
.sentence {
  font-size: 1.25rem;
  line-height: 1.5;
}
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: center;
  margin-top: 14px;
}
</style>
