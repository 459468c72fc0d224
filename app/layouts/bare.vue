<template>
  <main id="content" class="bare" tabindex="-1"><slot /></main>
</template>
