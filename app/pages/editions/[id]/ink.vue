<script setup lang="ts">
import { v7 } from 'uuid'
import { inkFamilies, shares } from '#core/stores/batch'
import { grams } from '~/drawings/words'

const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const { layerId, layer } = useLayerChoice()
const choosing = useGiving()
const mixing = useGiving()
const drawing = useGiving()
onMounted(() => void supplies.load())

const zones = ref<{ id: string, name: string, batchId: string | null }[]>([])
watch(layer, (now) => { zones.value = now?.zones.map(({ id, name, batchId }) => ({ id, name, batchId })) ?? [] }, { immediate: true })
const inForce = computed(() => supplies.batches.filter(batch => layer.value?.zones.some(zone => zone.batchId === batch.id)))

const blank = () => ({ name: '', family: 'oil' as const, colour: '#2b2f33', components: [{ name: '', weight: '' }, { name: '', weight: '' }] })
const mix = ref(blank())
const mixDraft = useDraft('mix', mix)
const showMix = ref(false)
const number = (text: string) => (String(text).trim() === '' ? Number.NaN : Number(String(text).replace(',', '.')))
const weighed = computed(() => mix.value.components.filter(c => c.name.trim() !== '' || String(c.weight).trim() !== '').map(c => ({ name: c.name.trim(), milligrams: Math.round(number(c.weight) * 1000) })))
const parts = computed(() => shares(weighed.value.map(c => ({ ...c, milligrams: Number.isFinite(c.milligrams) ? Math.max(0, c.milligrams) : 0 }))))
const total = computed(() => weighed.value.reduce((sum, c) => sum + (Number.isFinite(c.milligrams) ? c.milligrams : 0), 0))

const draw = ref({ batchId: '', grams: '', left: '', reason: '' })

async function choose() {
  await choosing.giving(() => edition.give('set-zones', { layerId: layerId.value, zones: zones.value }))
}

function addZone() {
  zones.value.push({ id: v7(), name: `zone ${zones.value.length + 1}`, batchId: null })
}

async function mixBatch() {
  const odd = weighed.value.find(c => !Number.isFinite(c.milligrams))
  if (odd) return void (mixing.fault.value = `Give the weight of ${odd.name || 'each ink'} in grams, for instance 12,5.`)
  const id = v7()
  const { name, family, colour } = mix.value
  if (await mixing.giving(() => session.give(`batch:${id}`, 'mix-batch', { name, family, colour, components: weighed.value }))) {
    mix.value = blank()
    mixDraft.done()
    showMix.value = false
    await supplies.load()
    if (zones.value[0]) zones.value[0].batchId = id
    await choose()
  }
}

async function drawInk() {
  const milligrams = Math.round(number(draw.value.grams) * 1000)
  if (!Number.isFinite(milligrams)) return void (drawing.fault.value = 'Say how many grams were drawn, for instance 8,5.')
  if (await drawing.giving(() => session.give(`batch:${draw.value.batchId}`, 'draw-ink', { milligrams, editionStream: edition.state!.stream, note: '' }))) {
    draw.value.grams = ''
    await supplies.load()
  }
}

