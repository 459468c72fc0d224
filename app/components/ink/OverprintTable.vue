<script setup lang="ts">
import { hexOf, labOfHex } from '#core/ink/colour'
import { overlaps, type RankedOrder, type Wish } from '#core/ink/overprint'
import { reflectanceOf } from '#core/ink/reconstruct'
import { mostLayers, type OverprintWish } from '#core/ink/roll-up'

/** The edition's layers as films on its paper: what every overlap will look like, in one order and in another. */
const edition = useEdition()
const supplies = useSupplies()
const { ofBatch } = useShelf()
const keeping = useGiving()
const white = '#f7f6f2'
const layers = computed(() => edition.state!.layers.slice(0, mostLayers))
const batchNames = computed(() => new Map(supplies.batches.map((batch) => [batch.id, batch.name])))
interface Row {
  layerId: string
  batchId: string | null
  thickness: number
}
const start = () => {
  const kept = edition.state!.overprint
  // A film for each zone of a layer; zones lie side by side and never one over the other.
  const rows = layers.value
    .flatMap((layer): Row[] => {
      const known = kept?.layers.filter((row) => row.layerId === layer.id) ?? []
      const inks = [...new Set(layer.zones.map((zone) => zone.batchId).filter((id) => id !== null))]
      if (known.length >= Math.max(1, inks.length)) return known
      return (inks.length > 0 ? inks : [null]).map((batchId) => ({
        layerId: layer.id,
        batchId,
        thickness: known.find((row) => row.batchId === batchId)?.thickness ?? usualFilm,
      }))
    })
    .slice(0, mostLayers)
  const place = (row: Row) => {
    const at = kept?.layers.findIndex((known) => known.layerId === row.layerId) ?? -1
    return at < 0 ? 99 : at
  }
  return {
    paper: kept?.paper ?? usualPaper,
    rows: rows.sort((a, b) => place(a) - place(b)).map((row) => ({ ...row })),
    wishes: [...(kept?.wishes ?? [])],
  }
}
const form = ref(start())
const draft = useDraft(`overprint ${edition.id}`, form)
const chosen = ref<number | null>(null)
const beside = ref<string[] | null>(null)
const ranked = ref<RankedOrder[] | null>(null)
const ranking = ref(false)
const keep = ref<OverprintWish['keep']>('layer')
const wish = ref({ layerId: '', colour: '#8899aa' })
let worker: Worker | null = null
onUnmounted(() => worker?.terminate())

const known = computed(() =>
  form.value.rows
    .map((row) => ({ row, layer: layers.value.find((layer) => layer.id === row.layerId)!, mix: ofBatch(row.batchId) }))
    .filter((one) => one.layer),
)
const laid = computed(() => known.value.filter((one) => one.mix && one.row.thickness > 0))
const films = computed(() => laid.value.map((one) => ({ pigment: one.mix!.pigment, thickness: one.row.thickness })))
const strips = computed(() =>
  laid.value.map((one) => ({ name: filmName(one.row), hex: filmHex(one.mix!.pigment, white, one.row.thickness) })),
)
const paper = computed(() => reflectanceOf(form.value.paper))
const coloursIn = (order: number[]) => overlaps(paper.value, films.value, order).map(hexOf)
const order = computed(() => laid.value.map((_, i) => i))
const colours = computed(() => coloursIn(order.value))
const otherOrder = computed(() =>
  beside.value
    ? beside.value.map((id) => laid.value.findIndex((one) => keyOf(one.row) === id))
    : [...order.value].reverse(),
)
const otherColours = computed(() =>
  laid.value.length > 1 && otherOrder.value.every((i) => i >= 0) && otherOrder.value.length === laid.value.length
    ? coloursIn(otherOrder.value)
    : null,
)
/** A film's key: its layer, and its ink too where the layer has several. */
const zoned = (layerId: string) => form.value.rows.filter((row) => row.layerId === layerId).length > 1
const keyOf = (row: Row) => (zoned(row.layerId) ? `${row.layerId} ${row.batchId}` : row.layerId)
const filmName = (row: Row) => {
  const layer = layers.value.find((known) => known.id === row.layerId)
  return zoned(row.layerId)
    ? `${layer?.name}, ${layer?.zones.find((zone) => zone.batchId === row.batchId)?.name ?? batchNames.value.get(row.batchId ?? '') ?? 'no ink'}`
    : (layer?.name ?? 'a layer')
}
const groups = computed(() => laid.value.map((one) => layers.value.indexOf(one.layer)))
const together = (one: number[]) =>
  one.every(
    (film, i) =>
      i === 0 ||
      groups.value[film] === groups.value[one[i - 1]!] ||
      !one.slice(0, i).some((before) => groups.value[before] === groups.value[film]),
  )
