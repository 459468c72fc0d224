<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { pitchFrom } from '#core/press/screws'

/** How far a turn lifts, from two known thicknesses that were just held. */
const props = defineProps<{ divisions: number }>()
const emit = defineEmits<{ found: [pitch: number] }>()
const units = useUnits()
const thin = ref({ thickness: 0, turns: 0, divisions: 0 })
const thick = ref({ thickness: 0, turns: 0, divisions: 0 })
const at = ({ thickness, turns, divisions }: typeof thin.value) => ({ thickness, at: { turns, divisions } })
const pitch = computed(() => pitchFrom(at(thin.value), at(thick.value), { divisions: props.divisions }))
const words = (mm: number) => (mm > 0 ? units.thickness(mm) : 'not measured')
</script>

<template>
  <details>
    <summary>Nobody knows the pitch? Two known thicknesses tell it</summary>
    <p class="customs">
      <span v-for="(one, i) in [thin, thick]" :key="i"
        >{{ i === 0 ? 'A thin board of' : 'A thick one of' }}
        <EditableValue
          v-model="one.thickness"
          :label="i === 0 ? 'Thin board' : 'Thick board'"
          kind="thickness"
          :max="200"
          :words="words(one.thickness)"
        />
        was just held at
        <EditableValue
          v-model="one.turns"
          :label="i === 0 ? 'Thin, turns' : 'Thick, turns'"
          :max="60"
          unit="turns"
          :words="pluralise(one.turns, 'turn')"
        />
        and
        <EditableValue
          v-model="one.divisions"
          :label="i === 0 ? 'Thin, divisions' : 'Thick, divisions'"
          kind="decimal"
          :max="400"
          unit="divisions"
          :words="`${one.divisions} divisions`"
        />.&#32;</span
      >
    </p>
    <p v-if="pitch !== null">
      A turn lifts <strong>{{ units.thickness(pitch) }}</strong>.
      <VBtn class="quiet" @click="emit('found', Math.round(pitch * 1000) / 1000)">Take it</VBtn>
    </p>
    <p v-else class="soft">
      Give both thicknesses and where the screws stood: the thicker board wants the higher place.
    </p>
  </details>
</template>

<style scoped>
details {
  margin-top: 10px;
}
</style>
