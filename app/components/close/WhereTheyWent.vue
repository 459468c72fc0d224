<script setup lang="ts">
import { today } from '~/format/days'
import { printName, printsGone, printsHere } from '#core/edition/whereabouts'
import type { Leaving } from '#core/print/whereabouts'
import { date } from '~/format/days'

/** Where each print went, one line each; what is still here; and what comes back. */
const edition = useEdition()
const { busy, footFault, giving } = useGiving()
const state = computed(() => edition.state!)
const here = computed(() => printsHere(state.value))
const gone = computed(() => printsGone(state.value))
const fresh = () => ({
  sheetId: null as number | null,
  how: 'sold' as Leaving,
  to: '',
  on: today(),
  note: '',
})
const form = ref(fresh())
const back = ref<{ sheetId: number; reason: string } | null>(null)
const items = computed(() =>
  here.value.map((sheet) => ({ value: sheet.id, title: `${printName(state.value, sheet)}, sheet ${sheet.id}` })),
)
const search = ref('')
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return gone.value.filter((sheet) =>
    [printName(state.value, sheet), sheet.gone!.how, sheet.gone!.to].some((text) =>
      text.toLowerCase().includes(wanted),
    ),
  )
})
async function send() {
  const { sheetId, ...said } = form.value
  if (sheetId === null) return
  if (await giving(() => edition.give('send-print', { sheetId, ...said })))
    form.value = { ...fresh(), how: said.how, to: said.to, on: said.on }
}
async function comesBack() {
  if (back.value && (await giving(() => edition.give('take-print-back', { ...back.value! })))) back.value = null
}
</script>

<template>
  <section v-if="here.length > 0 || gone.length > 0" class="part no-print">
    <div class="part-head">
      <h2>Where the prints went</h2>
      <p>{{ gone.length }} gone, {{ here.length }} still here</p>
    </div>
    <form v-if="edition.isTheirs && here.length > 0" class="send" @submit.prevent="send">
      <VSelect v-model="form.sheetId" label="Print that leaves" placeholder="which" :items="items" />
      <ActField v-model="form.how" act="send-print" name="how" label="It is" />
      <ActField v-model="form.to" act="send-print" name="to" label="To" />
      <ActField v-model="form.on" act="send-print" name="on" label="On" />
      <VBtn type="submit" :loading="busy" :disabled="form.sheetId === null">It left</VBtn>
      <p class="soft">
        What is written here stays in the ledger for good: initials or a place do where a name need not.
      </p>
    </form>
    <TroubleLine :words="footFault" />
    <VTextField
      v-if="gone.length > 8"
      v-model="search"
      class="search"
      label="Search by number or place"
      type="search"
    />
    <table v-if="gone.length > 0" v-columns class="ruled">
      <thead>
        <tr>
          <th>Print</th>
          <th>It is</th>
          <th>To</th>
          <th>On</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="sheet in shown" :key="sheet.id">
          <td>{{ printName(state, sheet) }}</td>
          <td>{{ sheet.gone!.how }}</td>
          <td>{{ sheet.gone!.to }}</td>
          <td>{{ date(sheet.gone!.on) }}</td>
          <td>
            <form v-if="back?.sheetId === sheet.id" class="back" @submit.prevent="comesBack">
              <VTextField v-model="back.reason" :label="`How ${printName(state, sheet)} came back`" autofocus /><VBtn
                type="submit"
                class="quiet"
                :loading="busy"
                >It is here</VBtn
              >
            </form>
            <button
              v-else-if="edition.isTheirs"
              type="button"
              class="link"
              :aria-label="`${printName(state, sheet)} came back`"
              @click="back = { sheetId: sheet.id, reason: '' }"
            >
              came back
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.send {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) 150px minmax(0, 1.3fr) 150px auto;
  gap: 10px 18px;
  align-items: end;
}
.send p {
  grid-column: 1 / -1;
  margin: 0;
}
.search {
  max-width: 320px;
}
.back {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) auto;
  gap: 12px;
  align-items: end;
}
@media (max-width: 900px) {
  .send {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
