<script setup lang="ts">
import { climate as climateStream } from '#core/stores/climate/stream'
import { studio } from '#core/stores/studio/stream'
import { silentFor } from '#core/stores/climate/state'
import type { RacksReply } from '#shared/replies/replies'
import { guessedClimate } from '#core/drying/moments'
import { ago, formatDuration } from '~/drawings/words'

/** The air everything dries in: read by hand, or every hour by the sensor, with the hours that were kept. */
const props = defineProps<{ air: RacksReply['air']; climate: RacksReply['climate']; now: number }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const { reading, away, open, act } = useRoomAir()
const form = useFollowing(
  () => {
    const { temperature, humidity } = props.climate ?? guessedClimate
    return { temperature, humidity }
  },
  () => String(props.climate?.at),
)
const isOn = computed(() => props.air.watchedBy !== null)
const silent = computed(() => silentFor(props.air, props.now))
const isUnplugged = computed(() => reading.value !== null && reading.value.temperature === null)
watch(isOn, (on) => on && open(), { immediate: true })

const read = () => giving(() => session.give('read-climate', studio.of(), { ...form.value }))
const turn = () =>
  giving(async () => {
    const on = !isOn.value
    await session.give('watch-climate', climateStream.of('room'), { isOn: on })
    if (on) await api('/api/climate/reading', 'POST', {})
  })
</script>

<template>
  <section class="part" aria-label="The air of the room">
    <div class="part-head">
      <h2>The air</h2>
      <p>everything that dries is reckoned by it</p>
    </div>
    <div class="customs">
      <p>
        The room has
        <EditableValue
          v-model="form.temperature"
          label="Temperature of the room"
          kind="decimal"
          :min="-20"
          :max="50"
          unit="°C"
          :words="`${form.temperature} °C`"
          @kept="read"
        />
        and
        <EditableValue
          v-model="form.humidity"
          label="Humidity of the room"
          kind="decimal"
          :max="100"
          unit="%"
          :words="`${form.humidity} % humidity`"
          @kept="read"
        />, {{ climate ? `read ${ago(climate.at, now)}` : 'a guess until somebody reads it' }}.
        <template v-if="isOn">
          The sensor is read every hour<template v-if="reading && reading.temperature !== null"
            >; now it shows {{ reading.temperature }} °C and {{ reading.humidity }} %</template
          >.
        </template>
        <button v-if="session.isStaff" type="button" class="link" :disabled="busy" @click="turn">
          {{ isOn ? 'Switch the sensor off' : 'Read it from the room sensor' }}
        </button>
      </p>
      <p v-if="isOn && (silent > 0 || isUnplugged || away)" class="trouble" role="alert">
        The sensor says nothing{{ silent > 0 ? `, for ${formatDuration(silent / 60_000)} now` : '' }}. The last reading
        counts until it is heard again, or somebody reads the room.
      </p>
      <TroubleLine :words="fault" />
    </div>
    <p v-if="isOn && reading?.simulated" class="soft stand-in">
      Stand-in for a sensor:
      <button type="button" class="link" @click="act('warm')">warmer</button>
      <button type="button" class="link" @click="act('cool')">cooler</button>
      <button type="button" class="link" @click="act('damp')">damper</button>
      <button type="button" class="link" @click="act('dry')">drier</button>
      <button type="button" class="link" @click="act(isUnplugged ? 'plug' : 'unplug')">
        {{ isUnplugged ? 'plug it in' : 'unplug it' }}
      </button>
    </p>
    <AirChart v-if="air.readings.length > 1" :readings="air.readings" />
    <p v-else-if="isOn" class="soft">The chart begins with the second hour.</p>
  </section>
</template>

<style scoped>
.stand-in {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  font-size: 0.84rem;
}
</style>
