<script setup lang="ts">
import { blendAfter, bridges, rolled, stretchesOf } from '#core/ink/blended-roll'
import { hueNames } from '#core/ink/hues'
import { hexOf } from '#core/ink/colour'
import { reflectanceOf } from '#core/ink/reconstruct'
import type { BlendPlan } from '#core/ink/roll-up'
import type { Layer } from '#core/edition/layer'
import { pigmentOf } from '#core/ink/shelf'
import { pluralise } from '#core/units/pluralise'

/** Two to four inks side by side on one roller: the strip on the slab, what it shows in between, and what would bridge it. */
const props = defineProps<{ layer: Layer; across: number | null }>()
const edition = useEdition()
const supplies = useSupplies()
const { ofBatch } = useShelf()
const keeping = useGiving()
const blank = (): BlendPlan =>
  props.layer.blend ?? {
    stripes: [
      { batchId: '', at: 0.2 },
      { batchId: '', at: 0.8 },
    ],
    blend: 0.3,
    widening: 0.01,
    freshAfter: 12,
    avoid: null,
    severalDirections: false,
    thickness: usualFilm,
  }
const form = useFollowing(blank)
const draft = useDraft(`blend ${props.layer.id}`, form, blank)
const charges = ref(0)
const heeded = ref(true)
const places = 90
const paper = computed(() => edition.state!.overprint?.paper ?? usualPaper)
const ground = computed(() => reflectanceOf(paper.value))
const stripes = computed(() => form.value.stripes.map((stripe) => ({ at: stripe.at, mix: ofBatch(stripe.batchId) })))
const ready = computed(() => stripes.value.every((stripe) => stripe.mix !== null))
const blendNow = computed(() => blendAfter(form.value.blend, charges.value, form.value.widening))
const strip = computed(() =>
  ready.value
    ? rolled(
        ground.value,
        stripes.value.map((stripe) => ({ at: stripe.at, tinting: 1, pigment: stripe.mix!.pigment })),
        blendNow.value,
        form.value.thickness,
        places,
      )
    : [],
)
/** Each bead reaches half-way to its neighbours. */
const beads = computed(() =>
  form.value.stripes.map((stripe, i, all) => {
    const before = i === 0 ? 0 : (all[i - 1]!.at + stripe.at) / 2
    const after = i === all.length - 1 ? 1 : (stripe.at + all[i + 1]!.at) / 2
    const mix = stripes.value[i]!.mix
    return {
      name: supplies.batches.find(({ id }) => id === stripe.batchId)?.name ?? '',
      hex: mix ? filmHex(mix.pigment, paper.value, 4 * usualFilm) : paper.value,
      at: stripe.at,
      share: Math.max(0.05, after - before),
      told: '',
    }
  }),
)
const unwanted = computed(() => (form.value.avoid ? stretchesOf(strip.value, form.value.avoid) : []))
const roller = computed(() => props.layer.rollUp?.roller ?? null)
const narrow = computed(() => roller.value !== null && props.across !== null && roller.value.width < props.across)
const bridging = computed(() => {
  if (!form.value.avoid || unwanted.value.length === 0 || form.value.stripes.length > 3) return []
  const middle = (unwanted.value[0]!.from + unwanted.value[0]!.to) / 2
  const after = Math.max(
    1,
    stripes.value.findIndex((stripe) => stripe.at > middle),
  )
  const pair = [stripes.value[after - 1]!, stripes.value[after]!].map((stripe) => ({
    at: stripe.at,
    tinting: 1,
    pigment: stripe.mix!.pigment,
  }))
  const shelf = supplies.tubs.flatMap((tub) => {
    const pigment = tub.nature === 'oil' || tub.nature === 'drier' ? null : pigmentOf(tub)
    return pigment ? [{ tub, pigment, tinting: tub.tinting }] : []
  })
  return bridges(ground.value, [pair[0]!, pair[1]!], shelf, form.value.avoid, blendNow.value, form.value.thickness)
    .slice(0, 3)
    .map((bridge) => ({ ...bridge, tub: shelf[bridge.index]!.tub }))
})
const batches = computed(() => [
  { value: '', title: 'an ink' },
  ...supplies.batches.map(({ id, name }) => ({ value: id, title: name })),
])
const nameOfBatch = (id: string) => batches.value.find(({ value }) => value === id)?.title ?? 'an ink'
/** A share of the form as a share of a hundred, to so many places. */
const inHundred = (key: 'blend' | 'widening', places: number) =>
  computed({
    get: () => Math.round(form.value[key] * 100 * 10 ** places) / 10 ** places,
    set: (value: number) => {
      form.value[key] = value / 100
    },
  })
