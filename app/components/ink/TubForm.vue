<script setup lang="ts">
import { tub as tubStream } from '#core/stores/tub/stream'
import { v7 } from 'uuid'
import { readCard } from '#core/ink/draw-down'
import { inkNatures } from '#core/ink/pigments'
import { inkFamilies } from '#core/ink/family'
import { containers, tubConditions } from '#core/stores/tub/state'
import type { TubSummary } from '#shared/replies/replies'

/** An ink for the store: a new tub, or a known one described anew, with its draw-down. */
const props = defineProps<{ tub?: TubSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const picking = ref<'white' | 'overWhite' | 'overBlack' | null>(null)

function blank() {
  const { tub } = props
  return {
    name: tub?.name ?? '',
    maker: tub?.maker ?? '',
    container: tub?.container ?? 'tub',
    family: tub?.family ?? 'oil',
    nature: tub?.nature ?? 'pigment',
    density: String(tub?.density ?? 1.1),
    tinting: String(tub?.tinting ?? 1),
    price: tub ? String(Math.round(tub.price * 1000) / 10) : '',
    grams: '',
    openedOn: tub?.openedOn ?? '',
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
const natures = inkNatures.map((nature) => ({
  value: nature,
  title: nature === 'pigment' ? 'colour' : nature === 'base' ? 'transparent base' : nature,
}))

async function save() {
  const { least, most, drawn, card, grams: weight, openedOn, ...rest } = form.value
  const limits =
    least.trim() === '' && most.trim() === ''
      ? null
      : { least: least.trim() === '' ? 0 : typedNumber(least), most: most.trim() === '' ? 100 : typedNumber(most) }
  const description = {
    ...rest,
    density: typedNumber(rest.density),
    tinting: typedNumber(rest.tinting),
    price: rest.price.trim() === '' ? 0 : typedNumber(rest.price) / 100,
    openedOn: openedOn || null,
    limits,
    card: drawn ? { ...card, thickness: typedNumber(card.thickness) } : null,
  }
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
function picked(hex: string) {
  if (picking.value) form.value.card[picking.value] = hex
  picking.value = null
}
</script>

<template>
  <ActForm :button="tub ? 'Change the ink' : 'Put it on the shelf'" :busy="busy" :fault="fault" @give="save">
    <div class="fields">
      <VTextField
        v-model="form.name"
        class="wide"
        label="Name"
        placeholder="as on its label"
        :error-messages="wrong('name')"
      />
      <VTextField v-model="form.maker" label="Maker" />
      <VSelect v-model="form.container" label="Comes in a" :items="[...containers]" />
      <VSelect v-model="form.family" label="Family" :items="[...inkFamilies]" />
      <VSelect v-model="form.nature" label="It is" :items="natures" />
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
      <VTextField
        v-model="form.density"
        label="Density"
        inputmode="decimal"
        suffix="g/cm³"
        :error-messages="wrong('density')"
      />
      <VTextField
        v-model="form.tinting"
        label="Tinting strength"
        inputmode="decimal"
        hint="1 when you do not know"
        :error-messages="wrong('tinting')"
      />
      <VTextField v-model="form.openedOn" label="Opened on" type="date" />
      <VSelect v-model="form.condition" label="How it stands" :items="[...tubConditions]" />
      <VTextField
        v-model="form.least"
        label="The label allows from"
        inputmode="decimal"
        suffix="%"
        :error-messages="wrong('limits')"
      />
      <VTextField v-model="form.most" label="to" inputmode="decimal" suffix="% of a mix" />
      <VTextField v-model="form.keptAt" label="Kept" placeholder="shelf, drawer" />
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
