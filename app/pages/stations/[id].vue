<script setup lang="ts">
import { careAt, careWithInk } from '#core/care/cards'
import type { Place } from '#core/care/findings'
import type { InkFamily } from '#core/ink/family'
import { pressWays } from '#core/press/kinds'
import { nothingUsed } from '#core/station/state'
import type { StationReply } from '#shared/replies/replies'
import { ago } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'
import { describeFindings, leftWords } from '~/drawings/sessions'

/** A press or another station as the next person finds it: who is there, how it was left, and the session opened or closed. */
const route = useRoute()
const session = useSession()
const supplies = useSupplies()
const id = String(route.params.id)
const { reply: told, trouble } = useReply<StationReply>(`/api/stations/${id}`, {
  // What was used and drawn in the open session too.
  on: [`station:${id}`, 'edition', 'lot', 'batch', 'tub'],
})

const press = computed(() => supplies.presses.find((one) => one.id === id) ?? null)
const station = computed(() => told.value?.station ?? null)
const name = computed(() => press.value?.name ?? station.value?.name ?? '')
const place = computed<Place | null>(() => press.value?.kind ?? station.value?.kind ?? null)
const isThere = computed(() => name.value !== '' && station.value?.isUsed !== false)
useHead({ title: () => `${name.value || 'A station'} · Ample Tally` })

const familiesOf = (batchIds: readonly string[]): InkFamily[] => [
  ...new Set(batchIds.flatMap((one) => supplies.batches.find((batch) => batch.id === one)?.family ?? [])),
]
const last = computed(() => station.value?.last ?? null)
const lastFamilies = computed(() => [
  ...new Set([
    ...familiesOf(last.value?.left.used.batchIds ?? []),
    ...(last.value?.left.washed.map(({ family }) => family) ?? []),
  ]),
])
const used = computed(() => told.value?.used ?? nothingUsed)
const usedFamilies = computed(() => familiesOf(used.value.batchIds))
const open = computed(() => station.value?.open ?? null)
const isMine = computed(() => open.value !== null && open.value.by === session.person?.id)
const mayClose = computed(() => open.value !== null && (isMine.value || session.isStaff))
const care = computed(() =>
  place.value ? [...careAt(place.value), ...careWithInk(isMine.value ? [] : lastFamilies.value)] : [],
)
const asItSeems = ref(false)
</script>

<template>
  <div>
    <div class="page-head">
      <h1>{{ name || 'A station' }}</h1>
      <p v-if="place" class="told">{{ press ? pressWays[press.kind].words : place }}</p>
      <VBtn v-if="press" class="quiet right" :to="`/presses/${id}`">The press itself</VBtn>
      <VBtn class="quiet" :class="{ right: !press }" to="/presses">All presses and stations</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <p v-if="told && !isThere" class="trouble" role="alert">
      That station is not in the room. <NuxtLink to="/presses">See which are</NuxtLink>.
    </p>
    <template v-if="station && place && isThere">
      <section class="part" aria-label="Now">
        <p class="sentence">
          <template v-if="open"
            >{{ isMine ? 'You have' : `${session.nameOf(open.by)} has` }} a session open here since
            {{ ago(open.at) === 'just now' ? 'just now' : ago(open.at) }}; found
            {{ describeFindings(open.found.items) }}.</template
          >
          <template v-else-if="last"
            >Free. {{ session.nameOf(last.by) }} was here last, {{ ago(last.left.at) }};
            {{ leftWords(last.left, session.nameOf, last.left.by) }}.</template
          >
          <template v-else
            >Nobody has opened a session here yet. Say how you find it, and who left it so will be known.</template
          >
        </p>
        <p v-if="!open && last?.left.note" class="soft">“{{ last.left.note }}”</p>
        <p v-if="open && used.printed.length > 0" class="soft">
          <template v-for="one in used.printed" :key="one.layerId"
            >{{ one.title }}, {{ one.layerName }}: {{ pluralise(one.pulls, 'pull') }}.&#32;</template
          >
        </p>
        <BookedHere :place-id="id" />
        <CareNotes :cards="care" class="careful" />
        <OpenSession
          v-if="!isMine && !asItSeems"
          :key="`open ${station.seq}`"
          :station="station"
          :place="place"
          :families="lastFamilies"
        />
        <p v-if="!isMine && mayClose">
          <button type="button" class="link" :aria-expanded="asItSeems" @click="asItSeems = !asItSeems">
            {{ asItSeems ? 'Leave it open' : 'Close it for them, as it seems' }}
          </button>
        </p>
        <CloseSession
          v-if="isMine || (mayClose && asItSeems)"
          :key="open!.id"
          :station="station"
          :place="place"
          :families="usedFamilies"
          :drawn="told!.drawn"
          @kept="asItSeems = false"
        />
      </section>
      <section class="part">
        <div class="part-head"><h2>To be done</h2></div>
        <p v-if="station.tasks.length === 0" class="soft">Nothing is dirty, broken or low here.</p>
        <TaskLines :tasks="station.tasks.map((task) => ({ ...task, stationId: id }))" />
        <RaiseTask :station-id="id" />
      </section>
      <section class="part">
        <div class="part-head"><h2>Who was here</h2></div>
        <SessionLines :sessions="told!.sessions" />
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Station card</h2>
          <p>hung up here, its code opens this page</p>
        </div>
        <StationCard :id="id" :name="name" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.careful {
  margin: 10px 0 14px;
}
.sentence {
  font-size: 1.3rem;
  line-height: 1.45;
  max-width: 62ch;
  margin-bottom: 8px;
}
</style>
