<script setup lang="ts">
import { edition as editionStream } from '#core/edition/stream'
import { streamId } from '#core/ground/envelope'
import { batch as batchStream } from '#core/stores/batch/stream'
import { v7 } from 'uuid'
import { heldOf } from '#core/ink/recipe'
import { careWithInk } from '#core/care/cards'
import { inkFamilies } from '#core/ink/family'
import { shares } from '#core/ink/component'
import type { EditionReply } from '#shared/replies/replies'
import { grams } from '~/drawings/words'

useHead({ title: 'Mix a batch · Ample Tally' })
const route = useRoute()
const supplies = useSupplies()
const session = useSession()
const { busy, fault, field, giving, refuse } = useGiving()
const mixing = useMixing()
const { form, wanted, made, weighed, pouredSum, warnings, total } = mixing
/** A batch that is topped up: what is left of it counts as poured. */
const more = computed(() => supplies.batches.find((batch) => batch.id === route.query.more) ?? null)
const asked = typedNumber(String(route.query.grams ?? ''))
if (asked > 0) form.value.total = String(Math.round(asked * 10) / 10)
if (typeof route.query.paper === 'string' && /^#[0-9a-f]{6}$/i.test(route.query.paper))
  form.value.paper = route.query.paper
const draft = useDraft(`mix ${String(route.query.more ?? route.query.like ?? route.query.edition ?? '')}`, form)
/** A batch to begin from must be known before anything is typed over it. */
const ready = ref(!route.query.more && !route.query.like)
const matching = ref(false)
const had = ref<number[]>([])

onMounted(async () => {
  await supplies.whenRead('tubs', 'batches').catch((error: unknown) => {
    fault.value = wordsOf(error)
  })
  const pattern = more.value ?? supplies.batches.find((batch) => batch.id === route.query.like) ?? null
  if (pattern && form.value.rows.every((row) => row.amount === '')) {
    const { name, family, components, mixed } = pattern
    const parts = shares(components)
    const held = heldOf(
      components.map((component) => component.milligrams),
      more.value?.left ?? 0,
    )
    form.value = {
      ...form.value,
      name: more.value ? name : `${name} again`,
      family,
      mode: 'percent',
      total: String(Math.round(mixed / 1000)),
      rows: components.map(({ tubId, batchId, name: called }, i) => ({
        source: tubId !== null ? `tub:${tubId}` : batchId !== null ? `batch:${batchId}` : '',
        name: called,
        amount: String(Math.round(parts[i]! * 1000) / 10),
        poured: held[i]!,
      })),
    }
  }
  ready.value = true
  had.value = more.value
    ? heldOf(
        more.value.components.map((component) => component.milligrams),
        more.value.left,
      )
    : []
})

function take(recipe: { source: string; share: number }[]) {
  form.value.mode = 'percent'
  form.value.rows = recipe.map(({ source, share }) => ({
    source,
    name: '',
    amount: (share * 100).toFixed(1),
    poured: 0,
  }))
  matching.value = false
}

/** What was weighed in now, without what a topped-up batch held before. */
const added = computed(() =>
  weighed.value
    .map((component) => {
      const i = mixing.used.value.findIndex((row) => mixing.nameOf(row) === component.name)
      return {
        ...component,
        milligrams: component.milligrams - (had.value[form.value.rows.indexOf(mixing.used.value[i]!)] ?? 0),
      }
    })
    .filter((component) => component.milligrams > 0),
)

async function putOnSlab() {
  if (added.value.length === 0) return refuse('Weigh in at least one ink first.')
  if (form.value.name.trim() === '') {
    field.value = 'name'
    return refuse('Give the batch a name to find it by, for instance slate 3. What was weighed in is kept.')
  }
  const id = more.value?.id ?? v7()
  const colour = made.value ? filmHex(made.value.pigment, form.value.paper, form.value.film) : '#8a8375'
  const act = () =>
    more.value
      ? session.give('add-ink', batchStream.of(id), { components: added.value, why: 'top-up' })
      : session.give('mix-batch', batchStream.of(id), {
          name: form.value.name.trim(),
          family: form.value.family,
          colour,
          components: added.value,
        })
  if (!(await giving(act))) return
  draft.done()
  const { edition, layer } = route.query
  if (!edition) {
    await navigateTo('/ink')
    return
  }
  if (!more.value) await giving(() => useFor(id))
  await navigateTo(`/editions/${String(edition)}/ink?layer=${String(layer)}`)
}

/** The zone it was mixed for is rolled with it from now on. */
async function useFor(batchId: string) {
  const { edition, layer, zone } = route.query
  const { state } = await api<EditionReply>(`/api/editions/${String(edition)}`)
  const zones = state.layers
    .find((known) => known.id === layer)
    ?.zones.map(({ id, name, batchId: before }) => ({ id, name, batchId: id === zone ? batchId : before }))
  if (zones)
    await session.give('set-zones', editionStream.of(streamId(state.stream)), { layerId: String(layer), zones })
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>{{ more ? `Top up ${more.name}` : 'Mix a batch' }}</h1>
      <p class="told">{{ grams(pouredSum) }} in, {{ grams(total) }} wanted</p>
    </div>
    <form v-if="ready" @submit.prevent="putOnSlab">
      <section class="part">
        <CareNotes :cards="[...careWithInk([form.family]), 'powders']" />
        <div class="fields">
          <VTextField
            v-model="form.name"
            label="Name of the batch"
            placeholder="slate 3, for instance"
            :disabled="!!more"
            :error-messages="field === 'name' ? fault : undefined"
          />
          <VSelect v-model="form.family" label="Family" :items="[...inkFamilies]" :disabled="!!more" />
          <label class="swatch"
            >Paper <input v-model="form.paper" type="color" aria-label="Colour of the paper"
          /></label>
          <label class="swatch"
            >Film, {{ form.film }} µm
            <input v-model.number="form.film" type="range" min="1" max="15" step="0.5" aria-label="Film in µm"
          /></label>
        </div>
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Recipe</h2>
          <p>shares of the weight</p>
        </div>
        <FilmStrip
          :pigment="wanted?.pigment ?? null"
          :paper="form.paper"
          :thickness="form.film"
          :label="form.name || 'The mix'"
        />
        <p class="soft label">
          A prediction{{
            wanted && wanted.unknown > 0
              ? `, without the ${Math.round(wanted.unknown * 100)} % whose colour is not known`
              : ''
          }}. Make a draw-down on this paper; it decides.
        </p>
        <RecipeRows :mixing="mixing"
          ><VBtn v-if="!more" class="quiet" @click="matching = !matching">{{
            matching ? 'Leave the matching' : 'Match a colour'
          }}</VBtn></RecipeRows
        >
        <p v-for="warning in warnings" :key="warning" class="warning">{{ warning }}</p>
        <MatchColour v-if="matching" class="match" :paper="form.paper" :film="form.film" @take="take" />
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Weigh in</h2>
          <p>knead and roll the ink first; oil and drier last</p>
        </div>
        <WeighIn :mixing="mixing" />
      </section>
      <p v-if="fault && field !== 'name'" class="trouble" role="alert">{{ fault }}</p>
      <div class="buttons">
        <VBtn type="submit" :loading="busy">{{ more ? 'Stir it in' : 'Put it on the slab' }}</VBtn><NuxtLink to="/ink"
          >To the slab, leaving it for later</NuxtLink
        >
      </div>
    </form>
  </div>
</template>

<style scoped>
.swatch {
  display: grid;
  gap: 6px;
  font-size: 0.8rem;
  color: var(--soft);
}
.swatch input[type='color'] {
  width: 84px;
  height: 36px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
.swatch input[type='range'] {
  accent-color: var(--green);
  min-height: 36px;
}
.label {
  font-size: 0.86rem;
  margin: 4px 0 14px;
}
.warning {
  color: var(--doubtful);
  font-weight: 600;
  padding-top: 6px;
  font-size: 0.92rem;
}
.match {
  margin-top: 14px;
}
</style>
