<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { v7 } from 'uuid'
import { pages } from '#core/drawing/tiles'
import { finishedSize } from '#core/paper/piece'
import { clashWords, jigOf, registerFault, type RegisterPlan, registrationSheet } from '#core/register/registration'

const edition = useEdition()
const session = useSession()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const { layerId, layer } = useLayerChoice()
const formatting = useGiving()
const copy = <Value,>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value

/** The first draft: the planned sheet, and the first block laid so that its image falls inside the margins. */
function fresh(): RegisterPlan {
  const { piece, blocks } = edition.state!
  const block = blocks[0]?.block
  const image = piece?.image ?? (block ? block.image : { width: 200, height: 150 })
  const margins = piece?.margins ?? { left: 30, top: 30 }
  const place = block?.image ?? { left: 0, top: 0, ...image }
  return {
    sheet: piece ? finishedSize(piece) : { width: 300, height: 230 },
    outline: {
      left: margins.left - place.left,
      top: margins.top - place.top,
      width: block?.width ?? image.width,
      height: block?.height ?? image.height,
    },
    image: { left: place.left, top: place.top, width: place.width, height: place.height },
    rotation: block?.rotation ?? 0,
    meeting: 'paper onto block',
    mat: null,
    series: null,
    stops: 30,
    pins: [],
    more: [],
  }
}
const standing = () => ({
  register: edition.state!.register?.register ?? fresh(),
  formatId: edition.state!.register?.formatId ?? null,
})
const form = useFollowing(standing)
const draft = useDraft(`register ${edition.id}`, form, standing)
const plan = computed(() => form.value.register)
const cannot = computed(() => registerFault(plan.value))
const growth = computed(() => layer.value?.settling.growth ?? null)
/** One sheet serves every layer until paper of another size makes it one layer's own. */
const sheetTitle = computed(() =>
  growth.value ? `${edition.state!.title}, ${layer.value!.name}, on paper as measured` : edition.state!.title,
)
const sheet = computed(() => (cannot.value ? null : registrationSheet(plan.value, sheetTitle.value, growth.value)))
const seen = computed(() => (cannot.value ? '' : jigOf(plan.value).seenFrom))
const clashing = computed(() =>
  cannot.value ? [] : clashWords(plan.value, edition.state?.blocks[0]?.block.name ?? 'The first block'),
)
const changed = computed(() => !sameContent(form.value, edition.state!.register))
const formats = computed(() => edition.studio.seriesFormats)
const formatName = ref('')
const page = ref<'A4' | 'Letter'>(units.unit === 'in' ? 'Letter' : 'A4')
const meetings = [
  { value: 'paper onto block', title: 'paper laid onto the block' },
  { value: 'block onto paper', title: 'block set onto the paper' },
]
const rotation = computed({
  get: () => String(plan.value.rotation),
  set: (text) => {
    plan.value.rotation = Number(text.replace(',', '.')) || 0
  },
})

function useFormat(id: string | null) {
  form.value.formatId = id
  const format = formats.value.find((known) => known.id === id)
  plan.value.series = format ? { topLine: format.topLine, footLine: format.footLine } : null
  if (format?.mat)
    plan.value.mat = {
      left: (plan.value.sheet.width - format.mat.width) / 2,
      top: format.topLine,
      width: format.mat.width,
      height: format.mat.height,
    }
}

async function keepFormat() {
  const { series, mat } = plan.value
  if (!series) return formatting.refuse('Draw the series lines first, then keep them as a format.')
  const id = v7()
  const format = { id, name: formatName.value, ...series, mat: mat ? { width: mat.width, height: mat.height } : null }
  if (await formatting.giving(() => session.give('set-series-format', studio.of(), format))) {
    form.value.formatId = id
    formatName.value = ''
  }
}

async function keep() {
  if (await giving(() => edition.give('draw-register', copy(form.value)))) draft.done()
}

async function file(kind: 'pdf' | 'svg') {
  const title = `Registration sheet: ${sheetTitle.value}`
  if (kind === 'svg') {
    const { svgFile } = await import('~/drawings/svg-file')
    return download(svgFile(sheet.value!, title), 'image/svg+xml', fileName(sheetTitle.value, 'registration.svg'))
  }
  const { pdfFile } = await import('~/drawings/pdf-file')
  download(
    pdfFile(sheet.value!, pages[page.value], title),
    'application/pdf',
    fileName(sheetTitle.value, 'registration.pdf'),
  )
}

