<script setup lang="ts">
import { doerWords } from '#core/ground/envelope'
import { routineWords } from '#core/ink/roll-up'
import { pullsFor } from '#core/edition/lock-up'
import { stackFor } from '#core/edition/stack'
import { pullOf } from '#core/edition/pull'
import { isLastLayer, setupInForce } from '#core/edition/layer'
import { flowOf } from '#core/edition/flow'
import { faultWord } from '#core/print/faults'
import { restsOn } from '#core/plan/pass-rate'
import { gateOf } from '#core/run/gate'
import { goodAt, outlook, stackOf } from '#core/run/outlook'
import { strokesOf } from '~/drawings/tally'
import { chanceWords, formatDuration } from '~/drawings/words'

const edition = useEdition()
const session = useSession()
const { layerId, layer } = useLayerChoice()
const chosen = ref<string | null>(null)
const { busy, fault, giving } = useGiving()
const settling = ref<Record<string, { sheetId: string; reason: string }>>({})

const state = computed(() => edition.state!)
const strokes = computed(() => strokesOf(state.value, layerId.value, edition.isStored, session.nameOf))
const pull = computed(() => (chosen.value ? pullOf(state.value, chosen.value) : undefined))
const look = computed(() => outlook(state.value, edition.record, layerId.value))
const stages = computed(() => flowOf(state.value))
const mine = computed(() =>
  state.value.pulls.filter((p) => p.layerId === layerId.value && !p.voided && p.disputed === null && p.kind === 'pull'),
)
const number = (verdict: string) => mine.value.filter((p) => p.verdict === verdict).length
const faultsNamed = computed(() => {
  const tally = new Map<string, number>()
  for (const p of mine.value)
    if (p.verdict === 'reject') for (const key of p.faults) tally.set(key, (tally.get(key) ?? 0) + 1)
  return [...tally]
    .sort((a, b) => b[1] - a[1])
    .map(([key, n]) => `${faultWord(key)} ${n}`)
    .join(', ')
})
const toPull = computed(() => (layer.value ? stackFor(state.value, layer.value).length : 0))
const rackRoom = useRackRoom(layer)
const pullsToGo = computed(() => (layer.value ? pullsFor(state.value, layer.value, toPull.value) : 0))
const voided = computed(() => state.value.pulls.filter((p) => p.voided && p.layerId === layerId.value))
const disputed = computed(() => state.value.pulls.filter((p) => p.disputed && !p.disputed.settled))
const isReduction = computed(() => state.value.plan?.method === 'reduction')
const isLast = computed(() => isLastLayer(state.value, layerId.value))
/** What the gate asks before the block is cut further. */
const gate = computed(() => {
  const place = state.value.layers.findIndex((l) => l.id === layerId.value)
  return gateOf(stackOf(state.value), place, state.value.plan!, edition.record, edition.studio.confidence)
})
const setting = computed(() => (layer.value ? setupInForce(layer.value) : null))

const settlement = (id: string) =>
  (settling.value[id] ??= {
    sheetId: String(state.value.pulls.find(({ pullId }) => pullId === id)?.sheetIds[0] ?? ''),
    reason: '',
  })
