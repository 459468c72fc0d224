<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import type { LotSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** What is really on the shelf, with the reason the book was wrong. */
const props = defineProps<{ lot: LotSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const form = ref({ sheets: String(Math.max(0, props.lot.left)), reason: '' })

async function count() {
  const sheets = form.value.sheets.trim() === '' ? Number.NaN : Number(form.value.sheets)
  if (await giving(() => session.give('count-lot', lotStream.of(props.lot.id), { sheets, reason: form.value.reason })))
    emit('done')
}
</script>

<template>
  <ActForm button="Set the count" :busy="busy" :fault="fault" @give="count">
    <p class="soft">The book shows {{ pluralise(lot.left, 'sheet') }} of {{ lot.name }}.</p>
    <div class="fields">
      <VTextField v-model="form.sheets" label="Really there" inputmode="numeric" suffix="sheets" />
      <VTextField v-model="form.reason" class="wide" label="Why it differs" />
    </div>
    <template #beside><VBtn class="quiet" @click="emit('done')">Leave it</VBtn></template>
  </ActForm>
</template>
