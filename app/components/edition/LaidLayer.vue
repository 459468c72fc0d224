<script setup lang="ts">
import type { Layer } from '#core/edition/layer'
import { isDryFor, stackFor } from '#core/edition/stack'
import { pluralise } from '#core/units/pluralise'

/** A layer that is laid on without a press: the sheets that wait for it, and those that carry it. */
const props = defineProps<{ layer: Layer }>()
const emit = defineEmits<{ stay: [] }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const waiting = computed(() => stackFor(state.value, props.layer))
const dry = computed(() => waiting.value.filter((sheet) => isDryFor(state.value, sheet, props.layer)))
const carrying = computed(() => state.value.sheets.filter(({ laid }) => laid.includes(props.layer.id)))
const disabled = computed(() => !!state.value.closedAt || !edition.isTheirs)
const ids = (sheets: readonly { id: number }[]) => sheets.map(({ id }) => id)
const form = ref({ lifted: null as number | null, reason: '' })

const lay = () => {
  // The press goes on to the next layer; who counts this one stays with it.
  emit('stay')
  return giving(() => edition.give('lay-layer', { layerId: props.layer.id, sheetIds: ids(dry.value) }))
}
const lift = () =>
  giving(async () => {
    const { lifted, reason } = form.value
    if (lifted === null) return
    await edition.give('lift-layer', { layerId: props.layer.id, sheetIds: [lifted], reason })
    form.value = { lifted: null, reason: '' }
  })
</script>

<template>
  <div>
    <p>
      {{ layer.name }} is laid on without a press: {{ pluralise(carrying.length, 'sheet') }}
      {{ carrying.length === 1 ? 'carries' : 'carry' }} it, {{ waiting.length }}
      {{ waiting.length === 1 ? 'waits' : 'wait' }} for it<template v-if="dry.length < waiting.length"
        >, {{ waiting.length - dry.length }} of them not said to be dry</template
      >.
    </p>
    <div v-if="!disabled" class="buttons">
      <VBtn v-if="dry.length > 0" :loading="busy" @click="lay">It is on {{ pluralise(dry.length, 'sheet') }}</VBtn>
    </div>
    <OpenForm v-if="!disabled && carrying.length > 0" @submit.prevent="lift">
      <div class="lift">
        <VSelect
          v-model="form.lifted"
          label="Not on it after all"
          placeholder="which"
          :items="carrying.map(({ id }) => ({ value: id, title: `sheet ${id}` }))"
        />
        <VTextField v-model="form.reason" label="How it came to be counted" />
        <VBtn class="quiet" type="submit" :disabled="form.lifted === null">Take it off</VBtn>
      </div>
    </OpenForm>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.lift {
  display: grid;
  grid-template-columns: 200px minmax(0, 300px) auto;
  gap: 6px 20px;
  align-items: end;
  justify-content: start;
  margin-top: 12px;
}
@media (max-width: 560px) {
  .lift {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
