<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import type { LotSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** What is really on the shelf, with the reason the book was wrong. */
const props = defineProps<{ lot: LotSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, footFault, giving } = useGiving()
const form = ref({ sheets: Math.max(0, props.lot.left) as number | null, reason: '' })

async function count() {
  const data = { ...form.value, sheets: form.value.sheets! }
  if (await giving(() => session.give('count-lot', lotStream.of(props.lot.id), data))) emit('done')
}
</script>

<template>
  <ActForm button="Set the count" :busy="busy" :fault="footFault" @give="count">
    <p class="soft">The book shows {{ pluralise(lot.left, 'sheet') }} of {{ lot.name }}.</p>
    <div class="fields">
      <ActField v-model="form.sheets" act="count-lot" name="sheets" label="Really there" />
      <ActField v-model="form.reason" act="count-lot" name="reason" class="wide" label="Why it differs" />
    </div>
    <template #beside><VBtn class="quiet" @click="emit('done')">Leave it</VBtn></template>
  </ActForm>
</template>
