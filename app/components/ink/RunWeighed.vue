<script setup lang="ts">
import { batch as batchStream } from '#core/stores/batch/stream'
import { filmOfRun } from '#core/ink/amount'
import { runInk } from '#core/run/ink-left'
import { inkNeed } from '#core/run/ink-need'
import type { BatchSummary } from '#shared/replies/replies'

/** What the pulls of one layer took of a batch, weighed: the film it makes counts for the room from then on. */
const props = defineProps<{ batch: BatchSummary; layerId: string }>()
const edition = useEdition()
const session = useSession()
const { busy, fault, giving } = useGiving()
const known = useInkKnown()
/** What the book says of this run alone: earlier runs and other mixes are not counted. */
const run = computed(() => runInk(props.batch, edition.state!, props.layerId))
const form = ref({
  used: run.value.milligrams === null ? '' : String(run.value.milligrams / 1000),
  sessions: '1',
})
const pulls = computed(() => run.value.pulls)
const need = computed(() => {
  const layer = edition.state!.layers.find((one) => one.id === props.layerId)
  const zone = layer?.zones.find((one) => one.batchId === props.batch.id)
  return layer && zone
    ? (inkNeed(edition.state!, layer.id, known(layer)).find((one) => one.zoneId === zone.id) ?? null)
    : null
})
const area = computed(() =>
  need.value ? pulls.value * need.value.job.blockArea * (need.value.job.inkedShare + need.value.job.wipedShare) : 0,
)
const film = computed(() =>
  need.value
    ? filmOfRun(
        {
          mixed: typedNumber(form.value.used),
          left: 0,
          scraped: 0,
          area: area.value,
          sessions: typedNumber(form.value.sessions),
          rollerSurface: need.value.job.rollerSurface,
          slabArea: need.value.job.slabArea,
        },
        need.value.guess,
      )
    : null,
)

async function count() {
  const thickness = film.value
  if (thickness === null) return
  await giving(() =>
    session.give('weigh-run', batchStream.of(props.batch.id), {
      editionStream: edition.state!.stream,
      layerId: props.layerId,
      milligrams: Math.round(typedNumber(form.value.used) * 1000),
      area: area.value,
      film: thickness,
    }),
  )
}
</script>

<template>
  <form @submit.prevent="count">
    <p class="soft">
      {{ pulls }} {{ pulls === 1 ? 'pull' : 'pulls' }} of this layer with {{ batch.name }} since its last run was
      weighed, {{ (area / 1e6).toFixed(2) }} m² printed and wiped.
      <template v-if="run.milligrams === null"
        >Nothing was drawn, kept or weighed since: weigh what is left first, or say what was used.</template
      >
    </p>
    <div class="fields">
      <VTextField
        v-model="form.used"
        label="Used, left and scrapings taken off"
        inputmode="decimal"
        suffix="g"
      /><VTextField v-model="form.sessions" label="Wash-ups in it" inputmode="numeric" /><VBtn
        type="submit"
        class="quiet"
        :disabled="film === null"
        :loading="busy"
        >Count it</VBtn
      >
    </div>
    <p v-if="film !== null">
      <strong>{{ film.toFixed(1) }} µm</strong> on the paper. Counted, it moves the room’s film by its printed area.
    </p>
    <p v-else class="soft">
      {{
        pulls === 0
          ? 'Nothing was pulled with it yet.'
          : 'Less went than roller and slab alone hold: check the weight and the wash-ups.'
      }}
    </p>
    <TroubleLine :words="fault" />
  </form>
</template>
