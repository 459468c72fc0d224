<script setup lang="ts">
import { careWithInk } from '#core/care/cards'
import { routineWords } from '#core/ink/roll-up'
import { blockOf } from '#core/run/ink-need'
import { shares } from '#core/ink/component'
import { grams } from '~/drawings/words'

const edition = useEdition()
const route = useRoute()
const supplies = useSupplies()
const { layerId, layer } = useLayerChoice(typeof route.query.layer === 'string' ? route.query.layer : '')
const trouble = computed(() => supplies.troubleOf('batches'))
const loaded = computed(() => supplies.areRead('batches') || trouble.value !== '')
const openBatch = ref('')

const inForce = computed(() =>
  supplies.batches.filter(
    (batch) =>
      layer.value?.zones.some((zone) => zone.batchId === batch.id) ||
      layer.value?.blend?.stripes.some((stripe) => stripe.batchId === batch.id),
  ),
)
const families = computed(() => [...new Set(inForce.value.map(({ family }) => family))])
const block = computed(() => (layer.value ? (blockOf(edition.state!, layer.value)?.block ?? null) : null))
const across = computed(() => (block.value ? Math.min(block.value.width, block.value.height) : null))
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <TroubleLine :words="trouble" />
    <template v-if="loaded && layer">
      <section class="part answer">
        <LayerSlab v-if="!layer.blend" :layer="layer" :block="block" />
        <BlendStrip v-else :key="layer.id" :layer="layer" :across="across" />
        <div>
          <h2>Enough?</h2>
          <InkNeeded :layer="layer" />
        </div>
      </section>
      <CollapsibleSection
        title="Ink of each zone"
        :words="layer.zones.map((zone) => `${zone.name}: ${zone.batchName || 'no batch yet'}`).join('; ')"
        :missing="layer.zones.some((zone) => zone.batchId === null)"
      >
        <ZonesForm :layer="layer" />
      </CollapsibleSection>
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
      <CollapsibleSection title="Roll up" :words="layer.rollUp ? routineWords(layer.rollUp) : 'not said yet'">
        <RollUpForm :key="layer.id" :layer="layer" :block="block" />
      </CollapsibleSection>
      <CollapsibleSection
        v-if="!layer.blend"
        title="Blended roll"
        words="none: one ink on the roller"
        :missing="edition.state!.plan!.method === 'blended roll'"
      >
        <BlendStrip :key="layer.id" :layer="layer" :across="across" />
      </CollapsibleSection>
      <CollapsibleSection
        title="Overprints"
        :words="`every overlap of the ${edition.state!.layers.length === 1 ? 'layer' : 'layers'} on this paper`"
        :missing="(edition.state!.overprint?.wishes.length ?? 0) > 0"
      >
        <OverprintTable />
      </CollapsibleSection>
      <CareNotes :cards="careWithInk(families)" class="care" />
    </template>
  </div>
</template>

<style scoped>
.answer {
  display: grid;
  grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
  gap: 10px 26px;
}
.answer h2 {
  font-size: 1.05rem;
}
@media (max-width: 1100px) {
  .answer {
    grid-template-columns: minmax(0, 1fr);
  }
}
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
  margin-top: 16px;
}
</style>
