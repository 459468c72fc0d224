<script setup lang="ts">
/** A file from disk or camera. What was chosen goes to who asked; the field is empty again, so that it can be chosen anew once mended. */
defineProps<{ label: string; accept: string; multiple?: boolean }>()
const emit = defineEmits<{ chosen: [files: File[]] }>()

function take(chosen: File | File[] | null) {
  const files = [chosen ?? []].flat()
  if (files.length > 0) emit('chosen', files)
}
</script>

<template>
  <VFileInput
    class="file-choice"
    :model-value="null"
    :label="label"
    :accept="accept"
    :multiple="multiple"
    @update:model-value="take"
  />
</template>

<style scoped>
.file-choice {
  min-width: 260px;
  max-width: 420px;
}
</style>
