<script setup lang="ts">
import { flowOf } from '#core/edition/flow'
import type { Layer } from '#core/edition/layer'
import { imagesAPiece } from '#core/edition/lock-up'
import { filmHex, usualFilm, usualPaper } from '~/composables/shelf'

/** One layer of the plan, in a line: its name, block and ink, what came through, and how its stack comes to the press. */
const props = defineProps<{ layer: Layer; number: number; disabled?: boolean }>()
const edition = useEdition()
const { ofBatch } = useShelf()
const { fault, giving } = useGiving()
const form = useFollowing(
  () => ({ name: props.layer.name, routine: props.layer.routine, stackOrder: props.layer.stackOrder }),
  () => props.layer.id,
)
const orders = [
  { value: 'pulled', title: 'in the order pulled' },
  { value: 'reversed', title: 'last pulled first' },
  { value: 'slot', title: 'by the slots it lay in' },
  { value: 'serial', title: 'by the serial on each sheet' },
  { value: 'mixed', title: 'mixed, unmarked' },
]
const blocks = computed(() =>
  edition.state!.blocks.filter(({ id }) => props.layer.blocks.includes(id)).map(({ block }) => block.name),
)
/** What its inks look like on the paper, where that is known. */
const inks = computed(() =>
  props.layer.zones.flatMap((zone) => {
    const mix = ofBatch(zone.batchId)
    const paper = edition.state!.overprint?.paper ?? usualPaper
    return mix?.pigment ? [{ name: zone.batchName ?? zone.name, hex: filmHex(mix.pigment, paper, usualFilm) }] : []
  }),
)
const through = computed(() => {
  const stages = flowOf(edition.state!)
  const [before, here] = [stages[props.number - 1]!, stages[props.number]!]
  return here.sheets === 0 ? '' : `${before.sheets} → ${here.sheets}`
})
/** Images that are locked up side by side, where a piece of paper holds several. */
const images = computed(() => imagesAPiece(edition.state!))
const lockedUp = useFollowing(
  () => ({ images: Math.min(props.layer.fills, images.value) }),
  () => props.layer.id,
)
const lockUp = () => giving(() => edition.give('lock-up', { layerId: props.layer.id, images: lockedUp.value.images }))
/** At a press, or laid on without one: gilding, paper coloured before. */
const ways = [
  { value: 'pulled', title: 'pulled' },
  { value: 'laid', title: 'laid on without a press' },
]
const laid = useFollowing(
  () => ({ how: props.layer.withoutPull ? 'laid' : 'pulled' }),
  () => props.layer.id,
)
const saveWay = () =>
  giving(() => edition.give('set-without-pull', { layerId: props.layer.id, withoutPull: laid.value.how === 'laid' }))
const save = () =>
  giving(() =>
    edition.give('change-layer', { layerId: props.layer.id, blocks: [...props.layer.blocks], ...form.value }),
  )
</script>

<template>
  <li>
    <span class="number">{{ number }}</span>
    <EditableValue
      v-model="form.name"
      class="name"
      :label="`Layer ${number}`"
      kind="text"
      :words="form.name"
      :disabled="disabled"
      @kept="save"
    />
    <span
      v-for="ink in inks"
      :key="ink.name"
      class="ink"
      :style="{ background: ink.hex }"
      role="img"
      :aria-label="ink.name"
    />
    <span class="said"
      ><template v-if="blocks.length > 0">{{ blocks.join(' and ') }}, </template
      ><EditableValue
        v-model="form.routine"
        :label="`Routine of layer ${number}`"
        kind="text"
        :longest="500"
        :words="form.routine || 'no routine yet'"
        :disabled="disabled"
        @kept="save"
      /><template v-if="number > 1"
        >, its stack
        <EditableValue
          v-model="form.stackOrder"
          :label="`Stack of layer ${number}`"
          kind="choice"
          :options="orders"
          :words="orders.find(({ value }) => value === form.stackOrder)!.title"
          :disabled="disabled"
          @kept="save" /></template
      ><template v-if="images > 1 && !layer.withoutPull"
        >, one pull prints
        <EditableValue
          v-model="lockedUp.images"
          :label="`Images that one pull of layer ${number} prints`"
          :max="images"
          unit="images"
          :words="`${lockedUp.images === 1 ? 'one' : lockedUp.images} of the ${images} images`"
          :disabled="disabled"
          @kept="lockUp" /></template
      >,
      <EditableValue
        v-model="laid.how"
        :label="`How layer ${number} comes on`"
        kind="choice"
        :options="ways"
        :words="ways.find(({ value }) => value === laid.how)!.title"
        :disabled="disabled"
        @kept="saveWay"
      /><template v-if="layer.cutFurther">; the block is cut further</template></span
    >
    <span class="through">{{ through }}</span>
    <TroubleLine :words="fault" />
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
  padding: 7px 0;
}
.number {
  font-family: var(--serif);
  font-weight: 600;
  min-width: 1em;
}
.name {
  font-family: var(--serif);
}
.ink {
  width: 26px;
  height: 14px;
  border: 1px solid var(--rule);
  align-self: center;
}
.said {
  flex: 1 1 300px;
  color: var(--soft);
  font-size: 0.94rem;
}
.through {
  font-variant-numeric: tabular-nums;
}
.trouble {
  flex-basis: 100%;
}
</style>
