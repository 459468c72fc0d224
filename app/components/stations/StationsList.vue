<script setup lang="ts">
import { station as stationStream } from '#core/station/stream'
import { v7 } from 'uuid'
import { type StationKind, stationKinds } from '#core/care/findings'
import { ago } from '~/drawings/words'

/** Stations that are no press: where ink is mixed, blocks are cut, plates exposed. */
const session = useSession()
const supplies = useSupplies()
const { busy, fault, giving } = useGiving()
const kinds = stationKinds.map((kind) => ({ value: kind, title: kind }))
const blank = () => ({ name: '', kind: 'ink table' as StationKind })
const form = ref(blank())
const draft = useDraft('new station', form)
const stations = computed(() =>
  supplies.stations
    .flatMap(({ kind, ...station }) =>
      kind !== null && station.isUsed && !supplies.presses.some(({ id }) => id === station.id)
        ? [{ ...station, kind }]
        : [],
    )
    .sort((a, b) => a.name.localeCompare(b.name)),
)
async function add() {
  if (!(await giving(() => session.give('set-station', stationStream.of(v7()), { ...form.value, isUsed: true }))))
    return
  draft.done()
  form.value = blank()
}
const giveUp = ({ id, name, kind }: (typeof stations.value)[number]) =>
  giving(() => session.give('set-station', stationStream.of(id), { name, kind, isUsed: false }))
</script>

<template>
  <div>
    <ul class="lines">
      <li v-for="one in stations" :key="one.id" class="station">
        <span
          ><NuxtLink :to="`/stations/${one.id}`"
            ><strong>{{ one.name }}</strong></NuxtLink
          ><span class="soft">, {{ one.kind }}</span></span
        >
        <span v-if="one.open">{{ session.nameOf(one.open.by) }}, since {{ ago(one.open.at) }}</span>
        <span v-else class="soft">{{
          one.last ? `free; ${session.nameOf(one.last.by)} was there ${ago(one.last.left.at)}` : 'free'
        }}</span>
        <button
          v-if="session.isStaff"
          type="button"
          class="link"
          :aria-label="`Give up ${one.name}`"
          @click="giveUp(one)"
        >
          Give up
        </button>
      </li>
    </ul>
    <form v-if="session.isStaff" @submit.prevent="add">
      <div class="customs">
        <p>
          Another station, the
          <EditableValue
            v-model="form.name"
            label="Name of the station"
            kind="text"
            :longest="60"
            :words="form.name || 'name people call it by'"
          />, a place of the kind
          <EditableValue
            v-model="form.kind"
            label="Kind of station"
            kind="choice"
            :options="kinds"
            :words="form.kind"
          />.
        </p>
      </div>
      <div class="buttons"><VBtn type="submit" class="quiet" :loading="busy">Add it</VBtn></div>
    </form>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr) auto;
  gap: 4px 28px;
}
form {
  margin-top: 10px;
}
@media (max-width: 700px) {
  .station {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
