<script setup lang="ts">
import { sheetLaidOut } from '#core/edition/finishing'
import { layersOn } from '#core/edition/layers-on'
import { lineOf, overImage, signingList } from '#core/edition/pencil'
import type { Sheet } from '#core/edition/sheet'
import { doerWords } from '#core/ground/envelope'
import { date } from '~/format/days'

/** The stack to be signed, as it lies: the next print drawn with its exact line, ticked off by a key. */
const edition = useEdition()
const session = useSession()
const signing = useGiving()
const state = computed(() => edition.state!)
const list = computed(() => signingList(state.value))
const signed = computed(() => list.value.filter((sheet) => sheet.signed).length)
const chosen = ref<number | null>(null)
const next = computed(
  () =>
    list.value.find(({ id, signed: done }) => id === chosen.value && !done) ?? list.value.find((one) => !one.signed),
)
const maySign = computed(() => edition.isTheirs && !state.value.closedAt)
const laid = computed(() => sheetLaidOut(state.value))
const over = computed(() => {
  const width = laid.value?.images[0]?.width ?? null
  return Math.max(0, ...list.value.map((sheet) => overImage(lineOf(state.value, sheet), width)))
})
const undried = computed(() => {
  const last = state.value.layers.at(-1)!
  return list.value
    .filter((sheet) => layersOn(state.value, sheet).includes(last.id) && !sheet.dry.includes(last.id))
    .map((sheet) => sheet.id)
})
const words = (sheet: Sheet) => {
  const { left, middle, right } = lineOf(state.value, sheet)
  return [left, middle, right].filter(Boolean).join(' · ')
}
const hasChop = computed(() => state.value.finishing.chop !== null)
const by = ({ signing: said }: Sheet) => (said ? `${doerWords(said, session.nameOf)}, ${date(said.at)}` : '')
const sign = (sheetId: number) => signing.giving(() => edition.give('sign', { sheetId }))

function step(by: number) {
  const open = list.value.filter((one) => !one.signed)
  const at = open.findIndex(({ id }) => id === next.value?.id)
  chosen.value = open[Math.min(open.length - 1, Math.max(0, at + by))]?.id ?? null
}
useTableKeys({
  ' ': () => next.value && maySign.value && !signing.busy.value && sign(next.value.id),
  ArrowDown: () => step(1),
  ArrowUp: () => step(-1),
})
</script>

<template>
  <section class="part">
    <div class="part-head">
      <h2>Sign</h2>
      <p>{{ signed }} of {{ list.length }} signed, in pencil, below the image</p>
    </div>
    <div v-if="undried.length > 0" class="buttons first">
      <VBtn class="quiet" @click="edition.tap('declare-dry', { layerId: state.layers.at(-1)!.id, sheetIds: undried })"
        >Declare {{ undried.length === 1 ? 'this print' : `these ${undried.length} prints` }} dry</VBtn
      ><span class="soft">A print is signed when it is dry.</span>
    </div>
    <div v-if="maySign" class="customs">
      <p v-if="over > 0 && !state.initials" class="warned">
        In letters of 4 mm the line is about {{ Math.ceil(over) }} mm wider than the image.
        <button type="button" class="link" @click="edition.tap('write-initials', { isOn: true })">
          Sign with initials
        </button>
      </p>
      <p v-else-if="state.initials" class="soft">
        Signed with initials{{ over > 0 ? `; the line is still about ${Math.ceil(over)} mm too wide` : '' }}.
        <button type="button" class="link" @click="edition.tap('write-initials', { isOn: false })">
          With the whole name
        </button>
      </p>
    </div>
    <figure v-if="next && maySign" class="next">
      <PencilledPrint v-if="laid" :laid="laid" :line="lineOf(state, next)" />
      <figcaption>
        <p>
          Next: sheet {{ next.id }}<span class="soft">, {{ list.length - signed }} left</span>
        </p>
        <p class="line">{{ words(next) }}</p>
        <div class="buttons">
          <VBtn :loading="signing.busy.value" @click="sign(next.id)">Signed</VBtn>
          <VBtn class="quiet" @click="step(1)">Later</VBtn>
        </div>
        <p class="soft">
          Space ticks it off, ↑ and ↓ take another.{{ hasChop ? ' The chop was stamped before.' : '' }}
        </p>
        <TroubleLine :words="signing.fault.value" />
      </figcaption>
    </figure>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>Sheet</th>
          <th>Left</th>
          <th>Middle</th>
          <th>Right</th>
          <th>Signed by</th>
          <th class="number">Signed</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="sheet in list" :key="sheet.id" :class="{ front: sheet.id === next?.id && maySign }">
          <td>{{ sheet.id }}</td>
          <td class="pencilled" :class="{ whole: lineOf(state, sheet).left.length < 22 }">
            {{ lineOf(state, sheet).left }}
          </td>
          <td class="pencilled" :class="{ whole: lineOf(state, sheet).middle.length < 22 }">
            {{ lineOf(state, sheet).middle }}
          </td>
          <td class="pencilled" :class="{ whole: lineOf(state, sheet).right.length < 22 }">
            {{ lineOf(state, sheet).right }}
          </td>
          <td class="soft">{{ by(sheet) }}{{ sheet.pencilNote ? `; ${sheet.pencilNote}` : '' }}</td>
          <td class="number">
            <VCheckboxBtn
              class="tick"
              :model-value="sheet.signed"
              :disabled="sheet.signed || !maySign"
              :aria-label="`Sheet ${sheet.id} signed`"
              @click.prevent="sign(sheet.id)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.first {
  margin: 0 0 14px;
}
.warned {
  color: var(--doubtful);
}
.next {
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
  gap: 30px;
  align-items: center;
  margin: 0 0 20px;
}
figcaption {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.line {
  font-family: var(--pencil);
  font-size: 1.5rem;
}
.front td {
  background: var(--sheet);
}
.tick {
  display: inline-flex;
}
@media (max-width: 900px) {
  .next {
    grid-template-columns: minmax(0, 1fr);
  }
}
.whole {
  white-space: nowrap;
}
</style>
