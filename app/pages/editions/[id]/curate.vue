<script setup lang="ts">
import { saidOn } from '#core/edition/pull'
import { layersOn } from '#core/edition/layers-on'
import { placeOf, standingVerdict } from '#core/edition/places'
import { inOrder } from '#core/edition/allocate'
import { historyOf, kindOf } from '#core/edition/history'
import type { Sheet } from '#core/edition/sheet'
import { faultWord } from '#core/print/faults'
import { type Verdict, verdicts } from '#core/print/verdicts'

const edition = useEdition()
const state = computed(() => edition.state!)
const reasons = ref<Record<number, string>>({})
const only = ref<'all' | 'to see'>('all')

const prints = computed(() =>
  state.value.sheets.filter(
    (sheet) =>
      !sheet.parts.length &&
      !sheet.spoiled &&
      !sheet.destroyed &&
      layersOn(state.value, sheet).length > 0 &&
      !['proof', 'standard', 'bat'].includes(placeOf(state.value, sheet).kind),
  ),
)
const shown = computed(() => prints.value.filter((sheet) => only.value === 'all' || sheet.curated === null))
const open = computed(() =>
  prints.value.filter((sheet) => sheet.curated === null && standingVerdict(state.value, sheet) === 'good'),
)
const waiting = computed(() => inOrder(state.value, state.value.plan!.orderSchool).length)
function history(sheet: Sheet): string {
  const { pulls, mixedBefore } = historyOf(state.value, sheet)
  const told = pulls.map((pull) => {
    const { faults } = saidOn(state.value, pull, sheet)
    return `pull ${pull.ordinal}${faults.length ? `: ${faults.map(faultWord).join(', ')}` : ''}${pull.rescued ? ` (${pull.rescued})` : ''}`
  })
  const laid = state.value.layers.flatMap(({ id, name }) => (sheet.laid.includes(id) ? [`${name} laid on`] : []))
  const kind = kindOf(state.value, pulls)
  return [mixedBefore ? `one of the stack that came mixed to ${mixedBefore.name}` : '', ...laid, ...told, kind]
    .filter(Boolean)
    .join(' · ')
}

async function curate(sheet: Sheet, verdict: Verdict) {
  const id = await edition.tap('curate', { sheetId: sheet.id, verdict, reason: reasons.value[sheet.id] ?? '' })
  if (id) reasons.value[sheet.id] = ''
}

async function curateAll() {
  for (const sheet of open.value) await edition.tap('curate', { sheetId: sheet.id, verdict: 'good', reason: '' })
}

/** What else is settled of a sheet: that it was curated, and the number it carries. */
function besideVerdict({ curated, mark }: Sheet): string {
  return [curated ? 'curated' : '', mark ? `${mark.series} ${mark.number}` : ''].filter(Boolean).join(', ')
}
</script>

<template>
  <section class="part">
    <div class="part-head">
      <h2>Beside the BAT</h2>
      <p v-if="prints.length > 0">
        a changed verdict asks for a reason;
        {{
          waiting === 0
            ? 'none curated good waits for its number'
            : `${waiting} curated good ${waiting === 1 ? 'waits for its number' : 'wait for numbers'}`
        }}
      </p>
    </div>
    <TeachStep v-if="prints.length === 0"
      ><span class="soft">It begins when sheets have come through the press.</span></TeachStep
    >
    <template v-else>
      <div class="buttons first">
        <VBtn v-if="open.length > 0 && !state.closedAt" @click="curateAll">Keep the {{ open.length }} judged good</VBtn>
        <VBtn class="quiet" @click="only = only === 'all' ? 'to see' : 'all'">{{
          only === 'all' ? 'Show only those not curated' : 'Show all'
        }}</VBtn>
        <NuxtLink v-if="waiting > 0" :to="`/editions/${edition.id}/sign`">Give numbers</NuxtLink>
      </div>
      <table v-columns class="ruled">
        <thead>
          <tr>
            <th>Sheet</th>
            <th>History</th>
            <th>Stands as</th>
            <th>Reason</th>
            <th>Curate</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="sheet in shown" :key="sheet.id">
            <td>{{ sheet.id }}</td>
            <td class="soft">{{ history(sheet) }}</td>
            <td>
              <span :class="`verdict is-${standingVerdict(state, sheet)}`">{{ standingVerdict(state, sheet) }}</span>
              <span class="beside soft">{{ besideVerdict(sheet) }}</span>
            </td>
            <td>
              <input
                v-model="reasons[sheet.id]"
                class="reason"
                :aria-label="`Reason for sheet ${sheet.id}`"
                :placeholder="sheet.curated?.reason ?? ''"
                maxlength="500"
              />
            </td>
            <td class="choices">
              <button
                v-for="verdict in verdicts"
                :key="verdict"
                type="button"
                :disabled="!!state.closedAt"
                :aria-pressed="sheet.curated?.verdict === verdict"
                :aria-label="`Sheet ${sheet.id} ${verdict}`"
                @click="curate(sheet, verdict)"
              >
                {{ verdict }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
.beside {
  margin-left: 6px;
}
.first {
  margin: 0 0 14px;
}
.verdict {
  font-weight: 600;
}
.is-doubtful {
  color: var(--doubtful);
}
.is-reject {
  color: var(--reject);
}
.reason {
  width: 100%;
  min-width: 90px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
  background: transparent;
  color: var(--ink);
}
.choices {
  white-space: nowrap;
}
.choices button {
  padding: 4px 8px;
  min-height: 28px;
  border-bottom: 2px solid transparent;
  color: var(--green);
}
.choices button[aria-pressed='true'] {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.choices button:disabled {
  color: var(--soft);
}
</style>
