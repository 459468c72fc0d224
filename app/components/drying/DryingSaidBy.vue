<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import type { Layer } from '#core/edition/layer'
import { dryingPapers, guessedClimate } from '#core/drying/moments'
import { ago } from '~/drawings/words'

/** What a layer dries by, in a sentence whose values open where they stand. */
const props = defineProps<{ layer: Layer; disabled: boolean }>()
const edition = useEdition()
const session = useSession()
const { fault, giving } = useGiving()
const form = useFollowing(
  () => ({
    paper: props.layer.drying.paper as string,
    air: props.layer.drying.stillAir ? 'still' : 'moving',
    drier: props.layer.drying.drier ? 'with' : 'without',
  }),
  () => props.layer.id,
)
const climate = computed(() => edition.studio.climate)
const room = useFollowing(
  () => {
    const { temperature, humidity } = climate.value ?? guessedClimate
    return { temperature, humidity }
  },
  () => String(climate.value?.at),
)
const papers = dryingPapers.map((value) => ({ value, title: `${value} paper` }))
const airs = [
  { value: 'moving', title: 'moving air' },
  { value: 'still', title: 'still air' },
]
const driers = [
  { value: 'without', title: 'without a drier' },
  { value: 'with', title: 'with a drier, within its label’s range' },
]
const title = (options: { value: string; title: string }[], value: string) =>
  options.find((one) => one.value === value)!.title

const keep = () =>
  giving(() =>
    edition.give('set-drying', {
      layerId: props.layer.id,
      drying: {
        paper: dryingPapers.find((paper) => paper === form.value.paper)!,
        stillAir: form.value.air === 'still',
        drier: form.value.drier === 'with',
      },
    }),
  )
const read = () => giving(() => session.give('read-climate', studio.of(), { ...room.value }))
</script>

<template>
  <div class="customs">
    <p>
      It dries on
      <EditableValue
        v-model="form.paper"
        label="Paper it dries on"
        kind="choice"
        :options="papers"
        :words="title(papers, form.paper)"
        :disabled="disabled"
        @kept="keep"
      />
      in
      <EditableValue
        v-model="form.air"
        label="Air it dries in"
        kind="choice"
        :options="airs"
        :words="title(airs, form.air)"
        :disabled="disabled"
        @kept="keep"
      />,
      <EditableValue
        v-model="form.drier"
        label="Drier"
        kind="choice"
        :options="driers"
        :words="title(driers, form.drier)"
        :disabled="disabled"
        @kept="keep"
      />. The room has
      <EditableValue
        v-model="room.temperature"
        label="Temperature of the room"
        kind="decimal"
        :min="-20"
        :max="50"
        unit="°C"
        :words="`${room.temperature} °C`"
        @kept="read"
      />
      and
      <EditableValue
        v-model="room.humidity"
        label="Humidity of the room"
        kind="decimal"
        :max="100"
        unit="%"
        :words="`${room.humidity} % humidity`"
        @kept="read"
      />, {{ climate ? `read ${ago(climate.at)}` : 'a guess until somebody reads it' }}.
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
