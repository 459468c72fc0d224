<script setup lang="ts">
import { layerDrying, undriedUnder } from '#core/edition/wet'
import { isLastLayer } from '#core/edition/layer'
import type { Moment } from '#core/drying/moments'
import { pluralise } from '#core/units/pluralise'
import { overprintWords, stageOf } from '~/drawings/drying-words'
import { momentWords } from '~/drawings/drying'

/** What dries: when it is fit for what, what a touch says, and the sheets that somebody has found dry. */
const edition = useEdition()
const { layerId, layer } = useLayerChoice('', layerDrying)
const { busy, fault, giving } = useGiving()
const now = ref(Date.now())
const clock = setInterval(() => (now.value = Date.now()), 60_000)
onUnmounted(() => clearInterval(clock))
const { told, isDamp } = useDrying(layerId, now)

const state = computed(() => edition.state!)
const isLast = computed(() => isLastLayer(state.value, layerId.value))
const undried = computed(() => undriedUnder(state.value, layerId.value))
const disabled = computed(() => !!state.value.closedAt || !edition.isTheirs)
/** What somebody found by hand goes before what is reckoned. */
const answer = computed(() => {
  if (!told.value) return ''
  if (undried.value.length > 0) return reckoned.value
  const { stack } = told.value.drying.moments
  return stageOf(stack, told.value.hours) === 'not yet'
    ? 'Declared dry, sooner than is reckoned: touch a sheet before they are stacked.'
    : `Declared dry. ${reckoned.value}`
})
const reckoned = computed(() => {
  if (!told.value) return ''
  const { drying, since, hours } = told.value
  if (!isLast.value) return overprintWords(drying, since, now.value)
  const ship = stageOf(drying.moments.ship, hours)
  const stack = stageOf(drying.moments.stack, hours)
  if (ship === 'surely') return 'Fit to stack and to ship.'
  if (stack === 'surely') return `Fit to stack${ship === 'perhaps' ? ', perhaps to ship' : ', not yet to ship'}.`
  return stack === 'perhaps' ? 'It may be fit to stack: touch a sheet first.' : 'Not to be stacked yet.'
})
const moment = ref<Moment>('touch')
const moments = (['touch', 'overprint'] as const).map((value) => ({ value, title: momentWords[value] }))
const touched = (isDry: boolean) =>
  giving(() =>
    edition.give('touch-test', {
      layerId: layerId.value,
      moment: moment.value,
      isDry,
      batchIds: [
        ...new Set(state.value.layers.flatMap(({ zones }) => zones.flatMap(({ batchId }) => batchId ?? []))),
      ].slice(0, 40),
      isDamp: isDamp.value,
    }),
  )
const tests = computed(() => state.value.touchTests.filter((test) => test.layerId === layerId.value).reverse())
const hoursWords = (hours: number) =>
  hours < 1 ? `${Math.round(hours * 60)} min` : `${hours.toFixed(hours < 10 ? 1 : 0)} h`
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="state.layers" />
    <section class="part">
      <TeachStep v-if="!told || !layer"><span class="soft">It begins when something has been pulled.</span></TeachStep>
      <template v-else>
        <p class="spoken">{{ answer }}</p>
        <DryingDrawing :drying="told.drying" :since="told.since" :now="now" />
        <p class="soft">
          From the last pull, {{ hoursWords(Math.max(0, told.hours)) }} ago, for {{ told.by.family }} ink of about
          {{ told.by.film }} µm{{ told.by.isDamp ? ' on damp paper' : ''
          }}{{ told.by.beneath > 0 ? `, over ${pluralise(told.by.beneath, 'layer')}` : '' }};
          {{
            told.tests > 0
              ? `it rests on ${pluralise(told.tests, 'touch test')} of this room and a guess worth three`
              : 'a guess until the room’s own touch tests say better'
          }}. Dashed: perhaps. Filled: surely.
        </p>
        <DryingSaidBy :layer="layer" :disabled="disabled" />
        <div v-if="!disabled" class="touch">
          <div class="customs">
            <p>
              A sheet was touched, to see whether it is
              <EditableValue
                v-model="moment"
                label="What it was touched for"
                kind="choice"
                :options="moments"
                :words="momentWords[moment]"
              />:
            </p>
          </div>
          <div class="buttons">
            <VBtn class="quiet" :loading="busy" @click="touched(true)">It is</VBtn
            ><VBtn class="quiet" :loading="busy" @click="touched(false)">Not yet</VBtn>
          </div>
        </div>
        <ul v-if="tests.length > 0" class="lines">
          <li v-for="test in tests" :key="test.position">
            {{ test.isDry ? momentWords[test.moment] : `not yet ${momentWords[test.moment]}` }} after
            {{ hoursWords(test.hours) }}, expected after {{ hoursWords(test.expected) }}
          </li>
        </ul>
        <TroubleLine :words="fault" />
        <div v-if="!state.closedAt" class="buttons">
          <VBtn
            v-if="undried.length > 0 && !disabled"
            @click="edition.tap('declare-dry', { layerId, sheetIds: undried })"
            >Declare {{ pluralise(undried.length, 'sheet') }} dry</VBtn
          >
          <span v-else-if="undried.length === 0" class="soft">Every sheet of this layer is declared dry.</span>
          <VBtn class="quiet" to="/racks">To the racks</VBtn
          ><VBtn class="quiet" :to="`/editions/${edition.id}/finish`">After the press</VBtn>
        </div>
      </template>
    </section>
  </div>
</template>

<style scoped>
.touch {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: center;
  margin-top: 12px;
}
.touch .buttons {
  margin: 0;
}
</style>