/** Common top and foot lines: as the image lies now, or none. */
function drawLines(drawn: boolean) {
  const { outline, image, sheet: paper } = plan.value
  const topLine = outline.top + image.top
  plan.value.series = drawn ? { topLine, footLine: Math.max(0, paper.height - topLine - image.height) } : null
  form.value.formatId = null
}
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <div class="part-head">
        <h2>Registration sheet</h2>
        <p>how paper meets block, given as the finished print is seen from the front</p>
      </div>
      <div class="halves">
        <OpenForm @submit.prevent="keep">
          <div class="fields">
            <VSelect v-model="plan.meeting" class="wide" label="At the press" :items="meetings" />
            <LengthField v-model="plan.sheet.width" label="Sheet, width" /><LengthField
              v-model="plan.sheet.height"
              label="Sheet, height"
            />
            <LengthField v-model="plan.outline.width" label="Block or mount, width" /><LengthField
              v-model="plan.outline.height"
              label="Block or mount, height"
            />
            <LengthField v-model="plan.outline.left" label="Block from the left edge" /><LengthField
              v-model="plan.outline.top"
              label="Block from the top edge"
            />
            <LengthField v-model="plan.image.left" label="Image inside, from the left" /><LengthField
              v-model="plan.image.top"
              label="Image inside, from the top"
            />
            <LengthField v-model="plan.image.width" label="Image, width" /><LengthField
              v-model="plan.image.height"
              label="Image, height"
            />
            <VTextField v-model="rotation" label="Block turned" inputmode="decimal" suffix="° clockwise" />
            <LengthField v-model="plan.stops" label="Stops, length (0 for none)" />
          </div>
          <h3>Mat window</h3>
          <VCheckbox
            :model-value="plan.mat !== null"
            label="draw a mat window"
            @update:model-value="
              plan.mat = $event
                ? {
                    left: plan.outline.left,
                    top: plan.outline.top,
                    width: plan.outline.width,
                    height: plan.outline.height,
                  }
                : null
            "
          />
          <div v-if="plan.mat" class="fields">
            <LengthField v-model="plan.mat.left" label="From the left" /><LengthField
              v-model="plan.mat.top"
              label="From the top"
            /><LengthField v-model="plan.mat.width" label="Window, width" /><LengthField
              v-model="plan.mat.height"
              label="Window, height"
            />
          </div>
          <h3>Series</h3>
          <VSelect
            v-if="formats.length > 0"
            :model-value="form.formatId"
            label="Format shared with other editions"
            :items="[
              { value: null, title: 'none' },
              ...formats.map((f) => ({
                value: f.id,
                title: `${f.name}: top ${units.length(f.topLine)}, foot ${units.length(f.footLine)}`,
              })),
            ]"
            @update:model-value="useFormat($event as string | null)"
          />
          <VCheckbox
            :model-value="plan.series !== null"
            label="draw common top and foot lines"
            @update:model-value="drawLines(Boolean($event))"
          />
          <template v-if="plan.series">
            <div class="fields">
              <LengthField v-model="plan.series.topLine" label="Top line from the top edge" /><LengthField
                v-model="plan.series.footLine"
                label="Foot line from the lower edge"
              /><VTextField
                v-model="formatName"
                label="Keep these lines for a series"
                placeholder="its name"
                maxlength="80"
              />
            </div>
            <TroubleLine :words="formatting.fault.value" />
            <div v-if="formatName.trim()" class="buttons">
              <VBtn class="quiet" :loading="formatting.busy.value" @click="keepFormat">Keep the series format</VBtn>
            </div>
          </template>
          <MoreBlocks
            v-model="plan.more"
            :plan="plan"
            :piece="edition.state!.piece"
            :blocks="edition.state!.blocks"
            :are-parts="edition.state!.plan?.method === 'jigsaw'"
          />
          <h3>Pins</h3>
          <div v-for="(pin, i) in plan.pins" :key="i" class="pin">
            <LengthField v-model="pin.x" :label="`Pin ${i + 1}, from the left`" /><LengthField
              v-model="pin.y"
              :label="`Pin ${i + 1}, from the top`"
            /><LengthField v-model="pin.diameter" :label="`Pin ${i + 1}, across`" fine /><EditableValue
              v-model="pin.height"
              :label="`Pin ${i + 1}, height over the bed`"
              kind="thickness"
              may-be-none
              :max="200"
              :words="pin.height === null ? 'how high?' : `${units.thickness(pin.height)} high`"
            /><VBtn class="quiet" :aria-label="`Take out pin ${i + 1}`" @click="plan.pins.splice(i, 1)">Take out</VBtn>
          </div>
          <div class="buttons">
            <VBtn class="quiet" @click="plan.pins.push({ x: plan.sheet.width / 2, y: 8, diameter: 6, height: null })"
              >One more pin</VBtn
            >
          </div>
          <TroubleLine :words="fault" />
          <div class="buttons">
            <VBtn type="submit" :loading="busy" :disabled="!changed || cannot !== null"
              >Keep the registration sheet</VBtn
            >
          </div>
        </OpenForm>
        <div class="seen">
          <p v-if="cannot" class="trouble" role="alert">{{ cannot.message }}</p>
          <template v-else>
            <p v-for="clash in clashing" :key="clash" class="trouble">{{ clash }}</p>
            <LineDrawing :drawing="sheet!" :label="`Registration sheet. ${seen}`" />
            <p class="soft">
              {{ seen }} Solid: paper and block. Dashed blue: image. Dash-dot: mat window. Green: series lines.
            </p>
            <div class="buttons">
              <VSelect v-model="page" class="page" label="Printer’s page" :items="['A4', 'Letter']" />
              <VBtn class="quiet" @click="file('pdf')">PDF at full size</VBtn
              ><VBtn class="quiet" @click="file('svg')">SVG</VBtn>
            </div>
            <p class="soft">
              Print at 100 %, without fitting to the page, and check the 100 mm rule. Larger sheets come on several
              pages with a 10 mm overlap and match marks. No metal pin or packing edge under a roller.
            </p>
          </template>
        </div>
      </div>
    </section>
    <section v-if="layer" class="part">
      <div class="part-head">
        <h2>The paper at the press</h2>
        <p>damp or run through blank, it grows; what is marked on it grows with it</p>
      </div>
      <PaperAtPress :layer="layer" :image="plan.image" :disabled="!!edition.state!.closedAt || !edition.isTheirs" />
    </section>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 30px;
  align-items: start;
}
.seen {
  position: sticky;
  top: 12px;
}
.seen p {
  margin-top: 10px;
  font-size: 0.86rem;
}
.page {
  max-width: 130px;
}
h3 {
  margin: 20px 0 6px;
}
.pin {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr auto auto;
  gap: 14px;
  align-items: end;
  margin-bottom: 8px;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .seen {
    position: static;
  }
  .pin {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
