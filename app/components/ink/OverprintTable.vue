<script setup lang="ts">
import { hexOf } from '#core/ink/colour'
import { overlaps } from '#core/ink/overprint'
import { reflectanceOf } from '#core/ink/reconstruct'

/** The edition's layers as films on its paper: what every overlap will look like, in one order and in another. */
const edition = useEdition()
const keeping = useGiving()
const films = useOverprintFilms()
const { form, laid, groups, keyOf, nameOf } = films
const draft = useDraft(`overprint ${edition.id}`, form, films.standing)
/** The overlap looked at, a bit for each film. */
const chosen = ref<number | null>(null)
/** Another order to look at beside the form's own, by keys. */
const beside = ref<string[] | null>(null)

const strips = computed(() =>
  laid.value.map(({ row, mix }) => ({ name: nameOf(row), hex: filmHex(mix.pigment, trueWhite, row.thickness) })),
)
const coloursIn = (order: number[]) =>
  overlaps(
    reflectanceOf(form.value.paper),
    laid.value.map(({ row, mix }) => ({ pigment: mix.pigment, thickness: row.thickness })),
    order,
  ).map(hexOf)
const order = computed(() => laid.value.map((_, i) => i))
const colours = computed(() => coloursIn(order.value))
const otherOrder = computed(() =>
  beside.value
    ? beside.value.map((key) => laid.value.findIndex(({ row }) => keyOf(row) === key))
    : [...order.value].reverse(),
)
const otherColours = computed(() =>
  laid.value.length > 1 && otherOrder.value.every((i) => i >= 0) && otherOrder.value.length === laid.value.length
    ? coloursIn(otherOrder.value)
    : null,
)

function moved() {
  beside.value = null
  chosen.value = null
}
async function save() {
  const { paper, wishes } = form.value
  const layers = form.value.rows.map(({ layerId, batchId, thickness }) => ({
    layerId,
    batchId,
    thickness: Number(thickness),
  }))
  if (await keeping.giving(() => edition.give('plan-overprint', { overprint: { paper, layers, wishes } }))) draft.done()
}
</script>

<template>
  <div>
    <div class="top">
      <label class="soft">Paper <input v-model="form.paper" type="color" aria-label="Colour of the paper" /></label>
      <p class="soft">A prediction: trapping on wet or hardened films may differ, and a draw-down decides.</p>
    </div>
    <OverprintOrder :films="films" @moved="moved" />
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
      <OverprintWishes :films="films" :chosen="chosen" @show="beside = $event" />
    </template>
    <p v-else class="soft">Give the layers their inks, and every overlap is laid out here.</p>
    <TroubleLine :words="keeping.fault.value" />
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
.other {
  margin-top: 18px;
}
</style>
