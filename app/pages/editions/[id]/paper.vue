<script setup lang="ts">
import { v7 } from 'uuid'
import { goal } from '#core/plan/plan'

const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const tearing = useGiving()
const adding = useGiving()
const counting = useGiving()
onMounted(() => void supplies.load())

const tear = ref({ lotId: '', lotSheets: '', count: '' })
const torn = useDraft(`tear ${edition.id}`, tear)
const blank = () => ({ maker: '', name: '', width: '', height: '', weight: '', price: '', sheets: '' })
const lot = ref(blank())
const lotDraft = useDraft('lot', lot)
const showLot = ref(false)
const recount = ref<{ id: string, sheets: string, reason: string } | null>(null)
const number = (text: string) => (String(text).trim() === '' ? Number.NaN : Number(String(text).replace(',', '.')))
const wanted = computed(() => goal(edition.state!.plan!))
const chosen = computed(() => supplies.lots.find(l => l.id === tear.value.lotId))
const money = computed(() => edition.studio.currency)

async function tearSheets() {
  const given = { lotId: tear.value.lotId, lotSheets: number(tear.value.lotSheets), count: number(tear.value.count) }
  if (!given.lotId) return void (tearing.fault.value = 'Choose the paper first, or add it to the store.')
  if (Number.isNaN(given.lotSheets) || Number.isNaN(given.count)) return void (tearing.fault.value = 'Say how many large sheets were used and how many pieces they gave.')
  if (await tearing.giving(() => edition.give('tear', given))) {
    tear.value = { ...tear.value, lotSheets: '', count: '' }
    torn.done()
    await supplies.load()
  }
}

async function addLot() {
  const { maker, name, ...sizes } = lot.value
  const id = v7()
  const data = { maker, name, ...Object.fromEntries(Object.entries(sizes).map(([key, text]) => [key, text === '' && key === 'price' ? 0 : number(text)])) }
  if (await adding.giving(() => session.give(`lot:${id}`, 'add-lot', data))) {
    lot.value = blank()
    lotDraft.done()
    showLot.value = false
    await supplies.load()
    tear.value.lotId = id
  }
}

async function countLot() {
  const { id, sheets, reason } = recount.value!
  if (await counting.giving(() => session.give(`lot:${id}`, 'count-lot', { sheets: number(sheets), reason }))) {
    recount.value = null
    await supplies.load()
  }
}
</script>

<template>
  <div>
    <section class="part">
      <div class="part-head"><h2>Tear</h2><p>{{ wanted }} good prints are wanted; {{ edition.state!.made }} pieces are torn so far</p></div>
      <OpenForm @submit.prevent="tearSheets">
        <div class="fields">
          <VSelect v-model="tear.lotId" class="wide" label="Paper" placeholder="choose a lot" :items="supplies.lots.map(l => ({ value: l.id, title: `${l.name}, ${l.width} × ${l.height} mm, ${l.weight} g/m², ${l.left} left` }))" no-data-text="No paper in the store yet" />
          <VTextField v-model="tear.lotSheets" label="Large sheets used" inputmode="numeric" suffix="sheets" :error-messages="tearing.field.value === 'lotSheets' ? tearing.fault.value : undefined" />
          <VTextField v-model="tear.count" label="Pieces they gave" inputmode="numeric" suffix="pieces" :error-messages="tearing.field.value === 'count' ? tearing.fault.value : undefined" />
        </div>
        <p v-if="tearing.fault.value" class="trouble" role="alert">{{ tearing.fault.value }}</p>
        <div class="buttons">
          <VBtn type="submit" :loading="tearing.busy.value">Tear</VBtn>
          <VBtn class="quiet" @click="showLot = !showLot">{{ showLot ? 'Leave the new paper' : 'Add paper to the store' }}</VBtn>
          <VBtn v-if="chosen" class="quiet" @click="recount = { id: chosen.id, sheets: String(chosen.left), reason: '' }">Count the lot</VBtn>
        </div>
      </OpenForm>
    </section>
    <section v-if="recount" class="part">
      <div class="part-head"><h2>Count the lot</h2><p>the book shows {{ chosen?.left }} sheets of {{ chosen?.name }}</p></div>
      <OpenForm @submit.prevent="countLot">
        <div class="fields">
          <VTextField v-model="recount.sheets" label="Really there" inputmode="numeric" suffix="sheets" />
          <VTextField v-model="recount.reason" class="wide" label="Why it differs" />
        </div>
        <p v-if="counting.fault.value" class="trouble" role="alert">{{ counting.fault.value }}</p>
        <div class="buttons"><VBtn type="submit" :loading="counting.busy.value">Set the count</VBtn><VBtn class="quiet" @click="recount = null">Leave it</VBtn></div>
      </OpenForm>
    </section>
    <section v-if="showLot" class="part">
      <div class="part-head"><h2>Paper for the store</h2></div>
      <OpenForm @submit.prevent="addLot">
        <div class="fields">
          <VTextField v-model="lot.name" class="wide" label="Name" placeholder="as the room calls it" :error-messages="adding.field.value === 'name' ? adding.fault.value : undefined" />
          <VTextField v-model="lot.maker" label="Maker" />
          <VTextField v-model="lot.width" label="Width" inputmode="decimal" suffix="mm" :error-messages="adding.field.value === 'width' ? adding.fault.value : undefined" />
          <VTextField v-model="lot.height" label="Height" inputmode="decimal" suffix="mm" :error-messages="adding.field.value === 'height' ? adding.fault.value : undefined" />
          <VTextField v-model="lot.weight" label="Weight" inputmode="decimal" suffix="g/m²" :error-messages="adding.field.value === 'weight' ? adding.fault.value : undefined" />
          <VTextField v-model="lot.price" label="Price a sheet" inputmode="decimal" :prefix="money" />
          <VTextField v-model="lot.sheets" label="Sheets" inputmode="numeric" :error-messages="adding.field.value === 'sheets' ? adding.fault.value : undefined" />
        </div>
        <p v-if="adding.fault.value" class="trouble" role="alert">{{ adding.fault.value }}</p>
        <div class="buttons"><VBtn type="submit" :loading="adding.busy.value">Add the paper</VBtn></div>
      </OpenForm>
    </section>
    <section v-if="edition.state!.torn.length > 0" class="part">
      <div class="part-head"><h2>Torn so far</h2></div>
      <table class="ruled">
        <thead><tr><th>Paper</th><th class="number">Large sheets</th><th class="number">Pieces</th><th class="number">Cost</th></tr></thead>
        <tbody><tr v-for="(t, i) in edition.state!.torn" :key="i"><td>{{ t.lotName }}</td><td class="number">{{ t.lotSheets }}</td><td class="number">{{ t.count }}</td><td class="number">{{ money }} {{ (t.lotSheets * t.pricePerLotSheet).toFixed(2) }}</td></tr></tbody>
      </table>
    </section>
  </div>
</template>
