<script setup lang="ts">
import { pullsFor } from '#core/edition/lock-up'
import { isLastLayer, layerNumber } from '#core/edition/layer'
import { cutGate } from '#core/edition/gates'
import { isBegun } from '#core/edition/pull'
import { tallied } from '#core/edition/tally'
import { gateOf, toRead } from '#core/run/gate'
import { inkKnown } from '#core/run/ink-standing'
import { inkNeed, perPull } from '#core/run/ink-need'
import { outlook, stackOf } from '#core/run/outlook'
import { chanceWords, grams, formatDuration, percent } from '~/drawings/words'
import { agree, pluralise } from '#core/units/pluralise'

/** Before the block of a reduction is cut to its next state: what is alive, what would be left behind, and both chances. */
const edition = useEdition()
const session = useSession()
const route = useRoute()
const { layerId, layer } = useLayerChoice(typeof route.query.layer === 'string' ? route.query.layer : '')
const { busy, fault, giving } = useGiving()
const room = useInkRoom()
const reason = ref('')

const state = computed(() => edition.state!)
const place = computed(() => layerNumber(state.value, layerId.value) - 1)
const next = computed(() => state.value.layers[place.value + 1])
const look = computed(() => outlook(state.value, edition.record, layerId.value))
const gate = computed(() =>
  gateOf(stackOf(state.value), place.value, state.value.plan!, edition.record, edition.studio.confidence),
)
const isLast = computed(() => isLastLayer(state.value, layerId.value))
const isReduction = computed(() => state.value.plan?.method === 'reduction')
const drying = computed(() => tallied(state.value, 'wet'))
const sure = computed(() => percent(edition.studio.confidence))
const answer = computed(() => {
  const { waiting, morePulls, cutNow, pulledFirst, isRough } = gate.value
  if (morePulls === 0) return `It may be cut: ${chanceWords(cutNow, isRough)} without another pull.`
  if (morePulls !== null)
    return `Not yet: ${morePulls} of the ${waiting} that wait, pulled first, make it ${sure.value}.`
  return waiting > 0
    ? `Not enough sheets: even all ${waiting} that wait, pulled first, make it ${chanceWords(pulledFirst, isRough)}. Want fewer prints, or take fresh sheets through every layer so far, before it is cut.`
    : `Not enough sheets: ${chanceWords(cutNow, isRough)}, and none waits. Want fewer prints, or take fresh sheets through every layer so far, before it is cut.`
})
/** Ink that one more pull takes, by its zones. */
const inks = computed(() => {
  const here = layer.value
  if (!here) return []
  return inkNeed(state.value, here.id, inkKnown(here, room())).flatMap((need) => {
    const name = here.zones.find(({ id }) => id === need.zoneId)?.batchName
    return name ? [{ name, milligrams: perPull(need) }] : []
  })
})
/** Pulls that so many sheets more take. */
const pullsOf = (sheets: number) => (layer.value ? pullsFor(state.value, layer.value, sheets) : sheets)
const buys = computed(() =>
  toRead(gate.value).map(({ pulls, chance }) => ({
    pulls,
    chance: chanceWords(chance, gate.value.isRough),
    ink:
      pulls === 0
        ? ''
        : inks.value.map(({ name, milligrams }) => `${grams(milligrams * pullsOf(pulls))} of ${name}`).join(', '),
    time: look.value.pace && pulls > 0 ? formatDuration(look.value.pace * pullsOf(pulls)) : '',
  })),
)
/** The stack, sheet by sheet, in the order of what is most certain. */
const stack = computed(() => [
  ...Array<string>(Math.max(0, (edition.at?.alive ?? 0) - gate.value.waiting - (edition.at?.doubtful ?? 0))).fill(
    'through',
  ),
  ...Array<string>(edition.at?.doubtful ?? 0).fill('doubtful'),
  ...Array<string>(gate.value.waiting).fill('waiting'),
])
const shut = computed(() => {
  const { person } = session
  if (!person || !layer.value) return null
  return cutGate(state.value, layer.value, { personId: person.id, role: person.role })?.refusal.message ?? null
})
const mayCut = computed(
  () =>
    edition.isTheirs &&
    (session.person?.role !== 'student' || state.value.assignment !== null) &&
    shut.value === null &&
    !state.value.closedAt,
)
const nextIsPulled = computed(() => next.value !== undefined && isBegun(state.value, next.value.id))

const cut = () => giving(() => edition.give('cut-further', { layerId: layerId.value }))
const takeBack = () =>
  giving(async () => {
    await edition.give('take-back-cut', { layerId: layerId.value, reason: reason.value })
    reason.value = ''
  })
