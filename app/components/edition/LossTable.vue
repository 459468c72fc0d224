<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { faultWord } from '#core/print/faults'
import { goodAnHour, type LossBy, type LossRow } from '#core/watch/losses'
import { rowsCsv } from '~/drawings/tables-csv'

/** Losses told apart by one thing, each with the pulls it rests on; every fault leads to what to try. */
const props = defineProps<{
  rows: LossRow[]
  by: LossBy
  /** Where a fault leads. */
  finder: (fault: string) => string
  /** What a good sheet costs in a row; left out when there is nothing to hold side by side. */
  cost?: (row: LossRow) => string
  file: string
}>()
const session = useSession()
const nameOf = (label: string) => (props.by === 'person' ? session.nameOf(label) : label)
const widest = computed(() => Math.max(0.1, ...props.rows.map(({ notGood, pulls }) => notGood / Math.max(1, pulls))))
const x = computed(() => scaleLinear([0, widest.value], [0, 220]))
const anHour = (row: LossRow) => goodAnHour(row)?.toFixed(1) ?? ''

async function csv() {
  const lines = props.rows.flatMap((row) =>
    (row.faults.length > 0 ? row.faults : [{ fault: '', times: 0 }]).map(({ fault, times }) => ({
      [props.by]: nameOf(row.label),
      pulls: row.pulls,
      'not good': row.notGood,
      'good an hour': anHour(row),
      ...(props.cost ? { 'a good sheet costs': props.cost(row) } : {}),
      fault: fault && faultWord(fault),
      times,
    })),
  )
  download(await rowsCsv(lines), 'text/csv', props.file)
}
</script>

<template>
  <p v-if="rows.length === 0" class="soft">
    {{
      by === 'place' ? 'No fault’s place was said yet: Where? at the bench says it.' : 'Nothing has been pulled yet.'
    }}
  </p>
  <div v-else>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>{{ by }}</th>
          <th>Not good</th>
          <th class="number">of pulls</th>
          <th class="number">Good an hour</th>
          <th v-if="cost" class="number">A good sheet costs</th>
          <th>Faults named</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.label">
          <td>{{ nameOf(row.label) }}</td>
          <td>
            <svg width="220" height="14" aria-hidden="true">
              <rect :width="x(row.notGood / Math.max(1, row.pulls))" height="14" />
              <line x1="0.5" x2="0.5" y1="0" y2="14" />
            </svg>
            {{ row.notGood }}
          </td>
          <td class="number">{{ row.pulls }}</td>
          <td class="number">{{ anHour(row) }}</td>
          <td v-if="cost" class="number">{{ cost(row) }}</td>
          <td>
            <template v-for="(one, i) in row.faults" :key="one.fault"
              >{{ i > 0 ? ', ' : ''
              }}<NuxtLink
                :to="finder(one.fault)"
                :aria-label="`${faultWord(one.fault)}: what to try, ${nameOf(row.label)}`"
                >{{ faultWord(one.fault) }}</NuxtLink
              >
              {{ one.times }}</template
            >
          </td>
        </tr>
      </tbody>
    </table>
    <div class="buttons">
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