const idsOf = (set: number) => laid.value.filter((_, i) => (set & (1 << i)) !== 0).map((one) => keyOf(one.row))
const named = (ids: string[]) =>
  ids
    .map((id) => {
      const row = form.value.rows.find((known) => keyOf(known) === id)
      return row ? filmName(row) : 'a layer'
    })
    .join(' + ')

function move(from: number, to: number) {
  const { rows } = form.value
  if (to < 0 || to >= rows.length || rows[from]!.layerId === rows[to]!.layerId) return
  // All zones of a layer are laid in one pull, and so move together.
  const moved = rows.filter((row) => row.layerId === rows[from]!.layerId)
  const rest = rows.filter((row) => row.layerId !== rows[from]!.layerId)
  const beyond = rest.filter((row) => row.layerId === rows[to]!.layerId)
  const at = rest.indexOf(to > from ? beyond.at(-1)! : beyond[0]!) + (to > from ? 1 : 0)
  form.value.rows = [...rest.slice(0, at), ...moved, ...rest.slice(at)]
  beside.value = null
  chosen.value = null
}
const dragged = ref<number | null>(null)
function addWish() {
  if (!chosen.value) return
  const ids = idsOf(chosen.value)
  form.value.wishes.push({
    layers: ids,
    keep: keep.value,
    colour: keep.value === 'colour' ? wish.value.colour : null,
    layerId: keep.value === 'layer' ? (ids.includes(wish.value.layerId) ? wish.value.layerId : ids.at(-1)!) : null,
  })
  ranked.value = null
}
const wishWords = (one: OverprintWish) =>
  `${named(one.layers)}: ${one.keep === 'paper' ? 'keep the paper’s tint' : one.keep === 'layer' ? `near ${named([one.layerId!])}’s own colour on white` : `near ${one.colour}`}`
function rank() {
  worker?.terminate()
  worker = new Worker(new URL('../../workers/order.worker.ts', import.meta.url), { type: 'module' })
  ranking.value = true
  worker.addEventListener('message', ({ data }: MessageEvent<RankedOrder[]>) => {
    ranked.value = data.filter((one) => together(one.order)).slice(0, 6)
    ranking.value = false
  })
  const bit = (id: string) => laid.value.findIndex((one) => keyOf(one.row) === id)
  const wishes = form.value.wishes
    .filter((one) => one.layers.every((id) => bit(id) >= 0))
    .map((one): Wish => {
      const set = one.layers.reduce((bits, id) => bits | (1 << bit(id)), 0)
      return one.keep === 'paper'
        ? { layers: set, keep: 'paper' }
        : one.keep === 'colour'
          ? { layers: set, keep: 'colour', colour: labOfHex(one.colour!) }
          : { layers: set, keep: 'layer', layer: bit(one.layerId!) }
    })
  worker.postMessage({
    paper: paper.value,
    white: reflectanceOf(white),
    films: films.value.map(({ pigment, thickness }) => ({
      pigment: { k: Float64Array.from(pigment.k), s: Float64Array.from(pigment.s) },
      thickness,
    })),
    wishes,
  })
}
async function save() {
  const layersKept = form.value.rows.map(({ layerId, batchId, thickness }) => ({
    layerId,
    batchId,
    thickness: Number(thickness),
  }))
  if (
    await keeping.giving(() =>
      edition.give('plan-overprint', {
        overprint: { paper: form.value.paper, layers: layersKept, wishes: form.value.wishes },
      }),
    )
  )
    draft.done()
}

function drag(event: DragEvent, row: number, name: string) {
  dragged.value = row
  event.dataTransfer?.setData('text/plain', name)
}
function drop(onto: number) {
  if (dragged.value !== null) move(dragged.value, onto)
  dragged.value = null
}
function takeWishBack(i: number) {
  form.value.wishes.splice(i, 1)
  ranked.value = null
}
</script>

