<script setup lang="ts">
/** What was refused or went wrong, told at once to whoever listens; nothing while there is nothing to say. */
defineProps<{ words?: string | null }>()
</script>

<template>
  <p v-if="words" class="trouble" role="alert">{{ words }}</p>
</template>
