<script setup lang="ts">
import { componentWarnings } from '#core/ink/mix-check'
import { heldIn } from '#core/stores/batch/pouring'
import { additions } from '#core/stores/batch/state'
import type { BatchSummary } from '#shared/replies/replies'
import { ago, grams } from '~/drawings/words'

/** What happens to a batch from one session to the next: drawn, kept, loosened, weighed again, drawn down. */
const props = defineProps<{ batch: BatchSummary; editionStream?: string; layerId?: string }>()
const supplies = useSupplies()
const session = useSession()
const { ofBatch, shelf } = useShelf()
const { busy, fault, giving } = useGiving()
type Act = 'draw' | 'keep' | 'add' | 'weigh' | 'draw-down' | 'run'
const open = ref<Act>('draw')
const acts = computed<{ act: Act; word: string }[]>(() => [
  { act: 'draw', word: 'Draw' },
  { act: 'keep', word: 'Keep for next time' },
  { act: 'add', word: 'Loosen or add' },
  { act: 'weigh', word: 'Weigh again' },
  { act: 'draw-down', word: 'Draw-down' },
  ...(props.layerId ? [{ act: 'run' as const, word: 'Weigh the run' }] : []),
])
const why = {
  'over-pour': 'to correct an over-pour',
  'top-up': 'to have more',
  loosened: 'to loosen it',
  changed: 'to change it',
}
const blank = () => ({
  grams: '',
  scraped: '',
  how: '',
  reason: '',
  source: '',
  why: 'loosened' as (typeof additions)[number],
  ground: usualPaper,
  colour: props.batch.colour,
  thickness: String(usualFilm),
})
const form = ref(blank())
const mg = (text: string) => Math.round(typedNumber(text) * 1000)
const predicted = computed(() => ofBatch(props.batch.id))
const after = computed(() => {
  const milligrams = mg(form.value.grams)
  return milligrams > 0 && open.value === 'add'
    ? `${((milligrams / (props.batch.left + milligrams)) * 100).toFixed(1)} % of the whole`
    : ''
})

/** What the label and the ink family say of it, before it is stirred in. */
const warnings = computed(() => {
  const tub = supplies.tubs.find((known) => known.id === form.value.source)
  const milligrams = mg(form.value.grams)
  if (open.value !== 'add' || !tub || !(milligrams > 0)) return []
  const added = { tubId: tub.id, batchId: null, name: tub.name, milligrams }
  return componentWarnings(props.batch.family, [...heldIn(props.batch), added], shelf.value)
})

async function act(type: string, data: object, weight: string) {
  if (!Number.isFinite(mg(weight))) return void (fault.value = 'Give the weight in grams, for instance 12,5.')
  await give(type, data)
}
async function give(type: string, data: object) {
  if (!(await giving(() => session.give(`batch:${props.batch.id}`, type, data)))) return
  form.value = blank()
}
const addTub = () => {
  const tub = supplies.tubs.find((known) => known.id === form.value.source)
  return act(
    'add-ink',
    {
      components: [
        { tubId: tub?.id ?? null, batchId: null, name: tub?.name ?? 'something', milligrams: mg(form.value.grams) },
      ],
      why: form.value.why,
    },
    form.value.grams,
  )
}
const seeDrawDown = () =>
  typedNumber(form.value.thickness) > 0
    ? give('see-draw-down', {
        ground: form.value.ground,
        colour: form.value.colour,
        thickness: typedNumber(form.value.thickness),
      })
    : void (fault.value = 'Give the film of the draw-down in µm, above zero.')

function choose(chosen: Act) {
  open.value = chosen
  fault.value = ''
}
</script>