async function reweigh() {
  const milligrams = Math.round(number(draw.value.left) * 1000)
  if (!Number.isFinite(milligrams)) return void (drawing.fault.value = 'Say how many grams are left on the scale.')
  if (await drawing.giving(() => session.give(`batch:${draw.value.batchId}`, 'reweigh-batch', { milligrams, reason: draw.value.reason }))) {
    draw.value = { ...draw.value, left: '', reason: '' }
    await supplies.load()
  }
}
watch(inForce, (batches) => { if (!batches.some(batch => batch.id === draw.value.batchId)) draw.value.batchId = batches[0]?.id ?? '' })
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <div class="part-head"><h2>Ink for {{ layer?.name }}</h2><p>each pull keeps the batches that were in force</p></div>
      <OpenForm @submit.prevent="choose">
        <div v-for="(zone, i) in zones" :key="zone.id" class="zone">
          <VTextField v-model="zone.name" label="Zone" maxlength="60" />
          <VSelect v-model="zone.batchId" label="Batch" placeholder="choose a batch" clearable :items="supplies.batches.map(b => ({ value: b.id, title: `${b.name}, ${grams(b.left)} left` }))" no-data-text="No ink is mixed yet" />
          <VBtn v-if="zones.length > 1" class="quiet" @click="zones.splice(i, 1)">Take out</VBtn>
        </div>
        <p v-if="choosing.fault.value" class="trouble" role="alert">{{ choosing.fault.value }}</p>
        <div class="buttons"><VBtn type="submit" :loading="choosing.busy.value">Use this ink</VBtn><VBtn class="quiet" @click="addZone">One more zone</VBtn><VBtn class="quiet" @click="showMix = !showMix">{{ showMix ? 'Leave the mix' : 'Mix a batch' }}</VBtn></div>
      </OpenForm>
    </section>
    <section v-if="showMix" class="part">
      <div class="part-head"><h2>Mix a batch</h2><p>{{ grams(total) }} so far</p></div>
      <OpenForm @submit.prevent="mixBatch">
        <div class="fields">
          <VTextField v-model="mix.name" label="Name" placeholder="slate 3, for instance" :error-messages="mixing.field.value === 'name' ? mixing.fault.value : undefined" />
          <VSelect v-model="mix.family" label="Family" :items="[...inkFamilies]" />
          <label class="swatch">Colour as seen <input v-model="mix.colour" type="color"></label>
        </div>
        <div v-for="(component, i) in mix.components" :key="i" class="component">
          <VTextField v-model="component.name" :label="`Ink ${i + 1}`" />
          <VTextField v-model="component.weight" label="Weight" inputmode="decimal" suffix="g" />
          <span class="share">{{ parts[i] === undefined || !component.name ? '' : `${(parts[i]! * 100).toFixed(1)} %` }}</span>
        </div>
        <p v-if="mixing.fault.value" class="trouble" role="alert">{{ mixing.fault.value }}</p>
        <div class="buttons"><VBtn type="submit" :loading="mixing.busy.value">Put it on the slab</VBtn><VBtn class="quiet" @click="mix.components.push({ name: '', weight: '' })">One more ink</VBtn></div>
      </OpenForm>
    </section>
    <section v-if="inForce.length > 0" class="part">
      <div class="part-head"><h2>On the slab</h2></div>
      <ul class="lines">
        <li v-for="batch in inForce" :key="batch.id" class="batch">
          <svg width="44" height="28" aria-hidden="true"><rect width="44" height="28" :fill="batch.colour" /></svg>
          <div><strong>{{ batch.name }}</strong>, {{ batch.family }}<br><span class="soft">{{ batch.components.map((c, i) => `${c.name} ${grams(c.milligrams)} (${(shares(batch.components)[i]! * 100).toFixed(1)} %)`).join(', ') }}</span></div>
          <div class="left"><strong>{{ grams(batch.left) }}</strong> left of {{ grams(batch.mixed) }}</div>
        </li>
      </ul>
      <OpenForm @submit.prevent="drawInk">
        <div class="fields">
          <VSelect v-model="draw.batchId" label="Batch" :items="inForce.map(b => ({ value: b.id, title: b.name }))" />
          <VTextField v-model="draw.grams" label="Drawn for this session" inputmode="decimal" suffix="g" /><VBtn type="submit" class="quiet" :loading="drawing.busy.value">Draw</VBtn>
        </div>
      </OpenForm>
      <OpenForm @submit.prevent="reweigh">
        <div class="fields">
          <VTextField v-model="draw.left" label="Reweighed: left" inputmode="decimal" suffix="g" /><VTextField v-model="draw.reason" label="Why it differs" /><VBtn type="submit" class="quiet" :loading="drawing.busy.value">Set the weight</VBtn>
        </div>
      </OpenForm>
      <p v-if="drawing.fault.value" class="trouble" role="alert">{{ drawing.fault.value }}</p>
      <p class="soft care">Rags with linseed, plate or vegetable oil can heat and catch fire by themselves: lidded metal can, emptied as the local fire code says. The ink’s data sheet and the studio’s rules come first.</p>
    </section>
  </div>
</template>

<style scoped>
.zone { display: grid; grid-template-columns: 160px minmax(0, 1fr) auto; gap: 20px; align-items: end; max-width: 640px; }
.component { display: grid; grid-template-columns: minmax(0, 1fr) 130px 70px; gap: 20px; align-items: end; max-width: 520px; }
.share { font-family: var(--serif); padding-bottom: 8px; }
.swatch { display: grid; gap: 6px; font-size: 0.78rem; color: var(--soft); }
.swatch input { width: 72px; height: 34px; border: 1px solid var(--rule); padding: 2px; background: var(--sheet); }
.batch { display: grid; grid-template-columns: 44px minmax(0, 1fr) auto; gap: 16px; align-items: center; font-size: 0.92rem; }
form .fields { margin-top: 14px; align-items: end; }
.care { font-size: 0.85rem; margin-top: 16px; max-width: 64ch; }
</style>
