<script setup lang="ts">
const { finding, keysShown, hasDoors } = useDoors()
</script>

<template>
  <VThemeProvider theme="bench" with-background>
    <main id="content" class="dark-bench" tabindex="-1"><slot /></main>
    <LazyFindDialog v-if="hasDoors" v-model="finding" />
    <LazyKeysDialog v-if="hasDoors" v-model="keysShown" />
  </VThemeProvider>
</template>
