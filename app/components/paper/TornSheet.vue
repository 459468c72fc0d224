<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { pages } from '#core/drawing/tiles'
import { type PiecePlan, pieceSize } from '#core/paper/piece'
import { offcutSizes, type TearPlan } from '#core/paper/tear-plan'
import { tearDrawing, tearWords, describeTruing } from '#core/paper/tear-sheet'

/** One large sheet as it is torn: to scale, its tears in order, and what is left over. */
const props = defineProps<{
  plan: TearPlan
  piece: PiecePlan
  count: number
  /** Large sheets on the shelf, or null while no lot is chosen. */
  left: number | null
  paper: string
  title: string
}>()
const units = useUnits()
const session = useSession()
const showAll = ref(false)

const drawing = computed(() =>
  tearDrawing(props.plan, props.piece.sheet, 180, units.length, props.plan.perSheet > 24 ? 2.6 : 4.4),
)
const sameOffcuts = computed(() => offcutSizes(props.plan.offcuts))
const money = (amount: number | null) =>
  amount === null ? '' : `${session.session?.studio.currency ?? ''} ${amount.toFixed(2)}`
const toBuy = computed(() =>
  props.left === null ? 0 : Math.max(0, (props.plan.sheets ?? 0) - Math.max(0, props.left)),
)
const tearsShown = computed(() => (showAll.value ? props.plan.tears : props.plan.tears.slice(0, 14)))

async function pdf() {
  const { textPdf } = await import('~/drawings/pdf-file')
  const now = props.plan
  const size = pieceSize(props.piece)
  const lines = [
    `${props.paper}, sheet ${units.size(props.piece.sheet.width, props.piece.sheet.height)} as measured. Pieces ${units.size(size.width, size.height)}: ${now.perSheet} from a sheet, ${pluralise(now.sheets ?? 0, 'sheet')} for ${props.count}.`,
    ...(now.trued.length > 0 ? now.trued.map((line) => describeTruing(line, units.length)) : []),
    '',
    ...now.tears.map((tear) => `${tear.number}.  ${tearWords(tear, units.length)}`),
    '',
    ...sameOffcuts.value.map(
      (offcut) => `Left over: ${offcut.count} of ${units.size(offcut.width, offcut.height)}, ${offcut.use}`,
    ),
    'Measure the sheet in hand before the first tear. Straightedge flat, fingers behind its edge; a knife away from the body. The studio’s own rules come first.',
  ]
  download(
    textPdf(`Tear sheet: ${props.title}`, tearDrawing(now, props.piece.sheet, 150, units.length), lines, pages.A4),
    'application/pdf',
    fileName(props.title, 'tear-sheet.pdf'),
  )
}
</script>

<template>
  <p v-if="plan.perSheet === 0" class="trouble" role="alert">{{ plan.reason }}</p>
  <div v-else>
    <p class="summary">
      <strong>{{ plan.perSheet }}</strong> from a sheet, <strong>{{ plan.sheets }}</strong>
      {{ plan.sheets === 1 ? 'sheet' : 'sheets' }} for {{ count }} {{ count === 1 ? 'piece' : 'pieces' }},
      {{ money(plan.cost) }}; {{ Math.round(plan.waste * 100) }} % of the sheet is left over.<template v-if="toBuy > 0">
        <strong class="buy">Buy {{ toBuy }} more:</strong> {{ Math.max(0, left ?? 0) }} are on the shelf.</template
      ><template v-if="plan.knifeGives"> A knife would give {{ plan.knifeGives }}.</template>
    </p>
    <div class="halves">
      <div class="drawing-frame">
        <LineDrawing
          :drawing="drawing"
          :label="`Tear plan: ${pluralise(plan.perSheet, 'piece')} and ${pluralise(plan.tears.length, 'tear')} on a sheet ${units.size(piece.sheet.width, piece.sheet.height)}`"
          :round="4"
        />
      </div>
      <div>
        <ul v-if="plan.trued.length > 0" class="trued">
          <li v-for="line in plan.trued" :key="line.edge">{{ describeTruing(line, units.length) }}</li>
        </ul>
        <ol class="tears">
          <li v-for="tear in tearsShown" :key="tear.number">
            <b>T{{ tear.number }}</b> {{ tearWords(tear, units.length) }}
          </li>
        </ol>
        <button v-if="plan.tears.length > 14" type="button" class="more" @click="showAll = !showAll">
          {{ showAll ? 'Fewer' : `All ${plan.tears.length} tears` }}
        </button>
        <ul v-if="sameOffcuts.length > 0" class="offcuts">
          <li v-for="(offcut, i) in sameOffcuts" :key="i" class="soft">
            {{ offcut.count }} left over of {{ units.size(offcut.width, offcut.height) }}, {{ offcut.use }}
          </li>
        </ul>
      </div>
    </div>
    <div class="buttons"><VBtn class="quiet" @click="pdf">Print the tear sheet (PDF)</VBtn></div>
  </div>
</template>

<style scoped>
.summary {
  margin-bottom: 14px;
}
.summary strong:not(.buy) {
  font-family: var(--serif);
  font-size: 1.3rem;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 30px;
  align-items: start;
}
.tears li,
.trued li {
  padding: 3px 0;
  font-size: 0.9rem;
}
.tears b {
  display: inline-block;
  min-width: 34px;
  color: var(--green);
}
.trued {
  margin-bottom: 8px;
  font-weight: 600;
}
.offcuts {
  margin-top: 10px;
  font-size: 0.88rem;
}
.more {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
