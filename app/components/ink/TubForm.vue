<script setup lang="ts">
import { tub as tubStream } from '#core/stores/tub/stream'
import { v7 } from 'uuid'
import { type Card, readCard } from '#core/ink/draw-down'
import type { TubDescription } from '#core/stores/tub/state'
import type { TubSummary } from '#shared/replies/replies'

/** An ink for the store: a new tub, or a known one described anew, with its draw-down. */
const props = defineProps<{ tub?: TubSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, footFault, giving } = useGiving()
const picking = ref<'white' | 'overWhite' | 'overBlack' | null>(null)

/** What nobody said yet is null, and refused by its name when the act is given. Ink is priced and weighed as on labels. */
type Form = { [Name in keyof Omit<TubDescription, 'price' | 'card' | 'limits'>]: TubDescription[Name] | null } & {
  price: string
  grams: string
  least: string
  most: string
  drawn: boolean
  card: Omit<Card, 'thickness'> & { thickness: string }
}
function blank(): Form {
  const { tub } = props
  return {
    name: tub?.name ?? '',
    maker: tub?.maker ?? '',
    container: tub?.container ?? 'tub',
    family: tub?.family ?? 'oil',
    nature: tub?.nature ?? 'pigment',
    density: tub?.density ?? 1.1,
    tinting: tub?.tinting ?? 1,
    price: tub ? String(Math.round(tub.price * 1000) / 10) : '',
    grams: '',
    openedOn: tub?.openedOn ?? null,
    condition: tub?.condition ?? 'clean',
    least: tub?.limits ? String(tub.limits.least) : '',
    most: tub?.limits ? String(tub.limits.most) : '',
    keptAt: tub?.keptAt ?? '',
    drawn: !!tub?.card,
    card: tub?.card
      ? { ...tub.card, thickness: String(tub.card.thickness) }
      : { white: '#f4f2ec', overWhite: '#b5553f', overBlack: '#2a1712', thickness: '8' },
  }
}
const form = useFollowing(blank)
const draft = useDraft(`tub ${props.tub?.id ?? ''}`, form, blank)
const reading = computed(() =>
  form.value.drawn ? readCard({ ...form.value.card, thickness: typedNumber(form.value.card.thickness) }) : null,
)
const halves = [
  { of: 'white', word: 'bare card' },
  { of: 'overWhite', word: 'over white' },
  { of: 'overBlack', word: 'over black' },
] as const
const natureWords = { pigment: 'colour', base: 'transparent base' }

async function save() {
  const { least, most, drawn, card, grams: weight, ...rest } = form.value
  const limits =
    least.trim() === '' && most.trim() === ''
      ? null
      : { least: least.trim() === '' ? 0 : typedNumber(least), most: most.trim() === '' ? 100 : typedNumber(most) }
  const description = {
    ...rest,
    price: rest.price.trim() === '' ? 0 : typedNumber(rest.price) / 100,
    limits,
    card: drawn ? { ...card, thickness: typedNumber(card.thickness) } : null,
  } as TubDescription
  const id = props.tub?.id ?? v7()
  const done = await giving(() =>
    props.tub
      ? session.give('describe-tub', tubStream.of(id), description)
      : session.give('add-tub', tubStream.of(id), {
          ...description,
          milligrams: Math.round(typedNumber(weight) * 1000),
        }),
  )
  if (!done) return
  draft.done()
  form.value = blank()
  emit('done')
}
const wrong = (name: string) => (field.value === name ? fault.value : undefined)
const otherFault = computed(() => (['milligrams', 'price', 'limits'].includes(field.value) ? '' : footFault.value))
function picked(hex: string) {
  if (picking.value) form.value.card[picking.value] = hex
  picking.value = null
}
</script>

<template>
  <ActForm :button="tub ? 'Change the ink' : 'Put it on the shelf'" :busy="busy" :fault="otherFault" @give="save">
    <div class="fields">
      <ActField v-model="form.name" act="add-tub" name="name" class="wide" label="Name" placeholder="as on its label" />
      <ActField v-model="form.maker" act="add-tub" name="maker" label="Maker" />
      <ActField v-model="form.container" act="add-tub" name="container" label="Comes in a" />
      <ActField v-model="form.family" act="add-tub" name="family" label="Family" />
      <ActField v-model="form.nature" act="add-tub" name="nature" label="It is" :choices="natureWords" />
      <VTextField
        v-if="!tub"
        v-model="form.grams"
        label="In it now"
        inputmode="decimal"
        suffix="g"
        :error-messages="wrong('milligrams')"
      />
      <VTextField
        v-model="form.price"
        label="Price"
        inputmode="decimal"
        :prefix="session.session?.studio.currency"
        suffix="for 100 g"
        :error-messages="wrong('price')"
      />
      <ActField v-model="form.density" act="add-tub" name="density" label="Density" />
      <ActField
        v-model="form.tinting"
        act="add-tub"
        name="tinting"
        label="Tinting strength"
        hint="1 when you do not know"
      />
      <ActField v-model="form.openedOn" act="add-tub" name="openedOn" label="Opened on" />
      <ActField v-model="form.condition" act="add-tub" name="condition" label="How it stands" />
      <VTextField
        v-model="form.least"
        label="The label allows from"
        inputmode="decimal"
        suffix="%"
        :error-messages="wrong('limits')"
      />
      <VTextField v-model="form.most" label="to" inputmode="decimal" suffix="% of a mix" />
      <ActField v-model="form.keptAt" act="add-tub" name="keptAt" label="Kept" placeholder="shelf, drawer" />
      <VCheckbox v-model="form.drawn" class="wide" label="there is a draw-down of it" />
    </div>
    <div v-if="form.drawn" class="card">
      <div v-for="half in halves" :key="half.of" class="half">
        <label
          >{{ half.word }} <input v-model="form.card[half.of]" type="color" :aria-label="`Colour ${half.word}`"
        /></label>
        <button type="button" class="plain" @click="picking = half.of">from a picture</button>
      </div>
      <VTextField v-model="form.card.thickness" label="Film of the draw-down" inputmode="decimal" suffix="µm" />
      <FilmStrip
        v-if="reading && 'pigment' in reading"
        :pigment="reading.pigment"
        :paper="form.card.white"
        :thickness="typedNumber(form.card.thickness) || 8"
        :label="form.name || 'This ink'"
      />
      <p v-else-if="reading" class="trouble" role="alert">{{ reading.message }}</p>
    </div>
    <PickFromPicture v-if="picking" @picked="picked" @close="picking = null" />
  </ActForm>
</template>

<style scoped>
.card {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
  align-items: end;
  margin-top: 14px;
}
.half label {
  display: grid;
  gap: 6px;
  font-size: 0.8rem;
  color: var(--soft);
}
.half input {
  width: 84px;
  height: 44px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
.plain {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  font-size: 0.84rem;
  min-height: 28px;
}
.card .v-text-field {
  max-width: 170px;
}
.card .film,
.card p {
  flex: 1 1 100%;
}
</style>
