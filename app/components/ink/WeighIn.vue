<script setup lang="ts">
import { deltaE, labOf } from '#core/ink/colour'
import { film } from '#core/ink/kubelka-munk'
import { reflectanceOf } from '#core/ink/reconstruct'
import { grams } from '~/drawings/words'

/** Weigh a recipe in, one ink after the other, from the scale or typed; an over-pour is put right with the least. */
const props = defineProps<{ mixing: ReturnType<typeof useMixing> }>()
const { form, used, nameOf, toPour, targets, correction, over, made, wanted } = props.mixing
const { reading, away, open, act } = useScale()
const turn = ref(0)
const typed = ref('')
const fault = ref('')
const pouring = ref(false)
/** Nearer than this a pour counts as right, mg. */
const near = 100
onMounted(open)
watch(used, (rows) => {
  if (turn.value >= rows.length) turn.value = 0
})

const row = computed(() => used.value[turn.value])
const shown = computed(() =>
  reading.value?.grams === null || reading.value === null ? null : Math.round(reading.value.grams * 100) * 10 || 0,
)
const wantedHere = computed(() => toPour.value[turn.value] ?? 0)
const filled = computed(() =>
  wantedHere.value > 0 ? Math.min(1.25, Math.max(0, (shown.value ?? 0) / wantedHere.value)) : 0,
)
const unplugged = computed(() => reading.value !== null && reading.value.grams === null)
const finished = computed(
  () =>
    used.value.length > 0 &&
    used.value.some((one) => one.poured > 0) &&
    toPour.value.every((milligrams) => milligrams <= near),
)
const beyond = computed(() =>
  correction.value && 'uncorrectable' in correction.value
    ? correction.value.uncorrectable.map((i) => nameOf(used.value[i]!))
    : [],
)
/** How far the colour is off as it was poured. */
const shift = computed(() => {
  if (!made.value || !wanted.value) return null
  const paper = reflectanceOf(form.value.paper)
  return deltaE(
    labOf(film(paper, made.value.pigment, form.value.film)),
    labOf(film(paper, wanted.value.pigment, form.value.film)),
  )
})

function accept(milligrams: number) {
  fault.value = ''
  if (!row.value) return
  if (!(milligrams > 0)) {
    fault.value = `A weight is above zero; ${Number.isNaN(milligrams) ? 'that' : grams(milligrams)} cannot be accepted. Tare the scale, pour, and accept again.`
    return
  }
  row.value.poured += Math.round(milligrams)
  typed.value = ''
  void act('tare')
  const next = toPour.value.findIndex((rest, i) => i !== turn.value && rest > near)
  if (toPour.value[turn.value]! <= near && next >= 0) turn.value = next
}
function acceptShown() {
  if (shown.value === null) fault.value = 'The scale shows nothing. Plug it in, or type what was weighed.'
  else accept(shown.value)
}
async function pour(rate: number) {
  pouring.value = true
  await act('pour', rate)
}
async function stop() {
  if (!pouring.value) return
  pouring.value = false
  await act('stop')
}
</script>

