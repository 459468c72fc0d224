<script setup lang="ts">
import type { Layer } from '#core/edition/layer'

/** One layer of the plan: its name, the routine shown at the press, and which end of the stack comes first. */
const props = defineProps<{ layer: Layer; number: number }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const form = useFollowing(
  () => ({ name: props.layer.name, routine: props.layer.routine, stackOrder: props.layer.stackOrder }),
  () => props.layer.id,
)
const changed = computed(() =>
  (['name', 'routine', 'stackOrder'] as const).some((key) => form.value[key] !== props.layer[key]),
)
const orders = [
  { value: 'pulled', title: 'in the order pulled' },
  { value: 'reversed', title: 'last pulled first' },
]
const save = () =>
  giving(() =>
    edition.give('change-layer', { layerId: props.layer.id, blocks: [...props.layer.blocks], ...form.value }),
  )
</script>

<template>
  <li>
    <OpenForm @submit.prevent="save">
      <div class="layer">
        <VTextField v-model="form.name" :label="`Layer ${number}`" maxlength="80" />
        <VTextField
          v-model="form.routine"
          label="Routine at the press"
          placeholder="charge, pass, charge, pass"
          maxlength="500"
        />
        <VSelect v-if="number > 1" v-model="form.stackOrder" label="Its stack comes" :items="orders" />
        <span v-else />
        <VBtn v-if="changed" class="quiet" type="submit" :loading="busy">Change</VBtn>
        <span v-else-if="layer.cutFurther" class="soft">block cut further</span>
      </div>
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    </OpenForm>
  </li>
</template>

<style scoped>
.layer {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 190px 120px;
  gap: 20px;
  align-items: end;
}
@media (max-width: 900px) {
  .layer {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