// The page stays with the layer it was opened for, though the press goes on to the next.
onMounted(() => {
  layerId.value = String(layerId.value)
})
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="state.layers" />
    <section v-if="!isReduction" class="part">
      <p>This edition is no reduction: its blocks are not cut between layers, and no layer is ever past.</p>
    </section>
    <section v-else-if="layer" class="part">
      <div class="part-head">
        <h2>Before the next state is cut</h2>
        <p>once cut, no more of {{ layer.name }} can ever be pulled</p>
      </div>
      <template v-if="layer.cutFurther">
        <p class="spoken">The block is cut further: this layer takes no more pulls.</p>
        <p v-if="!nextIsPulled && edition.isTheirs" class="buttons">
          <VBtn v-if="next" :to="`/bench/${edition.id}?layer=${next.id}`">Go on with {{ next.name }}</VBtn
          ><VBtn v-else :to="`/editions/${edition.id}/plan`">Add the next layer</VBtn>
        </p>
        <p v-if="nextIsPulled" class="soft">{{ next?.name }} has been pulled from its next state.</p>
        <OpenForm v-else-if="mayCut" @submit.prevent="takeBack">
          <p class="soft">Until the first pull of {{ next?.name ?? 'the next layer' }} that can be taken back.</p>
          <div class="fields">
            <VTextField v-model="reason" label="Why it is taken back" placeholder="it was only inked up" /><VBtn
              type="submit"
              class="quiet"
              :loading="busy"
              >It was not cut after all</VBtn
            >
          </div>
        </OpenForm>
      </template>
      <p v-else-if="isLast" class="spoken">This is the last layer: nothing is cut after it.</p>
      <template v-else>
        <p class="spoken">{{ answer }}</p>
        <svg
          class="stack"
          preserveAspectRatio="xMinYMid meet"
          :viewBox="`0 0 ${Math.max(1, stack.length) * 12} 34`"
          role="img"
          :aria-label="`${pluralise(edition.at?.alive ?? 0, 'sheet')} alive, ${edition.at?.doubtful} of them doubtful; ${gate.waiting} ${agree(gate.waiting, 'waits', 'wait')} for ${layer.name}`"
        >
          <g v-for="(kind, i) in stack" :key="i" :class="kind" :transform="`translate(${i * 12}, 0)`">
            <rect x="1" y="4" width="8" height="26" />
            <circle v-if="kind === 'doubtful'" cx="5" cy="17" r="2.4" />
          </g>
        </svg>
        <div class="figures">
          <span
            ><b>{{ edition.at?.alive }}</b
            >alive</span
          >
          <span class="d"
            ><b>{{ edition.at?.doubtful }}</b
            >of them doubtful</span
          >
          <span
            ><b>{{ drying }}</b
            >drying</span
          >
          <span
            ><b>{{ gate.waiting }}</b
            >left behind if it is cut now</span
          >
          <span
            ><b>{{ look.goal }}</b
            >wanted</span
          >
        </div>
        <p>
          Cut now: <strong>{{ chanceWords(gate.cutNow, gate.isRough) }}</strong>. What waits pulled first:
          <strong>{{ chanceWords(gate.pulledFirst, gate.isRough) }}</strong>. Without the doubtful:
          <strong>{{ chanceWords(look.chanceWithoutDoubtful, look.isRough) }}</strong>.
          <template v-if="gate.laterProofs > 0"
            >Proofs of later layers take about {{ pluralise(gate.laterProofs, 'sheet') }}; the chance allows for
            them.</template
          >
        </p>
        <p v-if="!edition.isTheirs" class="soft">Those named on the edition and staff decide it.</p>
        <p v-else-if="shut">{{ shut }} <NuxtLink :to="`/editions/${edition.id}/class`">Ask for it</NuxtLink></p>
        <p v-else-if="!mayCut" class="soft">Show this page to a teacher or the manager: they sign off the cut.</p>
        <div v-else class="buttons">
          <VBtn v-if="gate.waiting > 0" :to="`/bench/${edition.id}?layer=${layerId}`">Pull more first</VBtn>
          <VBtn :class="{ quiet: gate.waiting > 0 }" :loading="busy" @click="cut"
            >Yes, it is cut: no more of {{ layer.name }}</VBtn
          >
        </div>
        <table v-if="gate.waiting > 0" v-columns class="ruled">
          <caption class="soft">
            What more pulls of
            {{
              layer.name
            }}
            would buy
          </caption>
          <thead>
            <tr>
              <th class="number">Pulled first</th>
              <th class="number">Chance of {{ look.goal }}</th>
              <th>Ink</th>
              <th>At this pace</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in buys" :key="one.pulls" :class="{ fewest: one.pulls === gate.morePulls }">
              <td class="number">{{ one.pulls === 0 ? 'none' : one.pulls }}</td>
              <td class="number">{{ one.chance }}</td>
              <td>{{ one.ink }}</td>
              <td>{{ one.time }}</td>
            </tr>
          </tbody>
        </table>
        <InkEnough :layer-ids="[layerId]" />
      </template>
      <TroubleLine :words="fault" />
    </section>
  </div>
</template>

<style scoped>
.stack {
  display: block;
  width: 100%;
  max-width: 780px;
  max-height: 60px;
}
.stack rect {
  stroke: var(--ink);
}
.stack .through rect {
  fill: var(--ink);
}
.stack .doubtful rect {
  fill: var(--doubtful);
  stroke: var(--doubtful);
}
.stack .doubtful circle {
  fill: var(--sheet);
}
.stack .waiting rect {
  fill: none;
  stroke-dasharray: 3 2;
}
caption {
  text-align: left;
  padding: 14px 0 4px;
}
.fewest td {
  font-weight: 600;
}
.buttons {
  margin-top: 16px;
}
</style>
