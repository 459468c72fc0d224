<script setup lang="ts">
import type { EditionPlan } from '#core/plan/plan'
import { date } from '~/drawings/words'

const edition = useEdition()
const { busy, fault, field, giving } = useGiving()
const copy = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
const form = ref({ title: edition.state!.title, plan: copy(edition.state!.plan!) as EditionPlan, reason: '' })
const draft = useDraft(`plan ${edition.id}`, form)
const layerName = ref('')
const saved = ref(false)

const changed = computed(() => JSON.stringify([form.value.title, form.value.plan]) !== JSON.stringify([edition.state!.title, edition.state!.plan]))
const schoolChanged = computed(() => edition.state!.made > 0 && form.value.plan.sizeSchool !== edition.state!.plan!.sizeSchool)

async function save() {
  saved.value = await giving(() => edition.give('change-plan', copy(form.value)))
  if (saved.value) {
    form.value.reason = ''
    draft.done()
  }
}

async function addLayer() {
  if (await giving(() => edition.give('add-layer', { name: layerName.value, blocks: [] }))) layerName.value = ''
}
</script>

<template>
  <div>
    <section class="part">
      <div class="part-head"><h2>The plan</h2></div>
      <OpenForm @submit.prevent="save">
        <PlanFields v-model:title="form.title" v-model:plan="form.plan" :fault="fault" :fault-field="field" />
        <VTextField v-if="schoolChanged || form.reason" v-model="form.reason" class="apart" label="Why the plan changes" :error-messages="field === 'reason' ? fault : undefined" />
        <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
        <div class="buttons">
          <VBtn type="submit" :loading="busy" :disabled="!changed">Change the plan</VBtn>
          <span v-if="saved && !changed" class="soft" role="status">The plan is changed.</span>
        </div>
      </OpenForm>
    </section>
    <section class="part">
      <div class="part-head"><h2>Layers</h2><p>in the order they are pulled</p></div>
      <ol class="lines">
        <LayerLine v-for="(layer, i) in edition.state!.layers" :key="layer.id" :layer="layer" :number="i + 1" />
      </ol>
      <OpenForm @submit.prevent="addLayer">
        <div class="adding">
          <VTextField v-model="layerName" label="One more layer" placeholder="its colour, for instance" maxlength="80" />
          <VBtn class="quiet" type="submit" :loading="busy">Add the layer</VBtn>
        </div>
      </OpenForm>
    </section>
    <section v-if="edition.state!.earlierPlans.length > 0" class="part">
      <div class="part-head"><h2>Earlier plans</h2></div>
      <ul class="lines"><li v-for="(earlier, i) in edition.state!.earlierPlans" :key="i">{{ earlier.plan.size }} prints, {{ earlier.plan.sizeSchool }}, until {{ date(earlier.at) }}<span v-if="earlier.reason" class="soft"> · {{ earlier.reason }}</span></li></ul>
    </section>
  </div>
</template>

<style scoped>
.adding { display: flex; gap: 20px; align-items: end; max-width: 520px; margin-top: 16px; }
</style>
