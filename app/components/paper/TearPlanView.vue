<script setup lang="ts">
import { type PiecePlan, pieceSize } from '#core/paper/piece'
import type { TearPlan } from '#core/paper/tear-plan'
import { byGrain, type TearRequest } from '#core/paper/tear-request'

/** The best way to tear the sheet in hand, and the alternatives beside it. */
const props = defineProps<{
  piece: PiecePlan
  count: number
  price: number
  /** Large sheets on the shelf, or null while no lot is chosen. */
  left: number | null
  paper: string
  title: string
}>()
/** The plan to tear by; null while none is found, or while the grain decides between two. */
const plan = defineModel<TearPlan | null>('plan', { required: true })
const edition = useEdition()
const { planAll, stop, parts, stopped } = useTearPlans()
const session = useSession()
const readings = ref<{ name: string; plan: TearPlan }[]>([])
const alternatives = ref<{ name: string; plan: TearPlan }[]>([])

const request = computed<TearRequest>(() => ({
  sheet: props.piece.sheet,
  piece: { ...pieceSize(props.piece), grain: props.piece.grain, deckles: props.piece.deckles },
  count: props.count,
  strip: props.piece.strip,
  price: props.price,
  block: edition.state?.blocks[0]?.block ?? props.piece.image,
}))

watch(
  request,
  async (now) => {
    const own = byGrain(now)
    const kept = now.piece.grain === 'free' ? 'width' : now.piece.grain
    const [first] = own
    const plans = await planAll([
      ...own,
      { ...now, piece: { ...now.piece, grain: 'free' } },
      {
        ...first!,
        sheet: { ...first!.sheet, grain: first!.sheet.grain === 'unknown' ? 'width' : first!.sheet.grain },
        piece: { ...now.piece, grain: kept },
      },
      { ...first!, strip: 0 },
    ])
    // A newer request took its place, or the search was stopped.
    if (!plans) return
    readings.value = own.map(({ sheet }, i) => ({ name: sheet.grain, plan: plans[i]! }))
    plan.value = own.length === 1 ? plans[0]! : null
    alternatives.value = ['grain free', `grain kept, along the ${kept}`, 'with a knife'].map((name, i) => ({
      name,
      plan: plans[own.length + i]!,
    }))
  },
  { immediate: true, deep: true },
)

const money = (amount: number | null) =>
  amount === null ? '' : `${session.session?.studio.currency ?? ''} ${amount.toFixed(2)}`
</script>

<template>
  <p v-if="parts > 0" class="searching" role="status">
    Looking for the best tears: {{ parts.toLocaleString('en') }} parts of the sheet looked at.
    <button type="button" class="stop" @click="stop">Stop</button>
  </p>
  <p v-else-if="stopped" class="soft" role="status">The search was stopped. Change a measure to start it again.</p>
  <div v-if="readings.length > 0">
    <p v-if="readings.length > 1" class="unknown-grain">
      A grain is wanted, and this sheet’s is not known yet. Find it by tearing or damping a corner, then say it above.
      Both ways are shown.
    </p>
    <section v-for="reading in readings" :key="reading.name">
      <h3 v-if="readings.length > 1">If the grain runs along the {{ reading.name }}</h3>
      <TornSheet :plan="reading.plan" :piece :count :left :paper :title />
    </section>
    <table v-columns class="ruled side">
      <thead>
        <tr>
          <th>Side by side</th>
          <th class="number">A sheet gives</th>
          <th class="number">Sheets</th>
          <th class="number">Left over</th>
          <th class="number">Tears</th>
          <th class="number">Cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="other in alternatives" :key="other.name">
          <td>{{ other.name }}</td>
          <td class="number">{{ other.plan.perSheet }}</td>
          <td class="number">{{ other.plan.sheets ?? 'none fits' }}</td>
          <td class="number">{{ other.plan.perSheet > 0 ? `${Math.round(other.plan.waste * 100)} %` : '' }}</td>
          <td class="number">{{ other.plan.tears.length || '' }}</td>
          <td class="number">{{ money(other.plan.cost) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.searching,
.unknown-grain {
  margin-bottom: 14px;
}
section + section {
  margin-top: 30px;
}
.stop {
  margin-left: 8px;
  min-height: 28px;
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.side {
  margin-top: 22px;
  max-width: 760px;
}
@media (max-width: 900px) {
  .side {
    display: block;
    overflow-x: auto;
  }
}
</style>
