<script setup lang="ts">
/** Another sheet than the next one was laid: its number typed, or one of those that come now. */
const props = defineProps<{ stack: readonly { id: number }[]; next: number | undefined; again: number | null }>()
const emit = defineEmits<{ go: [id: number]; leave: [] }>()
const typed = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => field.value?.focus())
const coming = computed(() => {
  const at = props.stack.findIndex(({ id }) => id === props.next)
  return props.stack.slice(at + 1, at + 6)
})
const go = () => {
  const id = Number(typed.value.trim())
  if (Number.isInteger(id) && id > 0) emit('go', id)
}
</script>

<template>
  <form class="panel" aria-label="Another sheet" @submit.prevent="go" @keydown.esc="emit('leave')">
    <label
      >Sheet
      <input ref="field" v-model="typed" inputmode="numeric" autocomplete="off" aria-label="Number of the sheet" />
    </label>
    <button type="submit">Take it</button>
    <button v-if="again !== null" type="button" @click="emit('go', again)">{{ again }} again</button>
    <button v-for="one in coming" :key="one.id" type="button" @click="emit('go', one.id)">{{ one.id }}</button>
  </form>
</template>

<style scoped>
label {
  display: inline-flex;
  align-items: center;
  gap: 10px;
}
input {
  width: 5em;
  min-height: 64px;
  padding: 0 14px;
  border: 1px solid var(--rule);
  color: var(--ink);
  background: var(--ground);
  font-variant-numeric: tabular-nums;
  font-size: 1.3rem;
}
</style>