<template>
  <div>
    <div class="top">
      <label class="soft">Paper <input v-model="form.paper" type="color" aria-label="Colour of the paper" /></label>
      <p class="soft">A prediction: trapping on wet or hardened films may differ, and a draw-down decides.</p>
    </div>
    <ol class="order">
      <li
        v-for="(one, i) in known"
        :key="keyOf(one.row)"
        draggable="true"
        @dragstart="drag($event, i, one.layer.name)"
        @dragover.prevent
        @drop.prevent="drop(i)"
      >
        <span class="handle" aria-hidden="true">⠿</span><strong>{{ filmName(one.row) }}</strong>
        <VSelect
          v-model="one.row.batchId"
          :label="`Ink of ${filmName(one.row)}`"
          :items="supplies.batches.map((batch) => ({ value: batch.id, title: batch.name }))"
          clearable
          no-data-text="No ink is mixed yet"
        />
        <label class="film soft"
          >{{ one.row.thickness }} µm
          <input
            v-model.number="one.row.thickness"
            type="range"
            min="1"
            max="15"
            step="0.5"
            :aria-label="`Film of ${filmName(one.row)}`"
        /></label>
        <span class="move"
          ><button
            type="button"
            :disabled="i === 0"
            :aria-label="`Lay ${filmName(one.row)} earlier`"
            @click="move(i, known.findIndex((other) => other.row.layerId === one.row.layerId) - 1)"
          >
            earlier</button
          ><button
            type="button"
            :disabled="i === known.length - 1"
            :aria-label="`Lay ${filmName(one.row)} later`"
            @click="move(i, known.findLastIndex((other) => other.row.layerId === one.row.layerId) + 1)"
          >
            later
          </button></span
        >
        <span v-if="!one.mix" class="soft">{{
          one.row.batchId ? `colour of ${batchNames.get(one.row.batchId) ?? 'that batch'} is not known` : 'no ink yet'
        }}</span>
      </li>
    </ol>
    <template v-if="laid.length > 0">
      <OverlapStrips
        v-model:chosen="chosen"
        :paper="form.paper"
        :layers="strips"
        :order="order"
        :colours="colours"
        :groups="groups"
        label="In this order"
      />
      <OverlapStrips
        v-if="otherColours"
        v-model:chosen="chosen"
        class="other"
        :paper="form.paper"
        :layers="strips"
        :order="otherOrder"
        :colours="otherColours"
        :groups="groups"
        :label="beside ? 'Beside it' : 'The other way round'"
      />
      <h3>What an overlap should look like</h3>
      <p v-if="chosen === null || chosen === 0" class="soft">
        Choose an overlap above, then say what it should look like; all orders can be ranked by it.
      </p>
      <div v-else class="fields wishing">
        <p>
          <strong>{{ named(idsOf(chosen)) }}</strong>
        </p>
        <VSelect
          v-model="keep"
          label="Should"
          :items="[
            { value: 'layer', title: 'look like one layer on white' },
            { value: 'paper', title: 'keep the paper’s tint' },
            { value: 'colour', title: 'have this colour' },
          ]"
        />
        <VSelect
          v-if="keep === 'layer'"
          v-model="wish.layerId"
          label="Which layer"
          :items="idsOf(chosen).map((id) => ({ value: id, title: named([id]) }))"
        />
        <label v-if="keep === 'colour'" class="soft"
          >Colour <input v-model="wish.colour" type="color" aria-label="Colour wished for"
        /></label>
        <VBtn class="quiet" @click="addWish">Wish it</VBtn>
      </div>
      <ul v-if="form.wishes.length > 0" class="lines">
        <li v-for="(one, i) in form.wishes" :key="i" class="wished">
          <span>{{ wishWords(one) }}</span><button
            type="button"
            :aria-label="`Drop the wish for ${named(one.layers)}`"
            @click="takeWishBack(i)"
          >
            Drop
          </button>
        </li>
      </ul>
      <div v-if="form.wishes.length > 0 && laid.length > 1" class="buttons">
        <VBtn class="quiet" :loading="ranking" @click="rank">Rank all orders</VBtn>
      </div>
      <table v-if="ranked" v-columns class="ruled">
        <thead>
          <tr>
            <th>Order</th>
            <th class="number">ΔE in all</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, i) in ranked" :key="i">
            <td>{{ one.order.map((at) => strips[at]!.name).join(', then ') }}</td>
            <td class="number">{{ one.sum.toFixed(1) }}</td>
            <td>
              <button
                type="button"
                class="show"
                :aria-label="`Show order ${i + 1} beside`"
                @click="beside = one.order.map((at) => keyOf(laid[at]!.row))"
              >
                Show beside
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <p v-else class="soft">Give the layers their inks, and every overlap is laid out here.</p>
    <p v-if="keeping.fault.value" class="trouble" role="alert">{{ keeping.fault.value }}</p>
    <div v-if="!edition.state!.closedAt" class="buttons">
      <VBtn :loading="keeping.busy.value" @click="save">Keep this order and its wishes</VBtn>
    </div>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  margin-bottom: 8px;
  font-size: 0.88rem;
}
.top label {
  display: flex;
  gap: 10px;
  align-items: center;
}
input[type='color'] {
  width: 64px;
  height: 36px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
.order {
  margin-bottom: 16px;
}
.order li {
  display: grid;
  grid-template-columns: 16px 150px minmax(120px, 220px) 150px auto 1fr;
  gap: 14px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
.handle {
  cursor: grab;
  color: var(--faint);
}
.film {
  display: grid;
  font-size: 0.82rem;
}
.film input {
  accent-color: var(--green);
  min-height: 26px;
}
.move {
  display: flex;
  gap: 12px;
}
.move button,
.wished button,
.show {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.86rem;
}
.move button:disabled {
  color: var(--faint);
  text-decoration: none;
}
.other {
  margin-top: 18px;
}
h3 {
  margin: 22px 0 8px;
}
.wishing {
  align-items: end;
}
.wished {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  font-size: 0.92rem;
}
@media (max-width: 900px) {
  .order li {
    grid-template-columns: 16px 1fr;
  }
}
</style>
