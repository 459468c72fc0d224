<script setup lang="ts">
import { account } from '#core/account/stream'
import { today } from '~/format/days'
import type { EditionsReply } from '#shared/replies/replies'
import { day } from '~/format/days'

/** A charge or a credit that the ledger cannot tell by itself, in a sentence. */
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const blank = () => ({
  personId: '',
  amount: 0,
  way: 'owes',
  what: '',
  on: today() as string | null,
  editionId: '',
})
const form = ref(blank())
const draft = useDraft('a charge', form)
const editions = ref<{ value: string; title: string }[]>([])
onMounted(async () => {
  const told = await api<EditionsReply>('/api/editions?limit=200').catch(() => null)
  editions.value = (told?.editions ?? []).map(({ id, title }) => ({ value: id, title }))
})
const people = computed(() =>
  session.people.filter(({ active }) => active).map(({ id, name }) => ({ value: id, title: name })),
)
const ways = [
  { value: 'owes', title: 'owes' },
  { value: 'gets', title: 'gets back' },
]
const editionChoices = computed(() => [{ value: '', title: 'no edition' }, ...editions.value])
const currency = computed(() => session.session?.studio.currency ?? '')
const dayWords = computed(() => day(form.value.on) || 'some day')
async function keep() {
  const { personId, amount, way, what, on, editionId } = form.value
  const cents = Math.round(amount * 100) * (way === 'owes' ? 1 : -1)
  const done = await giving(() => {
    if (personId === '') throw new Error('Say who owes it.')
    if (on === null) throw new Error('Say for which day it is.')
    return session.give('type-charge', account.of(personId), { on, what, cents, editionId: editionId || null })
  })
  if (!done) return
  draft.done()
  form.value = blank()
  emit('done')
}
</script>

<template>
  <form @submit.prevent="keep">
    <p class="sentence">
      <EditableValue
        v-model="form.personId"
        label="Who owes"
        kind="choice"
        :options="[{ value: '', title: 'somebody' }, ...people]"
        :words="form.personId ? session.nameOf(form.personId) : 'somebody'"
        :fault="field === 'personId' ? fault : ''"
      />&#32;
      <EditableValue
        v-model="form.way"
        label="Owes or gets"
        kind="choice"
        :options="ways"
        :words="ways.find(({ value }) => value === form.way)!.title"
      />&#32;<EditableValue
        v-model="form.amount"
        label="Amount"
        kind="decimal"
        :max="1000000"
        :unit="currency"
        :words="`${currency} ${form.amount.toFixed(2)}`"
        :fault="field === 'cents' ? fault : ''"
      />
      for
      <EditableValue
        v-model="form.what"
        label="What it is for"
        kind="text"
        :longest="120"
        :words="form.what || 'something'"
        :fault="field === 'what' ? fault : ''"
      />
      on <EditableValue v-model="form.on" label="Day of the charge" kind="date" :words="dayWords" />, for
      <EditableValue
        v-model="form.editionId"
        label="For which edition"
        kind="choice"
        :options="editionChoices"
        :words="editionChoices.find(({ value }) => value === form.editionId)?.title ?? 'no edition'"
      />.
    </p>
    <p v-if="fault && !['personId', 'cents', 'what'].includes(field)" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Write it down</VBtn>
      <span class="soft">what was wrong is put right by another line</span>
    </div>
  </form>
</template>
