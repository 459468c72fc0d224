<script setup lang="ts">
import { readAt, readingWords, changeBetween, changeWords, divisionsOf, type Screws } from '#core/press/screws'
import type { ScrewSetting } from '#core/press/stack'

/** The press's own gauge: both screws while they are turned, how far it still is, and the set-up read in from it. */
const props = defineProps<{
  pressId: string
  screws: Screws
  /** Divisions lost when a screw is turned back. */
  backlash: number
  /** Where the screws should come to. */
  wanted: { left: ScrewSetting; right: ScrewSetting }
  disabled: boolean
}>()
const emit = defineEmits<{ read: [left: ScrewSetting, right: ScrewSetting] }>()
const units = useUnits()
const gauge = useGauge(toRef(props, 'pressId'))
const { reading, away, cameFrom } = gauge
const isOpen = ref(false)
function toggle() {
  isOpen.value = !isOpen.value
  if (isOpen.value) gauge.open()
  else gauge.close()
}
const sides = ['left', 'right'] as const
const shown = computed(() =>
  sides.map((side) => {
    const mm = reading.value?.[side] ?? null
    if (mm === null) return { side, mm, at: null, still: null }
    const at = readAt(mm, props.screws)
    return { side, mm, at, still: changeBetween(at, props.wanted[side], props.screws) }
  }),
)
const isThere = (still: ScrewSetting) => Math.abs(divisionsOf(still, props.screws)) < 0.5
const fromBelow = computed(() => sides.some((side) => cameFrom.value[side] === 'below'))
const canRead = computed(() => !!reading.value?.steady && shown.value.every(({ at }) => at !== null))
/** Height of the drawing stands for twice the way that is wanted. */
const most = computed(
  () => Math.max(1, ...shown.value.map(({ mm }) => mm ?? 0), ...sides.map((side) => heightAt(side))) * 1.15,
)
function heightAt(side: 'left' | 'right'): number {
  return (divisionsOf(props.wanted[side], props.screws) / props.screws.divisions) * props.screws.pitch
}
const y = (mm: number) => 96 - (92 * Math.max(0, mm)) / most.value
function take() {
  const [left, right] = shown.value
  if (left?.at && right?.at) emit('read', left.at, right.at)
}
const turn = (screw: 'left' | 'right' | 'both', rate: number) => void gauge.act('turn', screw, rate)
const stop = () => void gauge.act('stop', 'both')
</script>

<template>
  <div class="gauge">
    <p>
      <button type="button" class="link" :aria-expanded="isOpen" @click="toggle">
        {{ isOpen ? 'Put the gauge away' : 'Watch the gauge while turning' }}
      </button>
    </p>
    <template v-if="isOpen">
      <p v-if="away" class="trouble" role="alert">
        The gauge cannot be reached. Go on by the marks; what is set here stays, and it is tried again.
      </p>
      <p v-else-if="reading && reading.left === null" class="trouble" role="alert">
        The gauge is unplugged. Plug it in again, or go on by the marks; nothing is lost.
      </p>
      <div v-if="reading" class="screws">
        <figure v-for="{ side, mm, at, still } in shown" :key="side">
          <svg viewBox="0 0 60 100" width="60" height="100" aria-hidden="true">
            <line x1="8" x2="52" :y1="y(heightAt(side))" :y2="y(heightAt(side))" class="wanted" />
            <rect v-if="mm !== null" x="14" width="32" height="6" :y="y(mm) - 6" class="roller" />
            <line x1="4" x2="56" y1="97" y2="97" class="bed" />
          </svg>
          <figcaption>
            <strong>{{ side }}</strong><br />
            <template v-if="at"
              >{{ readingWords(at) }}<br /><span class="soft">{{ units.thickness(mm!) }}</span
              ><br /><span :class="{ there: isThere(still!) }">{{
                isThere(still!) ? 'there' : `still ${changeWords(still!)}`
              }}</span></template
            ><template v-else>no reading</template>
          </figcaption>
        </figure>
      </div>
      <p v-if="fromBelow && canRead" class="warn">
        Come from above: the screw was turned up last, and its play of {{ backlash }} divisions may be open. Go up by
        more than that, and down once more.
      </p>
      <div class="buttons">
        <VBtn class="quiet" :disabled="disabled || !canRead" @click="take">Read this set-up in</VBtn>
        <VBtn class="quiet" @click="gauge.act('zero', 'both')">This is its zero</VBtn>
      </div>
      <div v-if="reading?.simulated" class="hand" role="group" aria-label="The hand at the press, simulated">
        <span class="soft">The gauge is simulated; its hand:</span>
        <button type="button" @click="turn('both', 0.5)">Both up</button
        ><button type="button" @click="turn('both', -0.5)">Both down</button
        ><button type="button" @click="turn('left', -0.06)">Left down, slowly</button
        ><button type="button" @click="turn('right', -0.06)">Right down, slowly</button
        ><button type="button" @click="stop">Stop</button
        ><button type="button" @click="gauge.act(reading.left === null ? 'plug' : 'unplug', 'both')">
          {{ reading.left === null ? 'Plug in' : 'Unplug' }}
        </button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.gauge {
  margin: 8px 0;
  display: grid;
  gap: 8px;
}
.screws {
  display: flex;
  gap: 40px;
}
figure {
  display: flex;
  gap: 14px;
  align-items: center;
  margin: 0;
  min-width: 220px;
}
.bed {
  stroke: var(--ink);
  stroke-width: 3;
}
.wanted {
  stroke: var(--green);
  stroke-dasharray: 4 3;
  stroke-width: 2;
}
.roller {
  fill: var(--ink);
}
.there {
  color: var(--green);
  font-weight: 600;
}
.warn {
  color: var(--doubtful);
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.hand button {
  border: 1px solid var(--rule);
  min-height: 36px;
  padding: 0 10px;
}
</style>
