<script setup lang="ts">
import type { Batch } from '#core/edition/finishing'
import { isAlive, placeOf } from '#core/edition/places'
import type { Sheet } from '#core/edition/sheet'
import type { StepStanding } from '#core/run/finishing-left'
import { pluralise } from '#core/units/pluralise'

/** Batches down, steps across: each field the prints of the batch, filled where the step is done; a touch does the rest. */
const props = defineProps<{ steps: StepStanding[]; batches: Batch[]; disabled: boolean }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const cell = 13

const isLost = (sheet: Sheet) => !isAlive(placeOf(edition.state!, sheet))
function batchWords(ids: readonly number[]): string {
  const [first, last] = [ids[0], ids.at(-1)]
  if (first === undefined) return 'none left'
  return first === last ? `sheet ${first}` : `sheets ${first} to ${last}`
}
const rows = computed(() =>
  props.batches.map(({ number, sheets }) => {
    const alive = sheets.filter((sheet) => !isLost(sheet))
    return {
      number,
      sheets,
      ids: alive.map(({ id }) => id),
      words: batchWords(alive.map(({ id }) => id)),
      fields: props.steps.map((step) => {
        const done = alive.filter(({ finished }) => finished.includes(step.key)).map(({ id }) => id)
        const left = alive.filter(({ finished }) => !finished.includes(step.key)).map(({ id }) => id)
        return { step, done, left, lost: sheets.length - alive.length }
      }),
    }
  }),
)
type Field = (typeof rows.value)[number]['fields'][number]
const isFilled = (sheet: Sheet, { step }: Field) => sheet.finished.includes(step.key)
const said = (number: number, { step, done, left }: Field) =>
  `Batch ${number}, ${step.words}: ${done.length} of ${done.length + left.length}${
    left.length > 0 ? '. Do the rest' : ', done. Take it back'
  }`
const touch = ({ step, done, left }: Field) =>
  giving(() =>
    left.length > 0
      ? edition.give('finish-sheets', { step: step.key, sheetIds: left, isDone: true })
      : edition.give('finish-sheets', { step: step.key, sheetIds: done, isDone: false }),
  )
const pace = ({ minutes }: StepStanding) =>
  minutes === null ? '' : `${minutes.toFixed(minutes < 10 ? 1 : 0)} min each`
</script>

<template>
  <div>
    <p v-if="batches.length === 0" class="soft">It fills as prints carry every layer and are dry.</p>
    <div v-else class="frame">
      <table>
        <thead>
          <tr>
            <th scope="col">Batch</th>
            <th v-for="step in steps" :key="step.key" scope="col">
              {{ step.words }}
              <span class="soft">{{ step.done }} of {{ step.of }}<br />{{ pace(step) }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.number">
            <th scope="row">
              {{ row.number }} <span class="soft">{{ row.words }}</span>
            </th>
            <td v-for="field in row.fields" :key="field.step.key">
              <button
                type="button"
                :disabled="disabled || busy || row.ids.length === 0"
                :aria-label="said(row.number, field)"
                @click="touch(field)"
              >
                <svg
                  :width="row.sheets.length * cell"
                  height="16"
                  :viewBox="`0 0 ${row.sheets.length * cell} 16`"
                  aria-hidden="true"
                >
                  <g v-for="(sheet, i) in row.sheets" :key="sheet.id" :transform="`translate(${i * cell} 0)`">
                    <path v-if="isLost(sheet)" class="lost" d="M2 3 L10 13 M10 3 L2 13" />
                    <rect
                      v-else
                      :class="isFilled(sheet, field) ? 'done' : 'left'"
                      x="1.5"
                      y="2.5"
                      width="9"
                      height="11"
                    />
                  </g>
                </svg>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="batches.length > 0" class="soft">
      Filled: done. Hollow: to do. Crossed:
      {{
        pluralise(
          rows.reduce((sum, row) => sum + (row.fields[0]?.lost ?? 0), 0),
          'print',
        )
      }}
      lost. A touch does the rest of a batch, or takes it back when all is done.
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.frame {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 6px 18px 6px 0;
  vertical-align: bottom;
}
th .soft {
  display: block;
  font-weight: 400;
  font-size: 0.8rem;
  font-variant-numeric: tabular-nums;
}
tbody tr {
  border-top: 1px solid var(--rule);
}
tbody th {
  vertical-align: middle;
  white-space: nowrap;
}
td {
  padding: 2px 18px 2px 0;
}
button {
  min-height: 40px;
  min-width: 44px;
  padding: 4px 6px;
}
button:disabled {
  cursor: default;
}
svg {
  display: block;
}
.done {
  fill: var(--ink);
  stroke: var(--ink);
}
.left {
  fill: none;
  stroke: var(--ink);
}
.lost {
  fill: none;
  stroke: var(--reject);
  stroke-width: 1.4;
}
</style>
