<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import { putAside } from '#core/stores/lot/state'
import type { LotSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

useHead({ title: 'Paper table · Ample Tally' })
const supplies = useSupplies()
const session = useSession()
const units = useUnits()
const buying = useGiving()
const trouble = computed(() => supplies.troubleOf('lots'))
const loaded = computed(() => supplies.areRead('lots'))
type Act = 'describe' | 'count' | 'buy' | 'ration' | 'compare'
const open = ref<{ act: Act; lotId: string } | null>(null)
const adding = ref(false)
const damping = ref(false)
const bought = ref({ sheets: '', price: '' })
const lot = computed(() => supplies.lots.find((known) => known.id === open.value?.lotId))
const short = computed(() => supplies.lots.filter((known) => known.left < 0))
const kinds = computed(() =>
  [
    { name: 'For editions', lots: supplies.lots.filter((l) => l.use === 'edition') },
    { name: 'For proofs', lots: supplies.lots.filter((l) => l.use === 'proof') },
  ].filter((kind) => kind.lots.length > 0),
)
const acts: { act: Act; word: string }[] = [
  { act: 'compare', word: 'Compare editions' },
  { act: 'ration', word: 'Give out' },
  { act: 'buy', word: 'Bought more' },
  { act: 'count', word: 'Count' },
  { act: 'describe', word: 'Describe' },
]
const headings: Record<Act, string> = {
  describe: 'Describe',
  count: 'Count',
  buy: 'Bought more of',
  ration: 'Given out of',
  compare: 'Editions torn from',
}

onMounted(() => void session.loadPeople().catch(() => undefined))

function done() {
  open.value = null
}

async function buy() {
  const given = {
    sheets: bought.value.sheets.trim() === '' ? Number.NaN : Number(bought.value.sheets),
    price: bought.value.price.trim() === '' ? lot.value!.price : Number(bought.value.price.replace(',', '.')),
  }
  if (await buying.giving(() => session.give('buy-paper', lotStream.of(lot.value!.id), given))) {
    bought.value = { sheets: '', price: '' }
    done()
  }
}

function about(known: LotSummary): string {
  const deckles = Object.values(known.deckles).filter(Boolean).length
  return [
    known.grain === 'unknown' ? '' : `grain along the ${known.grain}`,
    known.betterSide,
    deckles > 0 ? `${deckles} deckle ${deckles === 1 ? 'edge' : 'edges'}` : '',
    known.damp ? 'printed damp' : '',
    known.keptAt,
  ]
    .filter(Boolean)
    .join(' · ')
}

function lotAdded() {
  adding.value = false
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Paper table</h1>
      <p class="told">{{ pluralise(supplies.lots.length, 'lot') }} in the store</p>
      <VBtn class="right" @click="adding = !adding">{{
        adding ? 'Leave the new paper' : 'Add paper to the store'
      }}</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <section v-if="adding" class="part">
      <div class="part-head"><h2>Paper for the store</h2></div>
      <LotForm @done="lotAdded" />
    </section>
    <p v-for="known in short" :key="known.id" class="trouble short">
      The book is {{ pluralise(-known.left, 'sheet') }} short of {{ known.name }}: more were torn than it knew of. Count
      the lot.
    </p>
    <TeachStep v-if="loaded && supplies.lots.length === 0 && !trouble && !adding"
      ><VBtn class="quiet" @click="adding = true">Add the first lot</VBtn></TeachStep
    >
    <section v-for="kind in kinds" :key="kind.name" class="part">
      <div class="part-head">
        <h2>{{ kind.name }}</h2>
      </div>
      <ul class="lines">
        <li v-for="known in kind.lots" :key="known.id" class="lot">
          <div>
            <strong>{{ known.name }}</strong> <span class="soft">{{ known.maker }}</span>
            <p class="soft about">
              {{ units.size(known.width, known.height) }} · {{ known.weight }} g/m²<template v-if="about(known)">
                · {{ about(known) }}</template
              >
            </p>
          </div>
          <div class="stock">
            <b :class="{ trouble: known.left < 0 }">{{ Math.abs(known.left) }}</b> {{ known.left < 0 ? 'short' : 'left'
            }}<span v-if="putAside(known) > 0" class="soft">, {{ putAside(known) }} put aside</span>
            <p class="soft about">{{ session.session?.studio.currency }} {{ known.price.toFixed(2) }} a sheet</p>
          </div>
          <div class="acts">
            <button
              v-for="{ act, word } in acts"
              :key="act"
              type="button"
              :aria-label="`${word}: ${known.name}`"
              :aria-expanded="open?.act === act && open.lotId === known.id"
              @click="open = open?.act === act && open.lotId === known.id ? null : { act, lotId: known.id }"
            >
              {{ word }}
            </button>
          </div>
          <div v-if="open && lot && open.lotId === known.id" class="opened">
            <h3>{{ headings[open.act] }} {{ known.name }}</h3>
            <LotForm v-if="open.act === 'describe'" :key="known.id" :lot="known" @done="done" />
            <CountLot v-else-if="open.act === 'count'" :key="known.id" :lot="known" @done="done" />
            <RationForm v-else-if="open.act === 'ration'" :lot="known" />
            <CompareTears v-else-if="open.act === 'compare'" :lot="known" />
            <ActForm v-else button="Put on the shelf" :busy="buying.busy.value" :fault="buying.fault.value" @give="buy">
              <div class="fields">
                <VTextField
                  v-model="bought.sheets"
                  label="Sheets bought"
                  inputmode="numeric"
                  suffix="sheets"
                /><VTextField
                  v-model="bought.price"
                  label="Price a sheet now"
                  inputmode="decimal"
                  :prefix="session.session?.studio.currency"
                  :placeholder="String(known.price)"
                />
              </div>
            </ActForm>
          </div>
        </li>
      </ul>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Damping</h2>
        <p>each sheet ready as the block is inked</p>
      </div>
      <DampingTable v-if="damping" />
      <div v-else class="buttons"><VBtn class="quiet" @click="damping = true">Make a damping timetable</VBtn></div>
    </section>
  </div>
</template>

<style scoped>
.lot {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px auto;
  gap: 6px 26px;
  align-items: start;
}
.about {
  font-size: 0.86rem;
}
.stock b {
  font-family: var(--serif);
  font-size: 1.3rem;
}
.short {
  margin-bottom: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  max-width: 330px;
}
.acts button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.9rem;
}
.acts button[aria-expanded='true'] {
  color: var(--ink);
  font-weight: 600;
}
.opened {
  grid-column: 1 / -1;
  padding: 12px 0 8px;
  border-top: 1px dotted var(--rule);
}
h3 {
  margin-bottom: 10px;
}
.nothing {
  padding: 20px 0;
}
@media (max-width: 900px) {
  .lot {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
