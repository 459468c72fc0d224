<script setup lang="ts">
import type { Pull } from '#core/edition/pull'

/** The wrong batch was noticed late: from this pull on the ink was another. */
const props = defineProps<{ pull: Pull }>()
const edition = useEdition()
const supplies = useSupplies()
const { busy, fault, giving } = useGiving()
const open = ref(false)
const blank = () => ({ from: props.pull.batchIds[0] ?? '', to: '', reason: '' })
const form = ref(blank())
watch(
  () => props.pull.pullId,
  () => {
    open.value = false
    form.value = blank()
  },
)
const nameOf = (id: string) => supplies.batches.find((batch) => batch.id === id)?.name ?? 'an ink that is gone'
const counted = computed(() => props.pull.batchIds.map((value) => ({ value, title: nameOf(value) })))
const others = computed(() =>
  supplies.batches.filter(({ id }) => id !== form.value.from).map(({ id, name }) => ({ value: id, title: name })),
)

async function correct() {
  if (await giving(() => edition.give('correct-ink', { pullId: props.pull.pullId, ...form.value }))) {
    open.value = false
    form.value = blank()
  }
}
</script>

<template>
  <p v-if="!open">
    <button type="button" class="link" @click="open = true">From this pull on the ink was another</button>
  </p>
  <ActForm v-else button="Put it right" :busy="busy" :disabled="form.to === ''" :fault="fault" @give="correct">
    <div class="customs">
      <p>
        From pull {{ pull.ordinal }} on, what was counted with
        <EditableValue
          v-model="form.from"
          label="Counted with"
          kind="choice"
          :options="counted"
          :words="nameOf(form.from)"
        />
        was really
        <EditableValue
          v-model="form.to"
          label="The ink it was"
          kind="choice"
          :options="[{ value: '', title: 'choose' }, ...others]"
          :words="form.to ? nameOf(form.to) : 'which ink?'"
        />, since
        <EditableValue
          v-model="form.reason"
          label="How the ink was taken for another"
          kind="text"
          :longest="500"
          :words="form.reason || 'how it came'"
        />.
      </p>
    </div>
    <template #beside><VBtn class="quiet" @click="open = false">Leave it</VBtn></template>
  </ActForm>
</template>

<style scoped>
form {
  margin-top: 10px;
}
</style>
