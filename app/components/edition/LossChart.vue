<script setup lang="ts">
import { costOfGoodSheet } from '#core/cost/of-good-sheet'
import { layerOf } from '#core/edition/layer'
import { inkNeed, perPull } from '#core/run/ink-need'
import { rateOn } from '#core/stores/press/state'
import { type LossBy, type LossRow, lossesBy, lossesOf } from '#core/watch/losses'

/** Where an edition loses, told apart by one thing at a time; ways of printing one layer held side by side, with their cost. */
const props = defineProps<{ layerId: string }>()
const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const known = useInkKnown()
const by = ref<LossBy>('layer')
const options = lossesBy.map((value) => ({ value, title: value }))
const state = computed(() => edition.state!)
const rows = computed(() =>
  lossesOf([state.value], {
    by: by.value,
    hourOf: (at) => new Date(at).getHours(),
    // Whose pulls went wrong is for her and for staff.
    person: session.isStaff ? null : (session.person?.id ?? ''),
    layerId: by.value === 'set-up' ? props.layerId : null,
  }),
)
const finder = (fault: string) => `/finder?edition=${edition.id}&layer=${props.layerId}&fault=${fault}`

const paper = computed(() => {
  const prints = state.value.torn.reduce((sum, { count, images }) => sum + count * images, 0)
  const paid = state.value.torn.reduce((sum, { lotSheets, pricePerLotSheet }) => sum + lotSheets * pricePerLotSheet, 0)
  return prints > 0 ? paid / prints : null
})
const ink = computed(() => {
  const layer = layerOf(state.value, props.layerId)
  if (!layer) return 0
  const milligrams = inkNeed(state.value, layer.id, known(layer)).reduce((sum, need) => sum + perPull(need), 0)
  return (milligrams / 1000) * state.value.plan!.rates.inkGram
})
/** The press's own rate of today where it has one, else the plan's. */
function hourAt(label: string): number {
  const { rates } = state.value.plan!
  const setups = layerOf(state.value, props.layerId)?.setups ?? []
  const at = Number(/set-up (\d+)$/.exec(label)?.[1] ?? 0) - 1
  const press = supplies.presses.find(({ id }) => id === setups[at]?.setup.pressId)
  const own = press ? rateOn(press.rates, new Date().toISOString().slice(0, 10)) : null
  return (own ?? rates.pressHour) + rates.labourHour
}
function cost({ label, pulls, notGood, minutes }: LossRow): string {
  if (paper.value === null || minutes === null) return 'not known yet'
  const step = { piece: paper.value, ink: ink.value, minutes, hour: hourAt(label) }
  const each = costOfGoodSheet(step, (pulls - notGood) / pulls)
  return each === null ? 'none good' : `${edition.studio.currency} ${each.toFixed(2)}`
}
</script>

<template>
  <div>
    <div class="customs">
      <p>
        Pulls not good, by
        <SaidValue v-model="by" label="Losses told apart by" kind="choice" :options="options" :words="by" /><template
          v-if="by === 'set-up'"
          >, of this layer; the cost is of paper, ink and press time</template
        >.
      </p>
    </div>
    <LossTable
      :rows="rows"
      :by="by"
      :finder="finder"
      :cost="by === 'set-up' ? cost : undefined"
      :file="fileName(state.title, 'losses.csv')"
    />
  </div>
</template>
