<script setup lang="ts">
import { layersOn } from '#core/edition/layers-on'
import { allocate, inOrder } from '#core/edition/allocate'
import { pencilLine } from '#core/print/pencil-line'
import { allSeries, type Series } from '#core/print/series'
import type { Sheet } from '#core/edition/sheet'

const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const plan = computed(() => state.value.plan!)
const picked = ref<Series | null>(null)
const taken = ref<Series>('edition')
const reason = ref('')
const amend = ref({ size: plan.value.size, proofs: { ...plan.value.proofs }, reason: '' })
const byHand = ref<Record<number, string>>({})

const candidates = computed(() => inOrder(state.value, plan.value.orderSchool))
/** The series picked, else the first that still has a number for these prints. */
const series = computed<Series>({
  get: () =>
    picked.value ??
    offered.value.find((s) => allocate(state.value, s, candidates.value).assignments.length > 0) ??
    'edition',
  set: (value) => {
    picked.value = value
  },
})
const proposal = computed(() => {
  const proposed = allocate(state.value, series.value, candidates.value)
  if (plan.value.orderSchool !== 'hand') return proposed
  const assignments = candidates.value.flatMap((sheet) =>
    byHand.value[sheet.id] ? [{ sheetId: sheet.id, number: Number(byHand.value[sheet.id]) }] : [],
  )
  return { ...proposed, assignments }
})
const numbered = computed(() =>
  state.value.sheets
    .filter((sheet) => sheet.mark && !sheet.destroyed)
    .sort(
      (a, b) =>
        allSeries.indexOf(a.mark!.series) - allSeries.indexOf(b.mark!.series) || a.mark!.number - b.mark!.number,
    ),
)
const signed = computed(() => numbered.value.filter((sheet) => sheet.signed).length)
const next = computed(() => numbered.value.find((sheet) => !sheet.signed))
const undried = computed(() => {
  const last = state.value.layers.at(-1)!
  return numbered.value
    .filter((sheet) => layersOn(state.value, sheet).includes(last.id) && !sheet.dry.includes(last.id))
    .map((sheet) => sheet.id)
})
const lineOf = (sheet: Sheet) =>
  pencilLine(plan.value, state.value.title, sheet.mark!, state.value.seriesSize[sheet.mark!.series] ?? 0)
const offered = computed(() => allSeries.filter((s) => s === 'edition' || plan.value.proofs[s] > 0))
const left = computed(() => plan.value.size - state.value.sheets.filter((s) => s.mark?.series === 'edition').length)

async function giveNumbers() {
  const { size, assignments } = proposal.value
  if (
    await giving(() => edition.give('give-numbers', { series: series.value, size: Math.max(1, size), assignments }))
  ) {
    byHand.value = {}
    picked.value = null
  }
}
const withdraw = () =>
  giving(() => edition.give('withdraw-numbers', { series: taken.value, reason: reason.value })).then((done) => {
    if (done) reason.value = ''
  })
const wrong = ref<{ sheetId: number | null; reason: string }>({ sheetId: null, reason: '' })
async function goneWrong(what: 'destroy-print' | 'withdraw-signing') {
  const { sheetId, reason: why } = wrong.value
  if (sheetId !== null && (await giving(() => edition.give(what, { sheetId, reason: why }))))
    wrong.value = { sheetId: null, reason: '' }
}
const signing = useGiving()
const sign = (sheetId: number) => signing.giving(() => edition.give('sign', { sheetId }))
const amendSize = () =>
  giving(() => edition.give('amend-size', JSON.parse(JSON.stringify(amend.value)))).then((done) => {
    if (done) amend.value.reason = ''
  })
</script>

