<script setup lang="ts">
import { tub as tubStream } from '#core/stores/tub/stream'
import { v7 } from 'uuid'
import { careWithInk } from '#core/care/cards'
import { cardOf } from '#core/ink/draw-down'
import { starterInks } from '#core/ink/pigments'
import type { TubSummary } from '#shared/replies/replies'
import { ago, grams } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'
import { date } from '~/format/days'

useHead({ title: 'Ink slab · Ample Tally' })
const supplies = useSupplies()
const lastUse = useLastUse()
const session = useSession()
const starting = useGiving()
const weighing = useGiving()
const trouble = computed(() => supplies.troubleOf('tubs', 'batches'))
const loaded = computed(() => supplies.areRead('tubs', 'batches'))
const adding = ref(false)
const openTub = ref<{ id: string; act: 'describe' | 'weigh' } | null>(null)
const openBatch = ref('')
const weight = ref({ grams: '', reason: '' })
const tubs = computed(() => [...supplies.tubs].sort((a, b) => a.name.localeCompare(b.name)))
const batches = computed(() =>
  [...supplies.batches].sort((a, b) => Number(b.left > 0) - Number(a.left > 0) || a.name.localeCompare(b.name)),
)
const families = computed(() => [...new Set(batches.value.filter(({ left }) => left > 0).map(({ family }) => family))])
const short = computed(() => supplies.tubs.filter((tub) => tub.left < 0))

/** A first shelf of generic, invented inks, each with a draw-down, so that a new room can start. */
async function putStarters() {
  await starting.giving(async () => {
    for (const { name, nature, density, tinting, pigment } of starterInks) {
      if (supplies.tubs.some((tub) => tub.name === name)) continue
      // Black hides its card at a usual film, so it is drawn thin.
      const card =
        nature === 'pigment' || nature === 'white'
          ? cardOf(pigment, '#f4f2ec', name === 'bone black' ? 1 : usualFilm)
          : null
      await session.give('add-tub', tubStream.of(v7()), {
        name,
        maker: '',
        container: nature === 'oil' || nature === 'drier' ? 'bottle' : 'tub',
        family: 'oil',
        nature,
        density,
        tinting,
        price: 0,
        openedOn: null,
        condition: 'clean',
        limits: null,
        keptAt: '',
        card,
        milligrams: 250_000,
      })
    }
  })
}

async function weigh(tub: TubSummary) {
  const milligrams = Math.round(typedNumber(weight.value.grams) * 1000)
  if (!Number.isFinite(milligrams)) return weighing.refuse('Give the weight in grams, for instance 310.')
  if (
    await weighing.giving(() =>
      session.give('weigh-tub', tubStream.of(tub.id), { milligrams, reason: weight.value.reason }),
    )
  ) {
    weight.value = { grams: '', reason: '' }
    openTub.value = null
  }
}
function toggle(id: string, act: 'describe' | 'weigh') {
  openTub.value = openTub.value?.id === id && openTub.value.act === act ? null : { id, act }
}
function about(tub: TubSummary): string {
  const limits = tub.limits ? `${tub.limits.least} to ${tub.limits.most} % by its label` : ''
  return [
    tub.family,
    tub.nature === 'pigment' ? '' : tub.nature === 'base' ? 'transparent base' : tub.nature,
    limits,
    tub.openedOn ? `opened ${date(tub.openedOn)}` : 'sealed',
    tub.keptAt,
    lastUse.ofTub(tub.id),
  ]
    .filter(Boolean)
    .join(' · ')
}

