<script setup lang="ts">
/** A form of an edition's page: it can be filled while the edition is open by those whose it is, and only be read otherwise. */
const edition = useEdition()
</script>

<template>
  <form>
    <fieldset :disabled="!!edition.state?.closedAt || !edition.isTheirs"><slot /></fieldset>
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
