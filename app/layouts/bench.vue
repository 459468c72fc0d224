<template>
  <VThemeProvider theme="bench" with-background>
    <main id="content" class="dark-bench" tabindex="-1"><slot /></main>
  </VThemeProvider>
</template>
