<script setup lang="ts">
import { hasRoller } from '#core/press/kinds'
import { pluralise } from '#core/units/pluralise'
import { date } from '~/format/days'
import { type CardPaper, recallPdf } from '~/drawings/recall-pdf'

/** One layer on one page, in large type: enough for another printer to print it again, months later. */
const edition = useEdition()
const supplies = useSupplies()
const units = useUnits()
const route = useRoute()
const { layerId } = useLayerChoice(typeof route.query.layer === 'string' ? route.query.layer : '')
const card = useRecall(layerId)
const press = computed(() => supplies.presses.find(({ id }) => id === card.value?.setup?.pressId) ?? null)
const link = computed(() => `${window.location.origin}/bench/${edition.id}?layer=${layerId.value}`)
const paper = ref<CardPaper>(units.unit === 'in' ? 'Letter' : 'A4')
const papers = (['A4', 'Letter'] satisfies CardPaper[]).map((value) => ({ value, title: value }))
const { busy, fault, giving } = useGiving()

const print = () =>
  giving(async () => {
    const pictureId = card.value!.standard?.pictureId
    const picture = pictureId ? await cardPicture(pictureId) : null
    const file = recallPdf(card.value!, link.value, paper.value, picture)
    download(file, 'application/pdf', fileName(`${card.value!.title} ${card.value!.layer.name}`, 'recall.pdf'))
  })
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <div v-if="card" class="card">
      <section class="part head">
        <div>
          <h2>{{ card.layer.name }}</h2>
          <p v-if="card.standard">
            The {{ card.standard.word }} is pull {{ card.standard.ordinal }}, approved {{ date(card.standard.at) }}.
          </p>
          <p v-else class="soft">No proof of this layer is approved yet; this is what is in force.</p>
          <div class="buttons hand">
            <VBtn :loading="busy" @click="print">The card as PDF</VBtn>
            <span class="soft"
              >on
              <EditableValue v-model="paper" label="Paper of the card" kind="choice" :options="papers" :words="paper"
            /></span>
            <NuxtLink :to="`/bench/${edition.id}?layer=${layerId}`">To the bench at this layer</NuxtLink>
          </div>
          <TroubleLine :words="fault" />
        </div>
        <LinkCodeDrawing :link="link" :edge="128" />
      </section>
      <section class="part halves">
        <div>
          <h3>Set the press</h3>
          <SandwichDrawing
            v-if="card.setup"
            :packing="card.setup.packing"
            :block="card.setup.block"
            :press="card.setup.pressName"
            :roller="press ? hasRoller(press.kind) : false"
          />
          <ol class="steps">
            <li v-for="step in card.setting" :key="step">{{ step }}</li>
          </ol>
          <p v-if="card.asSet" class="soft">Set then: {{ card.asSet }}.</p>
          <p v-if="card.setup?.note" class="soft">{{ card.setup.note }}</p>
        </div>
        <div>
          <img
            v-if="card.standard?.pictureId"
            :src="`/api/pictures/${card.standard.pictureId}`"
            :alt="`The ${card.standard.word} of ${card.layer.name}`"
          />
          <h3>Ink</h3>
          <p v-if="card.inks.length === 0" class="soft">No batch is given to this layer yet.</p>
          <div v-for="ink in card.inks" :key="ink.zone + ink.name" class="ink">
            <svg width="34" height="34" aria-hidden="true"><rect width="34" height="34" :fill="ink.colour" /></svg>
            <p>
              <strong>{{ ink.name }}</strong>, {{ ink.zone }}, {{ ink.family }}<br />
              {{ ink.recipe.map(({ name, percent }) => `${name} ${percent} %`).join(', ') }}<br />
              <span class="soft">{{ ink.left }}</span>
            </p>
          </div>
          <h3>Each impression</h3>
          <ol class="steps">
            <li v-for="step in card.routine" :key="step">{{ step }}</li>
          </ol>
          <p v-for="chore in card.chores" :key="chore">{{ chore }}</p>
        </div>
      </section>
      <section class="part halves">
        <div>
          <h3>Register</h3>
          <p v-for="line in card.register" :key="line">{{ line }}</p>
          <h3>Block</h3>
          <p v-for="line in card.block" :key="line">{{ line }}</p>
        </div>
        <div>
          <h3>What went wrong, what mended it</h3>
          <p v-if="card.faults.length === 0" class="soft">Nothing was noted.</p>
          <p v-for="one in card.faults" :key="one.words">
            {{ one.words }}, {{ pluralise(one.times, 'time')
            }}<template v-if="one.mended.length > 0">; mended by {{ one.mended.join(', ') }}</template>
          </p>
        </div>
      </section>
    </div>
  </div>
</template>

<style scoped>
.card {
  font-size: 1.12rem;
  line-height: 1.5;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 20px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px 40px;
}
h3 {
  font-size: 1.15rem;
  margin: 12px 0 6px;
}
.steps {
  list-style: decimal;
  padding-left: 1.4em;
}
.ink {
  display: flex;
  gap: 14px;
  margin-bottom: 8px;
}
.ink svg {
  flex: none;
}
img {
  max-width: 100%;
  max-height: 260px;
  border: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .hand {
    display: none;
  }
}
</style>