<template>
  <div>
    <section v-if="!state.closedAt && (candidates.length > 0 || numbered.length === 0)" class="part">
      <div class="part-head">
        <h2>Give numbers</h2>
        <p v-if="candidates.length > 0">
          {{ candidates.length }} curated good {{ candidates.length === 1 ? 'print carries' : 'prints carry' }} none
          yet;
          {{
            plan.orderSchool === 'hand'
              ? 'numbered by hand'
              : `number 1 by ${plan.orderSchool === 'best' ? 'the best' : `the order ${plan.orderSchool}`}`
          }}
        </p>
      </div>
      <TeachStep v-if="candidates.length === 0"
        ><NuxtLink :to="`/editions/${edition.id}/curate`">Curate the prints first</NuxtLink></TeachStep
      >
      <template v-else>
        <div class="fields">
          <VSelect
            v-model="series"
            label="Series"
            :items="offered.map((s) => ({ value: s, title: s === 'edition' ? 'the edition' : s }))"
          />
        </div>
        <table v-if="plan.orderSchool === 'hand'" v-columns class="ruled byhand">
          <tbody>
            <tr v-for="sheet in candidates" :key="sheet.id">
              <td>sheet {{ sheet.id }}</td>
              <td><VTextField v-model="byHand[sheet.id]" label="Number" inputmode="numeric" /></td>
            </tr>
          </tbody>
        </table>
        <p v-if="proposal.assignments.length === 0 && plan.orderSchool !== 'hand'" class="proposal">
          Every number is given; {{ candidates.length }} good
          {{ candidates.length === 1 ? 'print stays' : 'prints stay' }} without one.
        </p>
        <p v-else class="proposal">
          {{ proposal.assignments.length }}
          {{ proposal.assignments.length === 1 ? 'print gets its number' : 'prints get their numbers' }} over
          {{ proposal.size }}:
          <span class="soft"
            >{{
              proposal.assignments
                .slice(0, 8)
                .map((a) => `sheet ${a.sheetId} → ${a.number}`)
                .join(', ')
            }}{{ proposal.assignments.length > 8 ? ' …' : '' }}</span
          >
        </p>
        <p v-if="series === 'edition' && plan.sizeSchool === 'declared' && left > candidates.length" class="soft">
          {{
            left - candidates.length === 1
              ? '1 declared number waits'
              : `${left - candidates.length} declared numbers wait`
          }}
          unpulled.
        </p>
        <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
        <div class="buttons">
          <VBtn :loading="busy" :disabled="proposal.assignments.length === 0" @click="giveNumbers">Give numbers</VBtn>
        </div>
      </template>
    </section>
    <section v-if="numbered.length > 0" class="part">
      <div class="part-head">
        <h2>Sign</h2>
        <p>{{ signed }} of {{ numbered.length }} signed, in pencil, below the image</p>
      </div>
      <div v-if="undried.length > 0" class="buttons first">
        <VBtn class="quiet" @click="edition.tap('declare-dry', { layerId: state.layers.at(-1)!.id, sheetIds: undried })"
          >Declare {{ undried.length === 1 ? 'this print' : `these ${undried.length} prints` }} dry</VBtn
        ><span class="soft">A print is signed when it is dry.</span>
      </div>
      <figure v-if="next && !state.closedAt" class="next">
        <div class="print" aria-hidden="true">
          <div class="image" />
          <div class="pencil">
            <span>{{ lineOf(next).left }}</span><span>{{ lineOf(next).middle }}</span
            ><span>{{ lineOf(next).right }}</span>
          </div>
        </div>
        <figcaption>
          <p>Next: sheet {{ next.id }}</p>
          <p class="line">
            {{ [lineOf(next).left, lineOf(next).middle, lineOf(next).right].filter(Boolean).join(' · ') }}
          </p>
          <VBtn :loading="signing.busy.value" @click="sign(next.id)">Signed</VBtn>
          <p v-if="signing.fault.value" class="trouble" role="alert">{{ signing.fault.value }}</p>
        </figcaption>
      </figure>
      <table v-columns class="ruled">
        <thead>
          <tr>
            <th>Sheet</th>
            <th>Left</th>
            <th>Middle</th>
            <th>Right</th>
            <th class="number">Signed</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="sheet in numbered" :key="sheet.id">
            <td>{{ sheet.id }}</td>
            <td class="pencilled">{{ lineOf(sheet).left }}</td>
            <td class="pencilled">{{ lineOf(sheet).middle }}</td>
            <td class="pencilled">{{ lineOf(sheet).right }}</td>
            <td class="number">
              <input
                type="checkbox"
                class="tick"
                :checked="sheet.signed"
                :disabled="sheet.signed || !!state.closedAt"
                :aria-label="`Sheet ${sheet.id} signed`"
                @click.prevent="sign(sheet.id)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <div v-if="!state.closedAt && signed < numbered.length" class="taking">
        <VSelect v-model="taken" label="Series" :items="offered" /><VTextField
          v-model="reason"
          label="Why the unsigned numbers are taken back"
        /><VBtn class="quiet" :loading="busy" @click="withdraw">Take numbers back</VBtn>
      </div>
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    </section>
    <section v-if="numbered.length > 0 && !state.closedAt" class="part">
      <div class="part-head">
        <h2>Something went wrong</h2>
        <p>
          a destroyed print keeps its line in the record; its number is {{ edition.studio.destroyedNumber }}, as the
          studio decided
        </p>
      </div>
      <div class="taking">
        <VSelect
          v-model="wrong.sheetId"
          label="Print"
          placeholder="which"
          :items="numbered.map((s) => ({ value: s.id, title: `${lineOf(s).left || lineOf(s).middle}, sheet ${s.id}` }))"
        />
        <VTextField v-model="wrong.reason" label="What happened" />
        <div class="buttons first">
          <VBtn class="quiet" :disabled="wrong.sheetId === null" :loading="busy" @click="goneWrong('destroy-print')"
            >It is destroyed</VBtn
          >
          <VBtn class="quiet" :disabled="wrong.sheetId === null" :loading="busy" @click="goneWrong('withdraw-signing')"
            >It is not signed after all</VBtn
          >
        </div>
      </div>
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    </section>
    <section v-if="signed > 0 && !state.closedAt" class="part">
      <div class="part-head">
        <h2>Amend the size</h2>
        <p>a print is signed, so the size is fixed; an amendment shows in the record</p>
      </div>
      <div class="fields">
        <VTextField v-model.number="amend.size" label="Prints" type="number" /><VTextField
          v-model.number="amend.proofs.AP"
          label="AP"
          type="number"
        /><VTextField v-model="amend.reason" class="wide" label="Why it changes" />
      </div>
      <div class="buttons"><VBtn class="quiet" :loading="busy" @click="amendSize">Amend</VBtn></div>
    </section>
  </div>
</template>

<style scoped>
.first {
  margin: 0 0 14px;
}
.proposal {
  margin-top: 14px;
}
.byhand {
  max-width: 320px;
}
.next {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 30px;
  align-items: center;
  margin: 0 0 20px;
}
.print {
  background: #fffdf8;
  border: 1px solid var(--rule);
  padding: 20px 20px 26px;
}
.image {
  height: 104px;
  background: #d9d2c2;
}
.pencil {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-family: var(--serif);
  font-style: italic;
  font-size: 0.72rem;
  color: #55524b;
  padding-top: 6px;
}
figcaption {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.line {
  font-family: var(--serif);
  font-size: 1.15rem;
}
.pencilled {
  font-family: var(--serif);
  font-style: italic;
}
.tick {
  width: 24px;
  height: 24px;
  accent-color: var(--green);
  cursor: pointer;
}
.taking {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) auto;
  gap: 20px;
  align-items: end;
  margin-top: 18px;
}
@media (max-width: 900px) {
  .next,
  .taking {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
