<script setup lang="ts">
import { blockOf } from '#core/run/ink-need'
import { shares } from '#core/ink/component'
import { grams } from '~/drawings/words'

const edition = useEdition()
const route = useRoute()
const supplies = useSupplies()
const { layerId, layer } = useLayerChoice(typeof route.query.layer === 'string' ? route.query.layer : '')
const trouble = ref('')
const loaded = ref(false)
const openBatch = ref('')
const overprints = ref((edition.state!.overprint?.wishes.length ?? 0) > 0)
onMounted(async () => {
  await supplies.load().catch((error: unknown) => {
    trouble.value = wordsOf(error)
  })
  loaded.value = true
})

const inForce = computed(() =>
  supplies.batches.filter(
    (batch) =>
      layer.value?.zones.some((zone) => zone.batchId === batch.id) ||
      layer.value?.blend?.stripes.some((stripe) => stripe.batchId === batch.id),
  ),
)
const block = computed(() => (layer.value ? (blockOf(edition.state!, layer.value)?.block ?? null) : null))
const blended = ref(false)
const showBlend = computed(
  () => blended.value || !!layer.value?.blend || edition.state!.plan!.method === 'blended roll',
)
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="loaded && layer">
      <section class="part">
        <div class="part-head">
          <h2>Ink for {{ layer.name }}</h2>
          <p>each pull keeps the batches that were in force</p>
        </div>
        <ZonesForm :layer="layer" />
      </section>
      <section class="part">
        <div class="part-head">
          <h2>How much</h2>
          <p>for the rest of the edition</p>
        </div>
        <InkNeeded :layer="layer" />
      </section>
      <section v-if="inForce.length > 0" class="part">
        <div class="part-head"><h2>On the slab</h2></div>
        <ul class="lines">
          <li v-for="batch in inForce" :key="batch.id" class="batch">
            <svg width="54" height="34" aria-hidden="true"><rect width="54" height="34" :fill="batch.colour" /></svg>
            <div>
              <strong>{{ batch.name }}</strong>, {{ batch.family }}
              <p class="soft">
                {{
                  batch.components
                    .map((c, i) => `${c.name} ${(shares(batch.components)[i]! * 100).toFixed(1)} %`)
                    .join(', ')
                }}
              </p>
            </div>
            <div>
              <strong>{{ grams(batch.left) }}</strong> left of {{ grams(batch.mixed) }}
            </div>
            <button
              type="button"
              class="plain"
              :aria-label="`${openBatch === batch.id ? 'Leave it' : 'Work with it'}: ${batch.name}`"
              :aria-expanded="openBatch === batch.id"
              @click="openBatch = openBatch === batch.id ? '' : batch.id"
            >
              {{ openBatch === batch.id ? 'Leave it' : 'Work with it' }}
            </button>
            <BatchActs
              v-if="openBatch === batch.id && !edition.state!.closedAt"
              class="opened"
              :batch="batch"
              :edition-stream="edition.state!.stream"
              :layer-id="layer.id"
            />
          </li>
        </ul>
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Roll up</h2>
          <p>kept the same for every impression</p>
        </div>
        <RollUpForm :key="layer.id" :layer="layer" :block="block" />
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Blended roll</h2>
          <p>two to four inks side by side on one roller</p>
        </div>
        <BlendStrip
          v-if="showBlend"
          :key="layer.id"
          :layer="layer"
          :across="block ? Math.min(block.width, block.height) : null"
        />
        <div v-else class="buttons"><VBtn class="quiet" @click="blended = true">Lay a blend</VBtn></div>
      </section>
      <section class="part">
        <div class="part-head">
          <h2>Overprints</h2>
          <p>every overlap of the layers on this paper</p>
        </div>
        <OverprintTable v-if="overprints" />
        <div v-else class="buttons"><VBtn class="quiet" @click="overprints = true">Lay the overlaps out</VBtn></div>
      </section>
      <p class="soft care">
        Rags with linseed, plate or vegetable oil can heat and catch fire by themselves: lidded metal can, emptied as
        the local fire code says. The ink’s data sheet and the studio’s rules come first.
      </p>
    </template>
  </div>
</template>

<style scoped>
.batch {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) auto auto;
  gap: 6px 18px;
  align-items: center;
  font-size: 0.92rem;
}
.opened {
  grid-column: 1 / -1;
  border-top: 1px dotted var(--rule);
}
.plain {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.9rem;
}
.care {
  font-size: 0.85rem;
  margin-top: 16px;
  max-width: 64ch;
}
</style>
