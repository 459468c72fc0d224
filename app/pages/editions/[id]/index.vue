<script setup lang="ts">
/** An edition opens at the first stop that is not done. */
const edition = useEdition()
const route = useRoute()
watch(
  () => edition.strip,
  (strip) => {
    if (strip.length === 0) return
    const stop =
      strip.find((s) => s.state === 'open' && s.key !== 'close') ??
      strip.find((s) => s.state !== 'done') ??
      strip.at(-1)!
    void navigateTo(`/editions/${String(route.params.id)}/${stop.key}`, { replace: true })
  },
  { immediate: true },
)
</script>

<template><div /></template>
