<script setup lang="ts">
import type { TearPlan } from '#core/paper/tear-plan'
import type { EditionsReply, EditionSummary, LotSummary } from '#shared/replies/replies'

/** What several editions would take of one lot, each torn its own way. */
const props = defineProps<{ lot: LotSummary }>()
const units = useUnits()
const session = useSession()
const { planAll } = useTearPlans()
const lines = ref<{ edition: EditionSummary; wanted: number; plan: TearPlan }[]>([])
const trouble = ref('')
watch(
  () => props.lot,
  async (lot) => {
    try {
      const { editions } = await api<EditionsReply>('/api/editions?limit=100')
      const open = editions.filter((edition) => edition.piece !== null && edition.state !== 'closed')
      const wanted = (edition: EditionSummary) =>
        Math.ceil(Math.max(0, (edition.toStart?.sheets ?? edition.goal) - edition.made) / (edition.piece?.images ?? 1))
      const plans = await planAll(
        open.map((edition) => ({
          sheet: { width: lot.width, height: lot.height, deckles: lot.deckles, allowance: 0, grain: lot.grain },
          piece: edition.piece!,
          count: Math.max(1, wanted(edition)),
          strip: edition.piece!.strip,
          price: lot.price,
          block: null,
        })),
      )
      if (!plans) return
      lines.value = open.map((edition, i) => ({ edition, wanted: wanted(edition), plan: plans[i]! }))
      trouble.value = ''
    } catch (error) {
      trouble.value = wordsOf(error)
    }
  },
  { immediate: true },
)
const sheets = (line: { wanted: number; plan: TearPlan }) =>
  line.plan.perSheet === 0 ? null : line.wanted === 0 ? 0 : line.plan.sheets
const total = computed(() => lines.value.reduce((sum, line) => sum + (sheets(line) ?? 0), 0))
</script>

<template>
  <div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="lines.length === 0" class="soft">
      No open edition has its sheet planned yet. Plan it under the edition’s Paper stop.
    </p>
    <table v-else v-columns class="ruled">
      <thead>
        <tr>
          <th>Edition</th>
          <th>Piece</th>
          <th class="number">Still to tear</th>
          <th class="number">A sheet gives</th>
          <th class="number">Sheets</th>
          <th class="number">Left over</th>
          <th class="number">Cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.edition.id">
          <td>
            <NuxtLink :to="`/editions/${line.edition.id}/paper`">{{ line.edition.title }}</NuxtLink>
          </td>
          <td>{{ units.size(line.edition.piece!.width, line.edition.piece!.height) }}</td>
          <td class="number">{{ line.wanted }}</td>
          <td class="number">{{ line.plan.perSheet }}</td>
          <td class="number">{{ sheets(line) ?? 'none fits' }}</td>
          <td class="number">{{ line.plan.perSheet > 0 ? `${Math.round(line.plan.waste * 100)} %` : '' }}</td>
          <td class="number">
            {{
              sheets(line) === null
                ? ''
                : `${session.session?.studio.currency} ${(sheets(line)! * lot.price).toFixed(2)}`
            }}
          </td>
        </tr>
        <tr>
          <td colspan="4"><strong>in all</strong></td>
          <td class="number">
            <strong>{{ total }}</strong>
          </td>
          <td colspan="2" class="number">
            {{ total > lot.left ? `${total - lot.left} more to buy` : `${lot.left - total} would be left` }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
@media (max-width: 900px) {
  table.ruled {
    display: block;
    overflow-x: auto;
  }
}
</style>
