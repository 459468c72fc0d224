<script setup lang="ts">
const { finding, keysShown } = useDoors()
</script>

<template>
  <VThemeProvider theme="bench" with-background>
    <main id="content" class="dark-bench" tabindex="-1"><slot /></main>
    <FindDialog v-model="finding" />
    <KeysDialog v-model="keysShown" />
  </VThemeProvider>
</template>