<template>
  <div class="acts">
    <div class="choose">
      <button
        v-for="one in acts"
        :key="one.act"
        type="button"
        :aria-label="`${one.word}: ${batch.name}`"
        :aria-pressed="open === one.act"
        @click="choose(one.act)"
      >
        {{ one.word }}
      </button>
    </div>
    <form
      v-if="open === 'draw'"
      class="fields"
      @submit.prevent="
        act(
          'draw-ink',
          { milligrams: mg(form.grams), editionStream: editionStream ?? '', layerId: layerId ?? null, note: '' },
          form.grams,
        )
      "
    >
      <VTextField v-model="form.grams" label="Drawn for this session" inputmode="decimal" suffix="g" /><VBtn
        type="submit"
        class="quiet"
        :loading="busy"
        >Draw</VBtn
      >
    </form>
    <form
      v-else-if="open === 'keep'"
      class="fields"
      @submit.prevent="
        act('keep-batch', { milligrams: mg(form.grams), scraped: mg(form.scraped) || 0, how: form.how }, form.grams)
      "
    >
      <VTextField v-model="form.grams" label="Left to keep" inputmode="decimal" suffix="g" /><VTextField
        v-model="form.scraped"
        label="Scraped off, not kept"
        inputmode="decimal"
        suffix="g"
      /><VTextField v-model="form.how" label="How it is kept" placeholder="wrapped, skin paper, tin" /><VBtn
        type="submit"
        class="quiet"
        :loading="busy"
        >Keep it</VBtn
      >
    </form>
    <form v-else-if="open === 'add'" class="fields" @submit.prevent="addTub">
      <VSelect
        v-model="form.source"
        label="What"
        :items="supplies.tubs.map((tub) => ({ value: tub.id, title: tub.name }))"
      /><VTextField
        v-model="form.grams"
        label="Stirred in"
        inputmode="decimal"
        suffix="g"
        :hint="after"
        persistent-hint
      /><VSelect
        v-model="form.why"
        label="Why"
        :items="additions.map((value) => ({ value, title: why[value] }))"
      /><VBtn type="submit" class="quiet" :disabled="!form.source" :loading="busy">Stir it in</VBtn>
    </form>
    <form
      v-else-if="open === 'weigh'"
      class="fields"
      @submit.prevent="act('reweigh-batch', { milligrams: mg(form.grams), reason: form.reason }, form.grams)"
    >
      <VTextField v-model="form.grams" label="Left on the scale" inputmode="decimal" suffix="g" /><VTextField
        v-model="form.reason"
        label="Why it differs"
      /><VBtn type="submit" class="quiet" :loading="busy">Set the weight</VBtn>
    </form>
    <RunWeighed v-else-if="open === 'run' && layerId" :batch="batch" :layer-id="layerId" />
    <form v-else class="fields" @submit.prevent="seeDrawDown">
      <label class="swatch">Paper of the draw-down <input v-model="form.ground" type="color" /></label
      ><label class="swatch">Colour seen <input v-model="form.colour" type="color" /></label>
      <VTextField v-model="form.thickness" label="Film" inputmode="decimal" suffix="µm" /><VBtn
        type="submit"
        class="quiet"
        :loading="busy"
        >Take it as seen</VBtn
      >
      <FilmStrip
        v-if="predicted"
        class="wide"
        :pigment="predicted.pigment"
        :paper="form.ground"
        :thickness="typedNumber(form.thickness) || usualFilm"
        :label="`${batch.name}, ${batch.drawDown ? 'as seen' : 'predicted'}`"
      />
    </form>
    <ul v-if="warnings.length > 0" class="lines">
      <li v-for="warning in warnings" :key="warning" class="trouble">{{ warning }}</li>
    </ul>
    <p v-if="batch.draws.length > 0" class="soft drawn">
      Drawn:
      {{
        batch.draws
          .slice(-6)
          .map((draw) => `${grams(draw.milligrams)} ${ago(draw.at)}`)
          .join(', ')
      }}.
    </p>
    <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.drawn {
  font-size: 0.84rem;
  padding-top: 8px;
}
.acts {
  padding: 10px 0 4px;
}
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin-bottom: 12px;
}
.choose button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 30px;
  font-size: 0.9rem;
}
.choose button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}
.fields {
  align-items: end;
}
.swatch {
  display: grid;
  gap: 6px;
  font-size: 0.8rem;
  color: var(--soft);
}
.swatch input {
  width: 84px;
  height: 40px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
</style>
