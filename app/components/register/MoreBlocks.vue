<script setup lang="ts">
import type { Block } from '#core/edition/state'
import type { PiecePlan } from '#core/paper/piece'
import { mostOutlines, type NamedOutline, placeBeside } from '#core/register/outlines'
import type { RegisterPlan } from '#core/register/registration'

/** Blocks beside the first on the same jig: parts of a sawn block, blocks locked up, or one for each image of the piece. */
const more = defineModel<NamedOutline[]>({ required: true })
const props = defineProps<{
  plan: RegisterPlan
  piece: PiecePlan | null
  blocks: readonly Block[]
  /** Parts of one picture lie beside one another; blocks pulled one after the other lie over one another. */
  areParts: boolean
}>()
const mayAdd = computed(() => more.value.length < mostOutlines)
const images = computed(() => props.piece?.images ?? null)
/** Blocks of the edition that are not drawn yet. */
const undrawn = computed(() =>
  props.blocks.slice(1).filter(({ block }) => !more.value.some(({ name }) => name === block.name)),
)

function add(name: string, size: { width: number; height: number }, isPart: boolean, rotation = 0) {
  const { outline, sheet } = props.plan
  const laid = [outline, ...more.value.map((one) => one.outline)]
  more.value.push({
    name,
    outline: isPart ? placeBeside(sheet, laid, size) : { ...outline, ...size },
    rotation,
    gap: 0,
  })
}
const addBlock = ({ block: { name, width, height, rotation } }: Block) =>
  add(name, { width, height }, props.areParts, rotation)

/** The first block again for every further image of the piece, at the place the piece plan gives it. */
function repeat() {
  const { piece, plan } = props
  if (!piece) return
  const { across, down, gap } = piece.images
  more.value = Array.from({ length: across * down - 1 }, (_, i) => {
    const [column, row] = [(i + 1) % across, Math.floor((i + 1) / across)]
    return {
      name: `image ${i + 2}`,
      outline: {
        ...plan.outline,
        left: plan.outline.left + column * (piece.image.width + gap),
        top: plan.outline.top + row * (piece.image.height + gap),
      },
      rotation: plan.rotation,
      gap: 0,
    }
  })
}
const turned = (one: NamedOutline, text: string) => {
  const degrees = Number(text.replace(',', '.'))
  if (Number.isFinite(degrees)) one.rotation = degrees
}
</script>

<template>
  <div>
    <h3>Further blocks on the same sheet</h3>
    <p class="soft">Parts of a sawn block, several blocks, or one for each image; overlaps are told.</p>
    <div v-for="(one, i) in more" :key="i" class="block" role="group" :aria-label="`Further block ${i + 1}`">
      <VTextField v-model="one.name" label="Name" maxlength="40" />
      <LengthField v-model="one.outline.width" label="Width" />
      <LengthField v-model="one.outline.height" label="Height" />
      <LengthField v-model="one.outline.left" label="From the left" />
      <LengthField v-model="one.outline.top" label="From the top" />
      <VTextField
        :model-value="String(one.rotation)"
        label="Turned"
        inputmode="decimal"
        suffix="°"
        @update:model-value="turned(one, String($event))"
      />
      <LengthField v-model="one.gap" label="Gap wanted" />
      <VBtn class="quiet" :aria-label="`Take out ${one.name || 'this block'}`" @click="more.splice(i, 1)"
        >Take out</VBtn
      >
    </div>
    <div class="buttons">
      <VBtn v-for="block in undrawn" :key="block.id" class="quiet" :disabled="!mayAdd" @click="addBlock(block)"
        >Draw {{ block.block.name }}</VBtn
      >
      <VBtn class="quiet" :disabled="!mayAdd" @click="add(`part ${more.length + 2}`, { width: 60, height: 60 }, true)"
        >One more part</VBtn
      >
      <VBtn v-if="images && images.across * images.down > 1 && more.length === 0" class="quiet" @click="repeat"
        >One for each image</VBtn
      >
    </div>
  </div>
</template>

<style scoped>
h3 {
  margin: 20px 0 6px;
}
.block {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 24px;
  align-items: end;
  margin: 8px 0 14px;
}
</style>
