<script setup lang="ts">
/** A form of an edition's page: it can be filled while the edition is open, and only be read once it is closed. */
const edition = useEdition()
</script>

<template>
  <form>
    <fieldset :disabled="!!edition.state?.closedAt"><slot /></fieldset>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
</style>
