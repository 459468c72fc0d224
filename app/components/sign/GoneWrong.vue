<script setup lang="ts">
import { lineOf, signingList } from '#core/edition/pencil'
import { allSeries, type Series } from '#core/print/series'

/** What goes wrong at the signing table, each with its way: numbers back, a slip of the pencil, a print destroyed. */
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const list = computed(() => signingList(state.value))
const unsigned = computed(() => list.value.filter(({ signed }) => !signed))
const offered = computed(() => allSeries.filter((s) => unsigned.value.some(({ mark }) => mark!.series === s)))
const taken = ref<Series | null>(null)
const why = ref('')
const wrong = ref<{ sheetId: number | null; otherId: number | null; reason: string }>({
  sheetId: null,
  otherId: null,
  reason: '',
})
const items = computed(() =>
  list.value.map((sheet) => {
    const { left, middle } = lineOf(state.value, sheet)
    return { value: sheet.id, title: `${left || middle}, sheet ${sheet.id}` }
  }),
)
const chosen = computed(() => list.value.find(({ id }) => id === wrong.value.sheetId))
const others = computed(() =>
  items.value.filter(({ value }) =>
    unsigned.value.some(
      ({ id, mark }) => id === value && id !== wrong.value.sheetId && mark!.series === chosen.value?.mark!.series,
    ),
  ),
)
async function act(what: 'destroy-print' | 'withdraw-signing' | 'note-pencil' | 'swap-numbers') {
  const { sheetId, otherId, reason } = wrong.value
  if (sheetId === null) return
  const done = await giving(() => {
    if (what === 'note-pencil') return edition.give(what, { sheetId, note: reason })
    if (what === 'swap-numbers') return edition.give(what, { sheetId, otherId: otherId ?? sheetId, reason })
    return edition.give(what, { sheetId, reason })
  })
  if (done) wrong.value = { sheetId: null, otherId: null, reason: '' }
}
const withdraw = () =>
  giving(() =>
    edition.give('withdraw-numbers', { series: taken.value ?? offered.value[0] ?? 'edition', reason: why.value }),
  ).then((done) => {
    if (done) why.value = ''
  })
</script>

<template>
  <section class="part">
    <div class="part-head">
      <h2>Something went wrong</h2>
      <p>
        a destroyed print keeps its line in the record; its number is {{ edition.studio.destroyedNumber }}, as the
        studio decided
      </p>
    </div>
    <div v-if="unsigned.length > 0" class="taking">
      <VSelect
        :model-value="taken ?? offered[0]"
        label="Numbers of"
        :items="offered.map((s) => ({ value: s, title: s === 'edition' ? 'the edition' : s }))"
        @update:model-value="taken = $event"
      /><VTextField v-model="why" label="Why the unsigned numbers are taken back" /><VBtn
        class="quiet"
        :loading="busy"
        @click="withdraw"
        >Take numbers back</VBtn
      >
    </div>
    <div class="taking">
      <VSelect v-model="wrong.sheetId" label="Print" placeholder="which" :items="items" />
      <VTextField v-model="wrong.reason" label="What happened" />
      <VSelect
        v-if="chosen && !chosen.signed && others.length > 0"
        v-model="wrong.otherId"
        label="Its number was written on"
        placeholder="another print"
        clearable
        :items="others"
      />
      <div class="buttons first">
        <VBtn class="quiet" :disabled="!chosen" :loading="busy" @click="act('note-pencil')"
          >The pencil slipped; it was put right</VBtn
        >
        <VBtn v-if="wrong.otherId !== null" class="quiet" :loading="busy" @click="act('swap-numbers')"
          >The two change numbers</VBtn
        >
        <VBtn class="quiet" :disabled="!chosen?.signed" :loading="busy" @click="act('withdraw-signing')"
          >It is not signed after all</VBtn
        >
        <VBtn class="quiet" :disabled="!chosen" :loading="busy" @click="act('destroy-print')">It is destroyed</VBtn>
      </div>
    </div>
    <TroubleLine :words="fault" />
  </section>
</template>

<style scoped>
.first {
  margin: 0;
  grid-column: 1 / -1;
}
.taking {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) minmax(0, auto);
  gap: 14px 20px;
  align-items: end;
  margin-top: 18px;
}
@media (max-width: 900px) {
  .taking {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
