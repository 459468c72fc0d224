<script setup lang="ts">
import { press as pressStream } from '#core/stores/press/stream'
import { today } from '~/format/days'
import { v7 } from 'uuid'
import { pressWays } from '#core/press/kinds'
import { type PressDescription, pressDefaults, rateOn } from '#core/stores/press/state'
import { readingWords } from '#core/press/screws'
import { ago } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** The presses of the room, what is set up on each, and the drawer of packing they share. */
useHead({ title: 'Presses · Ample Tally' })
const session = useSession()
const supplies = useSupplies()
const { busy, fault, field, giving } = useGiving()
const loaded = computed(() => supplies.areRead('presses', 'stations'))
const trouble = computed(() => supplies.troubleOf('presses', 'stations'))
const adding = ref(false)
const presses = computed(() => [...supplies.presses].sort((a, b) => a.name.localeCompare(b.name)))
const blank = (): PressDescription => ({ ...pressDefaults, name: '', kind: 'roller bed', divisions: 16 })
const stationOf = (id: string) => supplies.stations.find((one) => one.id === id)
const nameOf = (id: string) => supplies.presses.find((press) => press.id === id)?.name ?? stationOf(id)?.name ?? ''
const tasks = computed(() =>
  supplies.stations
    .flatMap(({ id, tasks }) => tasks.map((task) => ({ ...task, stationId: id, station: nameOf(id) })))
    .sort((a, b) => a.at.localeCompare(b.at)),
)
const form = ref(blank())
const draft = useDraft('new press', form)
const rateWords = (hour: number | null) =>
  hour === null ? '' : hour === 0 ? 'no charge' : `${session.session?.studio.currency ?? ''} ${hour.toFixed(2)} an hour`

async function add() {
  const id = v7()
  if (!(await giving(() => session.give('add-press', pressStream.of(id), { ...form.value })))) return
  draft.done()
  form.value = blank()
  adding.value = false
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Presses</h1>
      <p class="told">{{ pluralise(supplies.presses.length, 'press', 'presses') }} in the room</p>
      <VBtn class="quiet right" to="/losses">Losses</VBtn>
      <VBtn class="quiet" to="/finder">Fault finder</VBtn>
      <VBtn v-if="session.isStaff" @click="adding = !adding">{{ adding ? 'Leave the new press' : 'Add a press' }}</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <section v-if="adding" class="part">
      <div class="part-head"><h2>A press for the room</h2></div>
      <ActForm button="Add the press" :busy="busy" :fault="fault" @give="add">
        <PressSentence v-model="form" :fault="{ field, words: fault }" />
      </ActForm>
    </section>
    <section class="part" aria-label="The presses">
      <TeachStep v-if="loaded && presses.length === 0 && !adding" />
      <ul class="lines">
        <li v-for="press in presses" :key="press.id" class="press">
          <div>
            <h2>
              <NuxtLink :to="`/presses/${press.id}`">{{ press.name }}</NuxtLink>
            </h2>
            <p class="soft">{{ pressWays[press.kind].words }}</p>
          </div>
          <div>
            <p v-if="press.standing">
              <strong>{{ press.standing.title }}</strong>, {{ press.standing.layerName
              }}<template v-if="press.standing.setting.left.turns || press.standing.setting.left.divisions"
                >; {{ readingWords(press.standing.setting.left) }}</template
              ><br />
              <span class="soft">set up by {{ session.nameOf(press.standing.by) }} {{ ago(press.standing.at) }}</span>
            </p>
            <p v-else class="soft">Nothing is set up on it.</p>
            <p v-if="stationOf(press.id)?.open" class="there">
              <NuxtLink :to="`/stations/${press.id}`">{{ session.nameOf(stationOf(press.id)!.open!.by) }}</NuxtLink>
              is at it, since {{ ago(stationOf(press.id)!.open!.at) }}
            </p>
            <p v-else>
              <NuxtLink :to="`/stations/${press.id}`">Open a session</NuxtLink
              ><span v-if="stationOf(press.id)?.last" class="soft"
                >; left {{ ago(stationOf(press.id)!.last!.left.at) }} by
                {{ session.nameOf(stationOf(press.id)!.last!.by) }}</span
              >
            </p>
          </div>
          <div class="soft">
            <p v-if="press.condition">{{ press.condition }}</p>
            <p v-if="pressWays[press.kind].sets === 'screws' && press.zero === null" class="warn">zero not found yet</p>
            <p>{{ rateWords(rateOn(press.rates, today())) }}</p>
          </div>
        </li>
      </ul>
    </section>
    <section v-if="loaded" class="part">
      <div class="part-head">
        <h2>To be done</h2>
        <p>what was found or left dirty, broken or low</p>
      </div>
      <p v-if="tasks.length === 0" class="soft">Nothing is dirty, broken or low.</p>
      <TaskLines :tasks="tasks" />
    </section>
    <section v-if="loaded" class="part">
      <div class="part-head"><h2>Other stations</h2></div>
      <StationsList />
    </section>
    <section v-if="loaded" class="part">
      <div class="part-head">
        <h2>The packing drawer</h2>
        <p>what lies in one press is not offered at another</p>
      </div>
      <DrawerList />
    </section>
  </div>
</template>

<style scoped>
.press {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 8px 28px;
  align-items: baseline;
}
h2 {
  font-size: 1.15rem;
}
.there {
  font-weight: 600;
}
.warn {
  color: var(--doubtful);
}
@media (max-width: 900px) {
  .press {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
