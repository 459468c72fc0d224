<script setup lang="ts">
import { edition } from '#core/edition/stream'
import type { RackedStack, RackSummary } from '#shared/replies/replies'
import { slotWords } from '~/drawings/rack'
import { overprintWords, stageOf } from '~/drawings/drying-words'
import { ago } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** One rack: its slots, and the stacks in them with what they are fit for. */
const props = defineProps<{ rack: RackSummary; stacks: RackedStack[]; now: number }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const editing = ref(false)
const free = computed(() => props.rack.slots - props.rack.lain.length)

/** What can be done with a stack, in a sentence. */
function fitness(stack: RackedStack): string {
  if (stack.isPrintedOn) return 'Printed on since: take it out here.'
  if (stack.isDry) return 'Somebody has said that it is dry.'
  if (!stack.drying || stack.since === null) return ''
  return overprintWords(stack.drying, stack.since, props.now)
}
const isReady = ({ isDry, drying, since }: RackedStack) =>
  isDry ||
  (!!drying && since !== null && stageOf(drying.moments.overprint, (props.now - since) / 3600_000) === 'surely')

function described() {
  editing.value = false
}

async function takeOut(stack: RackedStack) {
  await giving(() =>
    session.give('take-out', edition.of(stack.editionId), { rackId: props.rack.id, slots: stack.slots }),
  )
}
</script>

<template>
  <article class="rack">
    <div class="head">
      <h2>{{ rack.name }}</h2>
      <p class="soft">
        {{ rack.place }}{{ rack.place ? '; ' : '' }}{{ free }} of {{ pluralise(rack.slots, 'slot') }} free{{
          rack.perSlot > 1 ? `, ${rack.perSlot} sheets to a slot` : ''
        }}
        <button v-if="session.isStaff" type="button" class="link" @click="editing = !editing">
          {{ editing ? 'leave it as it is' : 'put right' }}
        </button>
      </p>
    </div>
    <RackForm v-if="editing" :rack="rack" @done="described" />
    <RackDrawing :rack="rack" :stacks="stacks" :is-ready="isReady" />
    <ul v-if="stacks.length > 0" class="lines">
      <li v-for="stack in stacks" :key="`${stack.editionId} ${stack.layerId}`">
        <div>
          <NuxtLink :to="`/editions/${stack.editionId}/dry?layer=${stack.layerId}`">{{ stack.title }}</NuxtLink>,
          {{ stack.layerName }}: {{ pluralise(stack.sheets, 'sheet') }} in {{ slotWords(stack.slots) }}, laid in
          {{ ago(stack.laidAt, now) }}<br />
          <span class="soft">{{ fitness(stack) }}</span>
        </div>
        <VBtn class="quiet" :loading="busy" @click="takeOut(stack)">Take out</VBtn>
      </li>
    </ul>
    <TroubleLine :words="fault" />
  </article>
</template>

<style scoped>
.rack + .rack {
  margin-top: 26px;
  padding-top: 18px;
  border-top: 1px solid var(--rule);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 6px 20px;
}
</style>
