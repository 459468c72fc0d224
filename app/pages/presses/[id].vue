<script setup lang="ts">
import { press as pressStream } from '#core/stores/press/stream'
import { hasRoller, pressWays } from '#core/press/kinds'
import { readingWords, tiltOf } from '#core/press/screws'
import { screwsOf } from '#core/run/set-up'
import { ago } from '~/drawings/words'

/** One press: what is set up on it, how it is made, where its zero is, what it costs, and who set what on it. */
const route = useRoute()
const session = useSession()
const supplies = useSupplies()
const units = useUnits()
const taking = useGiving()
const id = String(route.params.id)
const loaded = computed(() => supplies.areRead('presses'))
const trouble = computed(() => supplies.troubleOf('presses'))
const press = computed(() => supplies.presses.find((one) => one.id === id) ?? null)
useHead({ title: () => `${press.value?.name ?? 'A press'} · Ample Tally` })

const isOnScrews = computed(() => press.value !== null && pressWays[press.value.kind].sets === 'screws')
const tilt = computed(() => {
  const screws = press.value && screwsOf(press.value)
  const setting = press.value?.standing?.setting
  return screws && setting ? tiltOf(setting.left, setting.right, screws) : 0
})

const takeDown = () => taking.giving(() => session.give('take-down', pressStream.of(id), { note: '' }))
</script>

<template>
  <div>
    <div class="page-head">
      <h1>{{ press?.name ?? 'A press' }}</h1>
      <p v-if="press" class="told">{{ pressWays[press.kind].words }}</p>
      <VBtn class="quiet right" to="/presses">All presses</VBtn>
      <VBtn v-if="press" :to="`/stations/${id}`">Who is at it</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <p v-if="loaded && !press" class="trouble" role="alert">
      That press is not in the room. <NuxtLink to="/presses">See which are</NuxtLink>.
    </p>
    <template v-if="press">
      <section class="part">
        <div class="part-head"><h2>On it now</h2></div>
        <div v-if="press.standing" class="standing">
          <SandwichDrawing
            :packing="press.standing.setting.packing"
            :block="press.standing.setting.block"
            :press="press.name"
            :roller="hasRoller(press.kind)"
          />
          <div class="told-of">
            <p class="sentence">
              <NuxtLink :to="`/editions/${press.standing.editionStream.slice('edition:'.length)}/press`">{{
                press.standing.title
              }}</NuxtLink>, {{ press.standing.layerName }}
            </p>
            <p v-if="isOnScrews">
              left {{ readingWords(press.standing.setting.left) }}, right {{ readingWords(press.standing.setting.right)
              }}<template v-if="Math.abs(tilt) >= 0.005"
                >; the {{ tilt > 0 ? 'left' : 'right' }} end {{ units.thickness(Math.abs(tilt)) }} higher</template
              >
            </p>
            <p class="soft">set up by {{ session.nameOf(press.standing.by) }} {{ ago(press.standing.at) }}</p>
            <p v-if="press.standing.setting.note" class="soft">{{ press.standing.setting.note }}</p>
            <TroubleLine :words="taking.fault.value" />
            <div class="buttons">
              <VBtn class="quiet" :loading="taking.busy.value" @click="takeDown">Pressure off, packing back</VBtn>
            </div>
          </div>
        </div>
        <p v-else class="soft">
          Nothing is set up on it<template v-if="press.last"
            >; last it was {{ press.last.title }}, {{ press.last.layerName }}, {{ ago(press.last.at) }}</template
          >. It is set up from the Press stop of an edition.
        </p>
      </section>
      <section class="part">
        <div class="part-head"><h2>How it is made</h2></div>
        <PressMade :press="press" />
      </section>
      <section v-if="isOnScrews" class="part">
        <div class="part-head">
          <h2>Its zero</h2>
          <p>each screw is counted from its own</p>
        </div>
        <ZeroOfPress :press="press" />
      </section>
      <section class="part">
        <div class="part-head"><h2>What it costs</h2></div>
        <PressRates :press="press" />
      </section>
      <section class="part">
        <div class="part-head"><h2>What was set on it</h2></div>
        <PressUses :key="press.seq" :press-id="press.id" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.standing {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 20px 36px;
}
.told-of {
  display: grid;
  gap: 8px;
  align-content: start;
}
@media (max-width: 900px) {
  .standing {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