const settle = (pullId: string, outcome: 'void' | 'move') =>
  giving(() =>
    edition.give('settle-dispute', {
      pullId,
      outcome,
      sheetId: outcome === 'move' ? Number(settlement(pullId).sheetId) || null : null,
      reason: settlement(pullId).reason,
    }),
  )
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="state.layers" />
    <section v-if="disputed.length > 0" id="disputed" class="part">
      <div class="part-head">
        <h2>Disputed pulls</h2>
        <p>stored, not counted; someone who was there settles them</p>
      </div>
      <ul class="lines">
        <li v-for="p in disputed" :key="p.pullId" class="dispute">
          <p>
            <strong>Pull {{ p.ordinal }}</strong
            >, {{ p.verdict }}<template v-if="p.sheetIds.length > 0">, sheet {{ p.sheetIds.join(', ') }}</template
            >, by {{ doerWords(p, session.nameOf) }}.
            {{ p.disputed!.message }}
            <template v-if="p.disputed!.claimedBy">Said to be by {{ session.nameOf(p.disputed!.claimedBy) }}.</template>
          </p>
          <VTextField v-model="settlement(p.pullId).reason" label="What really happened" />
          <VTextField
            v-if="p.sheetIds.length > 0"
            v-model="settlement(p.pullId).sheetId"
            label="It lies on sheet"
            inputmode="numeric"
          />
          <VBtn class="quiet" :loading="busy" @click="settle(p.pullId, 'move')">{{
            p.sheetIds.length > 0 ? 'Count it there' : 'Count it'
          }}</VBtn>
          <VBtn class="quiet" :loading="busy" @click="settle(p.pullId, 'void')">Void it</VBtn>
        </li>
      </ul>
      <TroubleLine :words="fault" />
    </section>
    <section class="part">
      <div class="part-head">
        <h2>
          {{
            state.layers.length > 1
              ? `Layer ${state.layers.findIndex((l) => l.id === layerId) + 1}, ${layer?.name}`
              : layer?.name
          }}
        </h2>
        <p>
          {{
            [
              layer?.rollUp ? routineWords(layer.rollUp) : layer?.routine,
              setting?.pressName,
              layer?.zones
                .map((zone) => zone.batchName)
                .filter(Boolean)
                .join(', '),
            ]
              .filter(Boolean)
              .join(' · ')
          }}
        </p>
      </div>
      <LaidLayer v-if="layer?.withoutPull" :layer="layer" @stay="layerId = String(layerId)" />
      <template v-else-if="strokes.length > 0">
        <LongTally
          v-model:chosen="chosen"
          :strokes="strokes"
          :label="layer?.name"
          :cell="22"
          :tall="2.8"
          :older-cell="22"
          :older-tall="2.8"
          :left-open="300"
          :bundle-of="100"
        />
        <div class="figures">
          <span
            ><b>{{ number('good') }}</b
            >good</span
          >
          <span class="d"
            ><b>{{ number('doubtful') }}</b
            >doubtful</span
          >
          <span class="r"
            ><b>{{ number('reject') }}</b
            >reject <span class="soft">{{ faultsNamed }}</span></span
          >
          <span
            ><b>{{ toPull }}</b
            >to pull<template v-if="look.pace && toPull > 0"
              >, {{ formatDuration(look.pace * pullsToGo) }}</template
            ></span
          >
          <span v-if="look.goal > 0" class="c"
            ><b>{{ chanceWords(look.chance, look.isRough) }}</b
            >chance of {{ look.goal }}</span
          >
        </div>
        <p v-if="rackRoom" class="warned">{{ rackRoom }} <NuxtLink to="/racks">Racks</NuxtLink></p>
        <InkEnough :layer-ids="[layerId]" />
        <p class="soft rests">
          {{ goodAt(state, layerId) }} stand as good after this layer.<template v-if="look.goal > 0">
            The chance rests on a pass rate {{ restsOn(look.rate) }}.</template
          >
        </p>
        <RunSoFar :layer-id="layerId" />
        <PullLedger
          v-if="pull"
          :pull="pull"
          :sentence="strokes.find((stroke) => stroke.key === chosen)?.sentence ?? ''"
        />
      </template>
      <TeachStep v-else
        ><span v-if="state.made === 0"
          >No paper is torn yet. <NuxtLink :to="`/editions/${edition.id}/paper`">Tear it first</NuxtLink>.</span
        ><NuxtLink v-else :to="`/bench/${edition.id}?layer=${layerId}`">Go to the bench</NuxtLink></TeachStep
      >
    </section>
    <section v-if="state.made > 0" class="part">
      <div class="part-head"><h2>From torn to here</h2></div>
      <StreamDrawing :stages="stages" />
    </section>
    <section v-if="state.pulls.length > 0" class="part">
      <div class="part-head"><h2>Where losses come from</h2></div>
      <LossChart :layer-id="layerId" />
    </section>
    <section v-if="!state.closedAt && strokes.length > 0" class="part">
      <div class="part-head"><h2>The stack</h2></div>
      <p v-if="layer?.cutFurther" class="soft">The block is cut further: this layer takes no more pulls.</p>
      <p v-if="isReduction && !isLast">
        <NuxtLink :to="`/editions/${edition.id}/gate?layer=${layerId}`">{{
          layer?.cutFurther ? 'The gate it went through' : 'Before the next state is cut'
        }}</NuxtLink><template v-if="!layer?.cutFurther"
          >: cut now {{ chanceWords(gate.cutNow, gate.isRough)
          }}<template v-if="gate.waiting > 0"
            >, with the {{ gate.waiting }} that wait pulled first
            {{ chanceWords(gate.pulledFirst, gate.isRough) }}</template
          >.</template
        >
      </p>
      <TroubleLine :words="fault" />
      <SpoilSheet />
    </section>
    <section v-if="voided.length > 0" class="part">
      <div class="part-head">
        <h2>Voided</h2>
        <p>kept in the ledger, not counted</p>
      </div>
      <ul class="lines">
        <li v-for="p in voided" :key="p.pullId" class="voided">
          Pull {{ p.ordinal }}, {{ p.verdict }}, sheet {{ p.sheetIds.join(', ') || 'of proof paper' }}
          <VBtn v-if="!p.disputed" class="quiet" @click="edition.tap('restore-pull', { pullId: p.pullId })"
            >Restore</VBtn
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.gate strong {
  white-space: nowrap;
}
.warned {
  color: var(--doubtful);
}
.rests {
  font-size: 0.82rem;
  margin-top: 6px;
}
.first {
  margin-top: 0;
}
.gate {
  margin-top: 14px;
  max-width: 64ch;
}
.dispute {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px auto auto;
  gap: 10px 18px;
  align-items: end;
}
.dispute p {
  grid-column: 1 / -1;
}
.voided {
  display: flex;
  justify-content: space-between;
  align-items: center;
  max-width: 520px;
}
@media (max-width: 900px) {
  .dispute {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
