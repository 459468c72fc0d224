<script setup lang="ts">
import { batch as batchStream } from '#core/stores/batch/stream'
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
const { busy, fault, giving, refuse } = useGiving()
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

const target = computed(() => batchStream.of(props.batch.id))
async function giveAs(act: () => Promise<unknown>) {
  if (await giving(act)) form.value = blank()
}
/** Of an act that goes by a weight. */
async function weighed(act: (milligrams: number) => Promise<unknown>) {
  const milligrams = mg(form.value.grams)
  if (!Number.isFinite(milligrams)) return refuse('Give the weight in grams, for instance 12,5.')
  await giveAs(() => act(milligrams))
}
const draw = () =>
  weighed((milligrams) =>
    session.give('draw-ink', target.value, {
      milligrams,
      editionStream: props.editionStream ?? '',
      layerId: props.layerId ?? null,
      note: '',
    }),
  )
const keep = () =>
  weighed((milligrams) =>
    session.give('keep-batch', target.value, {
      milligrams,
      scraped: mg(form.value.scraped) || 0,
      how: form.value.how,
    }),
  )
const stirIn = () =>
  weighed((milligrams) => {
    const tub = supplies.tubs.find((known) => known.id === form.value.source)
    const component = { tubId: tub?.id ?? null, batchId: null, name: tub?.name ?? 'something', milligrams }
    return session.give('add-ink', target.value, { components: [component], why: form.value.why })
  })
const reweigh = () =>
  weighed((milligrams) => session.give('reweigh-batch', target.value, { milligrams, reason: form.value.reason }))
const seeDrawDown = () => {
  const { ground, colour } = form.value
  const thickness = typedNumber(form.value.thickness)
  if (!(thickness > 0)) return refuse('Give the film of the draw-down in µm, above zero.')
  return giveAs(() => session.give('see-draw-down', target.value, { ground, colour, thickness }))
}

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
    <form v-if="open === 'draw'" class="fields" @submit.prevent="draw">
      <VTextField v-model="form.grams" label="Drawn for this session" inputmode="decimal" suffix="g" /><VBtn
        type="submit"
        class="quiet"
        :loading="busy"
        >Draw</VBtn
      >
    </form>
    <form v-else-if="open === 'keep'" class="fields" @submit.prevent="keep">
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
    <form v-else-if="open === 'add'" class="fields" @submit.prevent="stirIn">
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
    <form v-else-if="open === 'weigh'" class="fields" @submit.prevent="reweigh">
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
    <TroubleLine :words="fault" />
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
