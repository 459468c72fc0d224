<script setup lang="ts">
import { imageOn, imagesOn, type ImagesOnPiece, mostImages, type PiecePlan, usualFoot } from '#core/paper/piece'
import { usualStrip } from '#core/paper/tear-request'
import type { LotSummary } from '#shared/replies/replies'
import type { GivenOfPiece } from '~/composables/piece-margins'

/** The sheet in hand, the image with its margins, and how it is to be torn. */
const piece = defineModel<PiecePlan>({ required: true })
const props = defineProps<{ lots: LotSummary[]; faultField?: string; fault?: string }>()
const units = useUnits()
const by = defineModel<GivenOfPiece>('by', { required: true })
const { finished, setMargin, setFoot } = usePieceMargins(piece, by)
const grainsOfPiece = [
  { value: 'free', title: 'free' },
  { value: 'width', title: 'along the width' },
  { value: 'height', title: 'along the height' },
]
const grainsOfSheet = [{ value: 'unknown', title: 'not known' }, ...grainsOfPiece.slice(1)]
const edgesTorn = computed({
  get: () => piece.value.strip > 0,
  set: (torn) => {
    piece.value.strip = torn ? usualStrip : 0
  },
})

function take(lotId: string) {
  const lot = props.lots.find((known) => known.id === lotId)
  piece.value.lotId = lotId
  if (lot)
    piece.value.sheet = {
      ...piece.value.sheet,
      width: lot.width,
      height: lot.height,
      grain: lot.grain,
      deckles: { ...lot.deckles },
    }
}

/** What cannot be read changes nothing; its field says so. */
const unreadable = (mm: number | null) => mm !== null && Number.isNaN(mm)

function setImage(side: 'width' | 'height', mm: number | null) {
  if (unreadable(mm)) return
  piece.value.image = { ...piece.value.image, [side]: mm ?? 0 }
}

function setImages(what: keyof ImagesOnPiece, value: number) {
  if (Number.isFinite(value)) piece.value.images = { ...piece.value.images, [what]: value }
}

function setMeasured(side: 'width' | 'height', mm: number | null) {
  if (!unreadable(mm)) piece.value.sheet = { ...piece.value.sheet, [side]: mm ?? 0 }
}

function setSheet(side: 'width' | 'height', mm: number | null) {
  if (unreadable(mm)) return
  piece.value.image = imageOn({ ...finished.value, [side]: mm ?? 0 }, piece.value)
}
</script>

<template>
  <div>
    <div class="fields">
      <VSelect
        class="wide"
        :model-value="piece.lotId"
        label="Paper"
        placeholder="choose a lot"
        :items="
          lots.map((l) => ({
            value: l.id,
            title: `${l.name}, ${units.size(l.width, l.height)}, ${l.weight} g/m², ${l.left} left`,
          }))
        "
        no-data-text="No paper in the store yet"
        @update:model-value="take(String($event))"
      />
      <LengthField
        :model-value="piece.sheet.width || null"
        label="Sheet, width as measured"
        :error-messages="faultField === 'sheet' ? fault : undefined"
        @update:model-value="setMeasured('width', $event)"
      />
      <LengthField
        :model-value="piece.sheet.height || null"
        label="Sheet, height as measured"
        @update:model-value="setMeasured('height', $event)"
      />
      <VSelect v-model="piece.sheet.grain" label="Grain of the sheet runs" :items="grainsOfSheet" />
      <LengthField v-model="piece.sheet.allowance" label="Lost to true an edge" />
      <EdgeChecks v-model="piece.sheet.deckles" class="wide" label="Sheet’s deckle edges" />
    </div>
    <p class="soft hint">Measure both sides each way; of an uneven sheet the shorter counts.</p>
    <div class="half">
      <div class="one-of" role="group" aria-label="Given is">
        <button type="button" :aria-pressed="by === 'image'" @click="by = 'image'">Give the image</button
        ><button type="button" :aria-pressed="by === 'sheet'" @click="by = 'sheet'">Give the finished sheet</button>
      </div>
      <div class="fields two">
        <template v-if="by === 'image'">
          <LengthField
            :model-value="piece.image.width || null"
            label="Image, width"
            :error-messages="faultField === 'image' ? fault : undefined"
            @update:model-value="setImage('width', $event)"
          />
          <LengthField
            :model-value="piece.image.height || null"
            label="Image, height"
            @update:model-value="setImage('height', $event)"
          />
        </template>
        <template v-else>
          <LengthField
            :model-value="finished.width"
            label="Finished sheet, width"
            :error-messages="faultField === 'image' ? fault : undefined"
            @update:model-value="setSheet('width', $event)"
          />
          <LengthField
            :model-value="finished.height"
            label="Finished sheet, height"
            @update:model-value="setSheet('height', $event)"
          />
        </template>
        <LengthField
          :model-value="piece.margins.top"
          label="Top margin"
          @update:model-value="setMargin('top', $event)"
        />
        <LengthField
          :model-value="piece.margins.bottom"
          label="Foot margin"
          @update:model-value="setMargin('bottom', $event)"
        />
        <LengthField
          :model-value="piece.margins.left"
          label="Left margin"
          @update:model-value="setMargin('left', $event)"
        />
        <LengthField
          :model-value="piece.margins.right"
          label="Right margin"
          @update:model-value="setMargin('right', $event)"
        />
      </div>
      <div class="foot">
        <VCheckbox
          :model-value="piece.foot !== null"
          label="even, the foot heavier by"
          @update:model-value="setFoot($event ? usualFoot : null)"
        />
        <VTextField
          v-if="piece.foot !== null"
          :model-value="String(Math.round((piece.foot - 1) * 100))"
          aria-label="Foot heavier by"
          type="number"
          min="0"
          max="100"
          step="5"
          suffix="%"
          @update:model-value="setFoot(1 + Math.max(0, Math.min(100, Number($event) || 0)) / 100)"
        />
      </div>
      <div class="fields two">
        <LengthField v-model="piece.trim" label="Trimmed off later, each side" />
        <VSelect v-model="piece.grain" label="Grain of the piece" :items="grainsOfPiece" />
      </div>
      <div class="fields three">
        <VTextField
          :model-value="String(piece.images.across)"
          label="Images side by side"
          type="number"
          min="1"
          :max="mostImages"
          :error-messages="faultField === 'images' ? fault : undefined"
          @update:model-value="setImages('across', Number($event))"
        />
        <VTextField
          :model-value="String(piece.images.down)"
          label="one below another"
          type="number"
          min="1"
          :max="mostImages"
          @update:model-value="setImages('down', Number($event))"
        />
        <LengthField
          v-if="imagesOn(piece.images) > 1"
          :model-value="piece.images.gap"
          label="between two of them"
          @update:model-value="setImages('gap', $event ?? 0)"
        />
      </div>
      <EdgeChecks v-model="piece.deckles" label="Deckle wanted on the piece at its" />
      <div class="foot">
        <VCheckbox v-model="edgesTorn" label="torn; no strip narrower than" />
        <LengthField v-if="piece.strip > 0" v-model="piece.strip" label="Narrowest strip" />
        <span v-else class="soft">cut with a knife, any strip</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.hint {
  font-size: 0.84rem;
  margin: 4px 0 14px;
}
.half {
  max-width: 460px;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: 1fr 1fr 1fr;
}
.foot {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 100px;
  gap: 12px;
  align-items: end;
  justify-content: start;
  margin: 8px 0;
}
</style>
