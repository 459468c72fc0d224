<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import { v7 } from 'uuid'
import { lotDefaults } from '#core/stores/lot/defaults'
import { type LotDescription, paperUses } from '#core/stores/lot/state'
import type { LotSummary } from '#shared/replies/replies'

/** Paper for the store: a new lot, or a known one described anew. */
const props = defineProps<{ lot?: LotSummary }>()
const emit = defineEmits<{ done: [lotId: string] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
interface Form extends Omit<LotDescription, 'width' | 'height' | 'weight' | 'price'> {
  width: number | null
  height: number | null
  weight: string
  price: string
  sheets: string
}
function blank(): Form {
  const { lot } = props
  if (!lot)
    return {
      ...(JSON.parse(JSON.stringify(lotDefaults)) as typeof lotDefaults),
      maker: '',
      name: '',
      width: null,
      height: null,
      weight: '',
      price: '',
      sheets: '',
    }
  const { maker, name, width, height, use, grain, betterSide, deckles, damp, keptAt } = JSON.parse(
    JSON.stringify(lot),
  ) as LotSummary
  return {
    maker,
    name,
    width,
    height,
    use,
    grain,
    betterSide,
    deckles,
    damp,
    keptAt,
    weight: String(lot.weight),
    price: String(lot.price),
    sheets: '0',
  }
}
const form = useFollowing(blank)
const draft = useDraft(`lot ${props.lot?.id ?? ''}`, form, blank)
const grains = [
  { value: 'unknown', title: 'not known' },
  { value: 'width', title: 'along the width' },
  { value: 'height', title: 'along the height' },
]

async function save() {
  const { sheets, weight, price, width, height, ...rest } = form.value
  const description = {
    ...rest,
    width: width ?? 0,
    height: height ?? 0,
    weight: typedNumber(weight),
    price: price === '' ? 0 : typedNumber(price),
  }
  const id = props.lot?.id ?? v7()
  const act = () =>
    props.lot
      ? session.give('describe-lot', lotStream.of(id), description)
      : session.give('add-lot', lotStream.of(id), { ...description, sheets: typedNumber(sheets) })
  if (await giving(act)) {
    draft.done()
    form.value = blank()
    emit('done', id)
  }
}
const wrong = (name: string) => (field.value === name ? fault.value : undefined)
</script>

<template>
  <ActForm :button="lot ? 'Change the paper' : 'Add the paper'" :busy="busy" :fault="fault" @give="save">
    <div class="fields">
      <VTextField
        v-model="form.name"
        class="wide"
        label="Name"
        placeholder="as the room calls it"
        :error-messages="wrong('name')"
      />
      <VTextField v-model="form.maker" label="Maker" />
      <VSelect
        v-model="form.use"
        label="It is for"
        :items="paperUses.map((use) => ({ value: use, title: use === 'edition' ? 'editions' : 'proofs' }))"
      />
      <LengthField v-model="form.width" label="Width" :error-messages="wrong('width')" />
      <LengthField v-model="form.height" label="Height" :error-messages="wrong('height')" />
      <VTextField
        v-model="form.weight"
        label="Weight"
        inputmode="decimal"
        suffix="g/m²"
        :error-messages="wrong('weight')"
      />
      <VTextField
        v-model="form.price"
        label="Price a sheet"
        inputmode="decimal"
        :prefix="session.session?.studio.currency"
      />
      <VTextField
        v-if="!lot"
        v-model="form.sheets"
        label="Sheets"
        inputmode="numeric"
        :error-messages="wrong('sheets')"
      />
      <VSelect v-model="form.grain" label="Grain runs" :items="grains" />
      <VTextField
        v-model="form.betterSide"
        class="wide"
        label="The better side"
        placeholder="felt side, watermark reads right"
      />
      <VTextField v-model="form.keptAt" label="Kept" placeholder="drawer, shelf" />
      <EdgeChecks v-model="form.deckles" class="wide" label="Deckle edges" />
      <VCheckbox v-model="form.damp" label="printed damp as a rule" />
    </div>
  </ActForm>
</template>
