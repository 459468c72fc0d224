<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { faultWord } from '#core/print/faults'
import { lossesBy, lossesOf } from '#core/watch/losses'

/** Losses told apart by one thing at a time, each with the pulls it rests on; every fault leads to what to try. */
const props = defineProps<{ layerId: string }>()
const edition = useEdition()
const by = ref<string>('layer')
const options = lossesBy.map((value) => ({ value, title: value }))
const rows = computed(() =>
  lossesOf(
    edition.state!,
    lossesBy.find((one) => one === by.value)!,
    (at) => new Date(at).getHours(),
  ),
)
const widest = computed(() => Math.max(0.1, ...rows.value.map(({ notGood, pulls }) => notGood / Math.max(1, pulls))))
const x = computed(() => scaleLinear([0, widest.value], [0, 220]))
const finder = (fault: string) => `/finder?edition=${edition.id}&layer=${props.layerId}&fault=${fault}`

async function csv() {
  const { default: Papa } = await import('papaparse')
  const lines = rows.value.flatMap(({ label, pulls, notGood, goodAnHour, faults }) =>
    (faults.length > 0 ? faults : [{ fault: '', times: 0 }]).map(({ fault, times }) => ({
      [by.value]: label,
      pulls,
      'not good': notGood,
      'good an hour': goodAnHour === null ? '' : goodAnHour.toFixed(1),
      fault: fault && faultWord(fault),
      times,
    })),
  )
  download(Papa.unparse(lines, { escapeFormulae: true }), 'text/csv', fileName(edition.state!.title, 'losses.csv'))
}
</script>

<template>
  <div>
    <div class="customs">
      <p>
        Pulls not good, by
        <SaidValue v-model="by" label="Losses told apart by" kind="choice" :options="options" :words="by" />.
      </p>
    </div>
    <p v-if="rows.length === 0" class="soft">
      {{
        by === 'place' ? 'No fault’s place was said yet: Where? at the bench says it.' : 'Nothing has been pulled yet.'
      }}
    </p>
    <table v-else v-columns class="ruled">
      <thead>
        <tr>
          <th>{{ by }}</th>
          <th>Not good</th>
          <th class="number">of pulls</th>
          <th class="number">Good an hour</th>
          <th>Faults named</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label">
          <td>{{ row.label }}</td>
          <td>
            <svg width="220" height="14" aria-hidden="true">
              <rect :width="x(row.notGood / Math.max(1, row.pulls))" height="14" />
              <line x1="0.5" x2="0.5" y1="0" y2="14" />
            </svg>
            {{ row.notGood }}
          </td>
          <td class="number">{{ row.pulls }}</td>
          <td class="number">{{ row.goodAnHour === null ? '' : row.goodAnHour.toFixed(1) }}</td>
          <td>
            <template v-for="(one, i) in row.faults" :key="one.fault"
              >{{ i > 0 ? ', ' : ''
              }}<NuxtLink :to="finder(one.fault)" :aria-label="`${faultWord(one.fault)}: what to try, ${row.label}`">{{
                faultWord(one.fault)
              }}</NuxtLink>
              {{ one.times }}</template
            >
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="rows.length > 0" class="buttons">
      <VBtn class="quiet" @click="csv">As CSV</VBtn>
    </div>
  </div>
</template>

<style scoped>
rect {
  fill: var(--reject);
}
line {
  stroke: var(--ink);
}
svg {
  vertical-align: middle;
  margin-right: 8px;
}
@media (max-width: 900px) {
  svg {
    width: 90px;
  }
}
</style>
