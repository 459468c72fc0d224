<script setup lang="ts">
import { clock } from '#core/block/exposure'

/** A timer that counts down to the clock's own time, so that a sleeping tab does not slow it. */
const props = defineProps<{ label: string; seconds: number }>()
const endsAt = ref<number | null>(null)
const now = ref(Date.now())
let beat: ReturnType<typeof setInterval> | undefined
const left = computed(() =>
  endsAt.value === null ? props.seconds : Math.max(0, Math.ceil((endsAt.value - now.value) / 1000)),
)
const word = computed(() => (endsAt.value === null ? 'Start' : done.value ? 'Clear' : 'Stop'))
const done = computed(() => endsAt.value !== null && left.value === 0)
function start() {
  now.value = Date.now()
  endsAt.value = now.value + props.seconds * 1000
  clearInterval(beat)
  beat = setInterval(() => {
    now.value = Date.now()
    if (done.value) clearInterval(beat)
  }, 200)
}
function stop() {
  clearInterval(beat)
  endsAt.value = null
}
onUnmounted(() => clearInterval(beat))
</script>

<template>
  <div class="timer" :class="{ done }">
    <span class="what">{{ label }}</span><b>{{ clock(left) }}</b>
    <VBtn
      class="quiet"
      :disabled="seconds <= 0"
      :aria-label="`${word} ${label}`"
      @click="endsAt === null ? start() : stop()"
      >{{ word }}</VBtn
    >
    <span role="status" class="over">{{ done ? `${label}: time is up` : '' }}</span>
  </div>
</template>

<style scoped>
.timer {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.what {
  min-width: 100px;
}
b {
  font-family: var(--serif);
  font-size: 1.6rem;
  min-width: 84px;
}
.done b,
.over {
  color: var(--reject);
  font-weight: 600;
}
</style>