const blendWidth = inHundred('blend', 0)
const widening = inHundred('widening', 1)
const directionWords = [
  { value: 'one', title: 'in one direction' },
  { value: 'several', title: 'in several directions' },
]
const directions = computed({
  get: () => (form.value.severalDirections ? 'several' : 'one'),
  set: (value) => {
    form.value.severalDirections = value === 'several'
  },
})
const hues = [{ value: '', title: 'no hue' }, ...hueNames.map((value) => ({ value, title: value }))]
const avoided = computed({
  get: () => form.value.avoid ?? '',
  set: (value) => {
    form.value.avoid = (value || null) as BlendPlan['avoid']
  },
})
async function save() {
  if (await keeping.giving(() => edition.give('plan-blend', { layerId: props.layer.id, blend: form.value })))
    draft.done()
}
async function without() {
  if (await keeping.giving(() => edition.give('plan-blend', { layerId: props.layer.id, blend: null }))) draft.done()
}
</script>

<template>
  <div>
    <p class="sentence blend">
      <template v-for="(stripe, i) in form.stripes" :key="i"
        ><template v-if="i > 0"> into </template
        ><EditableValue
          v-model="stripe.batchId"
          :label="`Stripe ${i + 1}`"
          kind="choice"
          :options="batches"
          :words="nameOfBatch(stripe.batchId)" /></template
      >, blended over
      <EditableValue v-model="blendWidth" label="Width of the blend" :max="100" unit="%" :words="`${blendWidth} %`" />
      of the roller,
      <EditableValue
        v-model="form.freshAfter"
        label="Lay it fresh after"
        :max="500"
        unit="charges"
        :words="
          form.freshAfter === 0 ? 'never laid afresh' : `laid afresh after ${pluralise(form.freshAfter, 'charge')}`
        "
      />.
    </p>
    <SlabDrawing
      v-if="ready"
      :beads="beads"
      :rolled="strip.map(hexOf)"
      :marked="unwanted.map(({ from, to }) => ({ from, to, told: `${form.avoid} shows here` }))"
      :roller="roller"
      :across="across"
      movable
      :label="`Blended strip of ${form.stripes.length} inks${unwanted.length > 0 ? `, ${form.avoid} shows in it` : ''}`"
      @move="(i, at) => (form.stripes[i]!.at = at)"
      >Drag a bead along the slab, or move it with the arrow keys. The roller’s width on this paper,
      {{ charges === 0 ? 'freshly laid' : `after ${charges} charges` }}; a prediction, a draw-down decides.</SlabDrawing
    >
    <p v-else class="soft">Choose a batch for each stripe, and the blend is laid out here.</p>
    <p v-if="unwanted.length > 0" class="warning">
      {{ form.avoid![0]!.toUpperCase() + form.avoid!.slice(1) }} shows in the middle, over
      {{ Math.round(unwanted.reduce((sum, s) => sum + s.to - s.from, 0) * 100) }} % of the roller.<template
        v-if="bridging.length > 0"
      >
        Between the two could go:
        {{
          bridging
            .map(
              (bridge) =>
                `${bridge.tub.name} (${bridge.clear ? 'keeps it clear' : `${Math.round(bridge.shown * 100)} % left`})`,
            )
            .join(', ')
        }}.</template
      >
    </p>
    <template v-if="heeded">
      <p v-if="narrow" class="warning">
        The block is wider than {{ roller!.name }}: the blend will not reach its edges.
        <button type="button" @click="heeded = false">It is meant so</button>
      </p>
      <p v-if="form.severalDirections" class="warning">
        Rolled in more than one direction the colours mix all over the block.
        <button type="button" @click="heeded = false">It is meant so</button>
      </p>
    </template>
    <div class="customs">
      <p>
        It widens
        <EditableValue
          v-model="widening"
          label="Widening with each charge"
          kind="decimal"
          :max="5"
          unit="%"
          :words="`${widening} %`"
        />
        a charge, rolled
        <EditableValue
          v-model="directions"
          label="Directions of the blend"
          kind="choice"
          :options="directionWords"
          :words="directionWords.find(({ value }) => value === directions)!.title"
        />; to be kept out is
        <EditableValue
          v-model="avoided"
          label="Hue to keep out"
          kind="choice"
          :options="hues"
          :words="form.avoid ?? 'no hue'"
        />. Seen after
        <EditableValue
          v-model="charges"
          label="Charges so far"
          :max="60"
          unit="charges"
          :words="pluralise(charges, 'charge')"
        />.
      </p>
    </div>
    <TroubleLine :words="keeping.fault.value" />
    <div v-if="!edition.state!.closedAt" class="buttons">
      <VBtn :loading="keeping.busy.value" @click="save">Keep the blend</VBtn
      ><VBtn
        v-if="form.stripes.length < 4"
        class="quiet"
        @click="form.stripes.push({ batchId: '', at: Math.min(1, form.stripes.at(-1)!.at + 0.1) })"
        >One more stripe</VBtn
      ><VBtn v-if="form.stripes.length > 2" class="quiet" @click="form.stripes.pop()">One stripe less</VBtn
      ><VBtn v-if="layer.blend" class="quiet" @click="without">No blend on this layer</VBtn>
    </div>
  </div>
</template>

<style scoped>
.warning {
  color: var(--doubtful);
  font-weight: 600;
  font-size: 0.92rem;
  padding-bottom: 8px;
}
.warning button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  font-weight: 400;
  min-height: 28px;
}
.blend {
  font-size: 1.25rem;
}
</style>
