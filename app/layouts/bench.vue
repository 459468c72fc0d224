<script setup lang="ts">
const { finding, keysShown, hasFound, hasShownKeys } = useDoors()
</script>

<template>
  <VThemeProvider theme="bench" with-background>
    <main id="content" class="dark-bench" tabindex="-1"><slot /></main>
    <LazyFindDialog v-if="hasFound" v-model="finding" />
    <LazyKeysDialog v-if="hasShownKeys" v-model="keysShown" />
  </VThemeProvider>
</template>
