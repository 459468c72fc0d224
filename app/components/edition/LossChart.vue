<script setup lang="ts">
import { hourIn, today } from '~/format/days'
import { layerOf } from '#core/edition/layer'
import { inkNeed } from '#core/run/ink-need'
import { stepCost } from '#core/run/step-cost'
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
    hourOf: hourIn,
    // Whose pulls went wrong is for her and for staff.
    person: session.isStaff ? null : (session.person?.id ?? ''),
    layerId: by.value === 'set-up' ? props.layerId : null,
  }),
)
const finder = (fault: string) => `/finder?edition=${edition.id}&layer=${props.layerId}&fault=${fault}`

/** The press's own rate of today, where it has one. */
const hourOf = (pressId: string) => {
  const press = supplies.presses.find(({ id }) => id === pressId)
  return press ? rateOn(press.rates, today()) : null
}
const needs = computed(() => {
  const layer = layerOf(state.value, props.layerId)
  return layer ? inkNeed(state.value, layer.id, known(layer)) : []
})
function cost(row: LossRow): string {
  const each = stepCost(state.value, props.layerId, row, needs.value, hourOf)
  if (each === null) return 'not known yet'
  return Number.isNaN(each) ? 'none good' : `${edition.studio.currency} ${each.toFixed(2)}`
}
</script>

<template>
  <div>
    <div class="customs">
      <p>
        Pulls not good, by
        <EditableValue
          v-model="by"
          label="Losses told apart by"
          kind="choice"
          :options="options"
          :words="by"
        /><template v-if="by === 'set-up'">, of this layer; the cost is of paper, ink and press time</template>.
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