function tubDone() {
  openTub.value = null
  adding.value = false
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Ink slab</h1>
      <p class="told">
        {{ pluralise(batches.filter((b) => b.left > 0).length, 'batch', 'batches') }} to hand,
        {{ pluralise(tubs.length, 'ink') }} on the shelf
      </p>
      <VBtn class="right" to="/ink/mix">Mix a batch</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <p v-for="tub in short" :key="tub.id" class="trouble">
      The book is {{ grams(-tub.left) }} short of {{ tub.name }}: more was poured than it knew of. Weigh the tub.
    </p>
    <section class="part">
      <div class="part-head"><h2>Batches</h2></div>
      <TeachStep v-if="loaded && batches.length === 0 && tubs.length === 0" />
      <p v-else-if="loaded && batches.length === 0" class="soft">
        Nothing is mixed yet. Mix a batch, and it is kept here with what is left of it.
      </p>
      <ul class="lines">
        <li v-for="batch in batches" :key="batch.id" class="batch" :class="{ spent: batch.left === 0 }">
          <svg width="54" height="34" aria-hidden="true"><rect width="54" height="34" :fill="batch.colour" /></svg>
          <div>
            <strong>{{ batch.name }}</strong> <span class="soft">{{ batch.family }}</span>
            <p class="soft about">
              {{ batch.components.map((c) => `${c.name} ${grams(c.milligrams)}`).join(', ')
              }}<template v-if="batch.keepings.length > 0">
                · kept {{ ago(batch.keepings.at(-1)!.at)
                }}{{ batch.keepings.at(-1)!.how ? `, ${batch.keepings.at(-1)!.how}` : '' }}; it will be
                stiffer</template
              >
            </p>
          </div>
          <div class="stock">
            <b>{{ grams(batch.left) }}</b>
            <p class="soft about">left of {{ grams(batch.mixed) }}</p>
          </div>
          <div class="links">
            <button
              type="button"
              :aria-label="`${openBatch === batch.id ? 'Leave it' : 'Work with it'}: ${batch.name}`"
              :aria-expanded="openBatch === batch.id"
              @click="openBatch = openBatch === batch.id ? '' : batch.id"
            >
              {{ openBatch === batch.id ? 'Leave it' : 'Work with it' }}
            </button>
            <NuxtLink :to="`/ink/mix?more=${batch.id}`" :aria-label="`Top up ${batch.name}`">Top up</NuxtLink
            ><NuxtLink :to="`/ink/mix?like=${batch.id}`" :aria-label="`Mix again ${batch.name}`">Mix again</NuxtLink>
          </div>
          <BatchActs v-if="openBatch === batch.id" class="opened" :batch="batch" />
        </li>
      </ul>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Tubs and tubes</h2>
        <p>left: over white; right: over black</p>
      </div>
      <div v-if="loaded && tubs.length === 0" class="start">
        <p>
          No ink yet. Add the first tub as its label tells it, or put up a first shelf of invented, generic inks to try
          things out.
        </p>
      </div>
      <ul class="lines">
        <li v-for="tub in tubs" :key="tub.id" class="tub">
          <svg
            width="54"
            height="34"
            role="img"
            :aria-label="tubHexes(tub) ? `${tub.name} over white and over black` : `${tub.name}: no draw-down`"
          >
            <rect width="27" height="34" :fill="tubHexes(tub)?.white ?? '#fbf9f3'" />
            <rect x="27" width="27" height="34" :fill="tubHexes(tub)?.black ?? '#fbf9f3'" />
            <path v-if="!tubHexes(tub)" d="M0,34 L54,0" stroke="#746d62" />
          </svg>
          <div>
            <strong>{{ tub.name }}</strong> <span class="soft">{{ tub.maker }}</span>
            <p class="soft about"><TubStanding :tub="tub" /> · {{ about(tub) }}</p>
          </div>
          <div class="stock">
            <b :class="{ trouble: tub.left < 0 }">{{ grams(Math.abs(tub.left)) }}</b>
            <p class="soft about">
              {{ tub.left < 0 ? 'short' : 'left'
              }}<template v-if="tub.price > 0"
                >, {{ session.session?.studio.currency }} {{ (tub.price * 100).toFixed(2) }} / 100 g</template
              >
            </p>
          </div>
          <div class="links">
            <button
              type="button"
              :aria-label="`Weigh ${tub.name}`"
              :aria-expanded="openTub?.id === tub.id && openTub.act === 'weigh'"
              @click="toggle(tub.id, 'weigh')"
            >
              Weigh
            </button>
            <button
              type="button"
              :aria-label="`Describe ${tub.name}`"
              :aria-expanded="openTub?.id === tub.id && openTub.act === 'describe'"
              @click="toggle(tub.id, 'describe')"
            >
              Describe
            </button>
          </div>
          <div v-if="openTub?.id === tub.id" class="opened">
            <TubForm v-if="openTub.act === 'describe'" :key="tub.id" :tub="tub" @done="tubDone" />
            <form v-else @submit.prevent="weigh(tub)">
              <div class="fields">
                <VTextField v-model="weight.grams" label="In it now" inputmode="decimal" suffix="g" /><VTextField
                  v-model="weight.reason"
                  label="Why it differs"
                  placeholder="bought, spilt, weighed"
                /><VBtn type="submit" class="quiet" :loading="weighing.busy.value">Set the weight</VBtn>
              </div>
              <TroubleLine :words="weighing.fault.value" />
            </form>
          </div>
        </li>
      </ul>
      <div class="buttons">
        <VBtn class="quiet" @click="adding = !adding">{{ adding ? 'Leave the new ink' : 'Add an ink' }}</VBtn><VBtn
          v-if="loaded && tubs.length === 0"
          class="quiet"
          :loading="starting.busy.value"
          @click="putStarters"
          >Put up a first shelf</VBtn
        >
      </div>
      <TroubleLine :words="starting.fault.value" />
      <TubForm v-if="adding" class="new" @done="tubDone" />
    </section>
    <section class="part">
      <div class="part-head"><h2>Rollers</h2></div>
      <RollerList />
    </section>
    <p class="soft">Skim the tub, don’t dig; lay skin paper back.</p>
    <CareNotes :cards="[...careWithInk(families), 'powders']" class="care" />
  </div>
</template>

<style scoped>
.batch,
.tub {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) 170px 250px;
  gap: 4px 20px;
  align-items: center;
}
.spent {
  opacity: 0.75;
}
.about {
  font-size: 0.86rem;
}
.stock b {
  font-family: var(--serif);
  font-size: 1.15rem;
}
.links {
  display: flex;
  gap: 16px;
  font-size: 0.9rem;
}
.links button,
.links a {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
}
.links a {
  padding-top: 3px;
}
.opened {
  grid-column: 1 / -1;
  border-top: 1px dotted var(--rule);
  padding-top: 12px;
}
.opened .fields {
  align-items: end;
}
.new {
  margin-top: 16px;
}
.care {
  margin-top: 10px;
}
.start {
  padding: 6px 0 10px;
}
@media (max-width: 900px) {
  .batch,
  .tub {
    grid-template-columns: 54px minmax(0, 1fr);
  }
  .stock,
  .links {
    grid-column: 2;
  }
}
</style>