<template>
  <div>
    <p v-if="used.length === 0" class="soft">Choose the inks first.</p>
    <template v-else>
      <ol class="turns">
        <li v-for="(one, i) in used" :key="i">
          <button type="button" :aria-pressed="turn === i" @click="turn = i">
            <strong>{{ nameOf(one) }}</strong><span>{{ grams(one.poured) }} in of {{ grams(targets[i]!) }}</span>
            <span
              :class="{
                done: one.poured > 0 && toPour[i]! <= near && one.poured <= targets[i]! + near,
                beyond: one.poured > targets[i]! + near,
              }"
              >{{
                toPour[i]! > near
                  ? `${grams(toPour[i]!)} to pour`
                  : one.poured > targets[i]! + near
                    ? `${grams(one.poured - targets[i]!)} over`
                    : one.poured > 0
                      ? 'in'
                      : 'none'
              }}</span
            >
          </button>
        </li>
      </ol>
      <div v-if="row" class="scale">
        <p class="now">
          <b>{{ shown === null ? '–' : (shown / 1000).toFixed(2) }}</b> g on the scale<span class="soft">
            · {{ nameOf(row) }} to {{ grams(wantedHere) }}</span
          >
        </p>
        <svg
          viewBox="0 0 500 34"
          preserveAspectRatio="none"
          role="img"
          :aria-label="`${nameOf(row)}: ${shown === null ? 'nothing shown' : grams(shown)} of ${grams(wantedHere)}`"
        >
          <rect width="400" height="34" class="goal" />
          <rect :width="filled * 400" height="34" :class="filled > 1.005 ? 'over' : 'fill'" />
          <path d="M400,0 V34" class="line" />
        </svg>
        <p v-if="unplugged" class="trouble" role="alert">
          The scale is unplugged. What was accepted is kept; the pour under way was not weighed. Plug it in, weigh the
          dish with it and type what it gained, or begin this ink again.
        </p>
        <p v-else-if="away" class="trouble" role="alert">
          The scale cannot be heard. Nothing accepted is lost; type the weights until it is back.
        </p>
        <div class="buttons">
          <VBtn class="quiet" :disabled="shown === null" @click="act('tare')">Tare</VBtn>
          <VBtn :disabled="shown === null" @click="acceptShown"
            >Accept {{ shown === null ? '' : grams(Math.max(0, shown)) }}</VBtn
          >
          <VTextField
            v-model="typed"
            class="typed"
            label="or weighed elsewhere"
            inputmode="decimal"
            suffix="g"
            @keydown.enter.prevent="accept(typedNumber(typed) * 1000)"
          />
          <VBtn class="quiet" :disabled="typed.trim() === ''" @click="accept(typedNumber(typed) * 1000)"
            >Accept the typed weight</VBtn
          >
        </div>
        <TroubleLine :words="fault" />
        <div v-if="reading?.simulated" class="stand-in">
          <span class="soft">This scale is a stand-in. Hold to pour:</span>
          <VBtn
            v-for="rate in [4, 0.6]"
            :key="rate"
            class="quiet"
            @pointerdown="pour(rate)"
            @pointerup="stop"
            @pointerleave="stop"
            @keydown.space.prevent="pouring || pour(rate)"
            @keyup.space.prevent="stop"
            @blur="stop"
            >{{ rate > 1 ? 'pour' : 'trickle' }}</VBtn
          >
          <VBtn class="quiet" @click="act('clear')">empty it</VBtn>
          <VBtn class="quiet" @click="act(unplugged ? 'plug' : 'unplug')">{{
            unplugged ? 'plug it in' : 'unplug it'
          }}</VBtn>
        </div>
      </div>
      <p v-if="beyond.length > 0" class="trouble" role="alert">
        {{ beyond.join(' and ') }} {{ beyond.length === 1 ? 'is' : 'are' }} in the mix, but not in the recipe. Nothing
        can be taken out again: give {{ beyond.length === 1 ? 'it' : 'them' }} a share, or begin a new mix.
      </p>
      <div v-else-if="over && correction && 'total' in correction" class="correct">
        <p>
          <strong>Poured over.</strong> To come out right add
          {{
            used
              .map((one, i) => ({ name: nameOf(one), add: toPour[i]! }))
              .filter((one) => one.add > near)
              .map((one) => `${grams(one.add)} of ${one.name}`)
              .join(' and ') || 'nothing more'
          }}: {{ grams(correction.total) }} in all.
        </p>
        <p v-if="shift !== null" class="soft">
          As it stands the colour is
          {{ shift < 1 ? 'the same to the eye' : shift < 3 ? 'slightly off' : 'plainly off' }} (ΔE
          {{ shift.toFixed(1) }}).
        </p>
      </div>
      <p v-else-if="finished" class="done-all">All in, as the recipe says.</p>
    </template>
  </div>
</template>

<style scoped>
.turns {
  display: flex;
  flex-wrap: wrap;
  gap: 0 26px;
  margin-bottom: 14px;
}
.turns button {
  text-align: left;
  display: grid;
  padding: 6px 0;
  border-bottom: 3px solid transparent;
  font-size: 0.9rem;
  min-height: 44px;
}
.turns button[aria-pressed='true'] {
  border-color: var(--green);
}
.turns span {
  color: var(--soft);
  font-size: 0.84rem;
}
.turns .beyond {
  color: var(--doubtful);
  font-weight: 600;
}
.turns .done {
  color: var(--green);
  font-weight: 600;
}
.now b {
  font-family: var(--serif);
  font-size: 2.4rem;
  font-weight: 600;
}
.scale svg {
  width: 100%;
  max-width: 560px;
  height: 34px;
  display: block;
  margin: 6px 0;
}
.goal {
  fill: var(--sheet);
  stroke: var(--rule);
}
.fill {
  fill: var(--green);
}
.over {
  fill: var(--reject);
}
.line {
  stroke: var(--ink);
  stroke-width: 2;
}
.typed {
  max-width: 190px;
}
.stand-in {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 14px;
  padding-top: 12px;
  border-top: 1px dotted var(--rule);
  font-size: 0.86rem;
}
.correct {
  margin-top: 14px;
}
.done-all {
  color: var(--green);
  font-weight: 600;
  margin-top: 14px;
}
</style>
