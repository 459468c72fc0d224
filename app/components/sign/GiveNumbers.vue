<script setup lang="ts">
import { allocate, candidatesFor, inOrder } from '#core/edition/allocate'
import { plannedSize } from '#core/edition/numbers'
import { artistProofWarning } from '#core/plan/plan'
import { numberAsWritten } from '#core/print/pencil-line'
import { allSeries, type Series } from '#core/print/series'
import { pluralise } from '#core/units/pluralise'

/** Numbers for the prints curated good: seen before they are given, all of them or none. */
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const plan = computed(() => state.value.plan!)
const picked = ref<Series | null>(null)
const byHand = ref<Record<number, string>>({})
const isTyped = ref(false)
const offered = computed(() => allSeries.filter((s) => s === 'edition' || plan.value.proofs[s] > 0))
const waiting = computed(() => inOrder(state.value, plan.value.orderSchool))
/** The series picked, else the first that still has a number for these prints. */
const series = computed<Series>({
  get: () =>
    picked.value ??
    offered.value.find((s) => allocate(state.value, s, candidatesFor(state.value, s)).assignments.length > 0) ??
    'edition',
  set: (value) => {
    picked.value = value
  },
})
const candidates = computed(() => candidatesFor(state.value, series.value))
/** By hand any print of the series can be chosen, those too that would stay back. */
const typable = computed(() =>
  series.value === 'edition' ? waiting.value.filter(({ bound }) => bound === 'edition') : candidates.value,
)
const proposal = computed(() => {
  const proposed = allocate(state.value, series.value, candidates.value)
  if (!isTyped.value) return proposed
  const assignments = typable.value.flatMap((sheet) =>
    byHand.value[sheet.id] ? [{ sheetId: sheet.id, number: Number(byHand.value[sheet.id]) }] : [],
  )
  // A size that follows from the prints follows from those typed too.
  const size =
    plannedSize(plan.value, series.value) ?? Math.max(proposed.size, ...assignments.map(({ number }) => number || 0))
  return { ...proposed, size, assignments }
})
const written = (number: number) =>
  numberAsWritten(plan.value, { series: series.value, number }, Math.max(1, proposal.value.size))
const left = computed(
  () => plan.value.size - state.value.sheets.filter(({ mark }) => mark?.series === 'edition').length,
)
const orderWords = computed(
  () =>
    ({
      pulled: 'number 1 by the order pulled',
      curated: 'number 1 by the order curated',
      best: 'number 1 by the best',
      hand: 'in the order laid by hand',
    })[plan.value.orderSchool],
)
/** Prints that an edition counted from the good ones leaves to the proofs that are owed. */
const leftBack = computed(() =>
  series.value === 'edition'
    ? waiting.value.filter(({ bound }) => bound === 'edition').length - candidates.value.length
    : 0,
)
const manyProofs = computed(() => (series.value === 'AP' ? artistProofWarning(plan.value) : null))

async function give() {
  const { size, assignments } = proposal.value
  if (
    await giving(() => edition.give('give-numbers', { series: series.value, size: Math.max(1, size), assignments }))
  ) {
    byHand.value = {}
    isTyped.value = false
    picked.value = null
  }
}
</script>

<template>
  <section class="part">
    <div class="part-head">
      <h2>Give numbers</h2>
      <p v-if="waiting.length > 0">
        {{ waiting.length }} curated good {{ waiting.length === 1 ? 'print carries' : 'prints carry' }} none yet;
        {{ orderWords }}
      </p>
    </div>
    <TeachStep v-if="waiting.length === 0"
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
      <table v-if="isTyped" v-columns class="ruled byhand">
        <tbody>
          <tr v-for="sheet in typable" :key="sheet.id">
            <td>sheet {{ sheet.id }}</td>
            <td><VTextField v-model="byHand[sheet.id]" label="Number" inputmode="numeric" /></td>
          </tr>
        </tbody>
      </table>
      <p v-if="proposal.assignments.length === 0 && !isTyped" class="proposal">
        {{
          candidates.length === 0
            ? `No good print waits for ${series === 'edition' ? 'the edition' : series}.`
            : `Every number is given; ${candidates.length} good ${candidates.length === 1 ? 'print stays' : 'prints stay'} without one.`
        }}
      </p>
      <template v-else>
        <p class="proposal">
          {{ proposal.assignments.length }}
          {{ proposal.assignments.length === 1 ? 'print gets its number' : 'prints get their numbers' }} over
          {{ proposal.size }}:
        </p>
        <ol class="preview">
          <li v-for="one in proposal.assignments" :key="one.sheetId">
            <span class="soft">sheet {{ one.sheetId }}</span> {{ written(one.number) }}
          </li>
        </ol>
      </template>
      <p v-if="series === 'edition' && plan.sizeSchool === 'declared' && left > candidates.length" class="soft">
        {{ pluralise(left - candidates.length, 'declared number') }}
        {{ left - candidates.length === 1 ? 'waits' : 'wait' }} unpulled.
      </p>
      <p v-if="leftBack > 0 && !isTyped" class="soft">
        {{ pluralise(leftBack, 'print') }} {{ leftBack === 1 ? 'stays' : 'stay' }} back for the proofs that are
        promised.
      </p>
      <p v-if="manyProofs" class="warned">{{ manyProofs }}</p>
      <TroubleLine :words="fault" />
      <div class="buttons">
        <VBtn :loading="busy" :disabled="proposal.assignments.length === 0" @click="give">Give numbers</VBtn>
        <VBtn class="quiet" @click="isTyped = !isTyped">{{ isTyped ? 'In order' : 'Type them' }}</VBtn>
      </div>
    </template>
  </section>
</template>

<style scoped>
.proposal {
  margin-top: 14px;
}
.preview {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
  max-height: 150px;
  overflow-y: auto;
  font-size: 0.92rem;
}
.byhand {
  max-width: 320px;
}
.warned {
  color: var(--doubtful);
}
</style>
