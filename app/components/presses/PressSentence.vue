<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { pressKinds, pressWays } from '#core/press/kinds'
import { type PressDescription, pressUsers } from '#core/stores/press/state'

/** A press said in sentences: what it is, what its screws or its rim measure, who may set it up. */
const press = defineModel<PressDescription>({ required: true })
const props = defineProps<{ disabled?: boolean; fault?: { field: string; words: string } }>()
const units = useUnits()
const kinds = pressKinds.map((kind) => ({ value: kind, title: pressWays[kind].words }))
const users = [
  { value: pressUsers[0]!, title: 'everybody' },
  { value: pressUsers[1]!, title: 'members and staff' },
  { value: pressUsers[2]!, title: 'staff' },
]
const sets = computed(() => pressWays[press.value.kind].sets)
const faultOf = (field: string) => (props.fault?.field === field ? props.fault.words : '')
const turn = computed(() => press.value.pitch)

/** What another kind of press does not have is not kept. */
function kindChosen() {
  if (sets.value === 'screws') press.value.divisions ||= 16
  else Object.assign(press.value, { divisions: 0, pitch: null, travel: null, span: null, backlash: 0 })
  if (sets.value !== 'underlay') press.value.height = null
  if (sets.value !== 'hand') press.value.tools = ''
}
const bedSide = (side: 'width' | 'height') =>
  computed({
    get: () => press.value.bed?.[side] ?? null,
    set: (mm: number | null) => {
      const { width, height } = press.value.bed ?? { width: 10, height: 10 }
      press.value.bed = mm === null ? null : { width, height, [side]: mm }
    },
  })
const bedWidth = bedSide('width')
const bedHeight = bedSide('height')
</script>

<template>
  <div class="customs">
    <p>
      <EditableValue
        v-model="press.name"
        label="Name of the press"
        kind="text"
        :words="press.name || 'not named yet'"
        :fault="faultOf('name')"
        :disabled="disabled"
      />
      is a
      <EditableValue
        v-model="press.kind"
        label="Kind of press"
        kind="choice"
        :options="kinds"
        :words="pressWays[press.kind].words"
        :disabled="disabled"
        @kept="kindChosen"
      /><template v-if="sets === 'hand'"
        >:
        <EditableValue
          v-model="press.tools"
          label="Tools"
          kind="text"
          :longest="200"
          :words="press.tools || 'tools not said yet'"
          :disabled="disabled" /></template
      ><template v-else
        >, its bed
        <EditableValue
          v-model="bedWidth"
          label="Width of the bed"
          kind="thickness"
          may-be-none
          :min="10"
          :max="5000"
          :words="bedWidth === null ? 'not measured' : units.length(bedWidth)"
          :disabled="disabled" />
        by
        <EditableValue
          v-model="bedHeight"
          label="Length of the bed"
          kind="thickness"
          may-be-none
          :min="10"
          :max="5000"
          :words="bedHeight === null ? 'not measured' : units.length(bedHeight)"
          :disabled="disabled" /></template
      >.
    </p>
    <p v-if="sets === 'screws'">
      A turn of its screws has
      <EditableValue
        v-model="press.divisions"
        label="Divisions on a turn"
        :min="1"
        :max="400"
        unit="divisions"
        :words="`${press.divisions} divisions`"
        :fault="faultOf('divisions')"
        :disabled="disabled"
      />
      and lifts
      <EditableValue
        v-model="press.pitch"
        label="A turn lifts"
        kind="thickness"
        may-be-none
        :min="0.05"
        :max="50"
        :words="turn === null ? 'nobody knows yet how far' : units.thickness(turn)"
        :fault="faultOf('pitch')"
        :disabled="disabled"
      />; they stop after
      <EditableValue
        v-model="press.travel"
        label="Turns to the stop"
        kind="decimal"
        may-be-none
        :max="60"
        unit="turns"
        :words="press.travel === null ? 'turns nobody counted' : pluralise(press.travel, 'turn')"
        :disabled="disabled"
      />, stand
      <EditableValue
        v-model="press.span"
        label="Between the screws"
        kind="thickness"
        may-be-none
        :min="10"
        :max="5000"
        :words="press.span === null ? 'an unknown width' : units.length(press.span)"
        :disabled="disabled"
      />
      apart, and have a play of
      <EditableValue
        v-model="press.backlash"
        label="Play of the screws"
        kind="decimal"
        :max="400"
        unit="divisions"
        :words="`${press.backlash} divisions`"
        :disabled="disabled"
      />.
    </p>
    <p v-if="sets === 'underlay'">
      {{ press.kind === 'rimmed board' ? 'Its rim is' : 'Its type height is' }}
      <EditableValue
        v-model="press.height"
        label="Height"
        kind="thickness"
        may-be-none
        :min="0.1"
        :max="200"
        :words="press.height === null ? 'not measured yet' : units.thickness(press.height)"
        :disabled="disabled"
      />.
    </p>
    <p>
      It is set up by
      <EditableValue
        v-model="press.users"
        label="Set up by"
        kind="choice"
        :options="users"
        :words="users.find(({ value }) => value === press.users)!.title"
        :disabled="disabled"
      />. Its condition:
      <EditableValue
        v-model="press.condition"
        label="Condition"
        kind="text"
        :longest="500"
        :words="press.condition || 'nothing to say'"
        :disabled="disabled"
      />.
    </p>
    <PictureChoice v-if="!disabled" v-model="press.pictureId" what="the press" />
    <img v-else-if="press.pictureId" :src="`/api/pictures/${press.pictureId}`" alt="The press" class="likeness" />
  </div>
</template>

<style scoped>
.likeness {
  max-height: 120px;
}
</style>
