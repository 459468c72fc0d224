<script setup lang="ts">
import { pieceOfJig } from '#core/edition/piece-of-jig'
import { evenMargins, imagesOn, oneImage, type PiecePlan, pieceSize, usualFoot } from '#core/paper/piece'
import { noEdges, usualStrip } from '#core/paper/tear-request'
import type { TearPlan } from '#core/paper/tear-plan'
import { goal } from '#core/plan/plan'
import { isOpenWork } from '#core/print/series'
import { layersPulled } from '#core/run/outlook'
import { sheetsToStart } from '#core/run/sheets-to-start'
import type { GivenOfPiece } from '~/composables/piece-margins'
import { percent } from '~/drawings/words'
import { agree, pluralise } from '#core/units/pluralise'

const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const units = useUnits()
const { busy, fault, field, giving } = useGiving()

const copy = <Value,>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
/** The registration sheet says what is printed where; else the block says how large; else a usual size. */
function imageToStart(): Pick<PiecePlan, 'image' | 'margins' | 'foot'> {
  const { register, blocks } = edition.state!
  const drawn = register ? pieceOfJig(register.register) : null
  if (drawn) return { ...drawn, foot: null }
  const cut = blocks[0]?.block.image
  const image = cut?.width && cut.height ? { width: cut.width, height: cut.height } : { width: 200, height: 150 }
  return { image, margins: evenMargins(30, usualFoot), foot: usualFoot }
}
const fresh = (): PiecePlan => ({
  lotId: null,
  sheet: { width: 0, height: 0, deckles: { ...noEdges }, allowance: 0, grain: 'unknown' },
  ...imageToStart(),
  images: oneImage,
  trim: 0,
  grain: 'free',
  deckles: { ...noEdges },
  strip: usualStrip,
})
const standing = () => edition.state!.piece ?? fresh()
const piece = useFollowing(standing)
const draft = useDraft(`piece ${edition.id}`, piece, standing)
const by = ref<GivenOfPiece>('image')
const { finished, setMargin } = usePieceMargins(piece, by)
const torn = computed(() => pieceSize(piece.value))
const locked = computed(() => !!edition.state!.closedAt || !edition.isTheirs)
const plan = ref<TearPlan | null>(null)
const showLot = ref(false)
const counting = ref(false)
const changed = computed(() => !sameContent(piece.value, edition.state!.piece))
const lot = computed(() => supplies.lots.find((known) => known.id === piece.value.lotId))
const toStart = computed(() => {
  const { plan } = edition.state!
  const count = layersPulled(edition.state!, plan!.layersPlanned)
  return sheetsToStart(plan!, count, edition.record, session.person?.id ?? null, edition.studio.confidence)
})
const wanted = computed(() => toStart.value.sheets ?? goal(edition.state!.plan!))
const wantedWords = computed(() => {
  if (isOpenWork(edition.state!.plan)) return 'Open work takes as many pieces as are torn for it'
  const { sheets, by, confidence } = toStart.value
  if (sheets === null)
    return `${pluralise(wanted.value, 'good print')} ${agree(wanted.value, 'is', 'are')} wanted; more than 600 sheets would be needed to be sure`
  return by === 'printer'
    ? `${pluralise(sheets, 'sheet')} ${sheets === 1 ? 'is' : 'are'} to be started, as the printer chose under Plan`
    : `${pluralise(sheets, 'sheet')} ${sheets === 1 ? 'is' : 'are'} to be started: the room’s usual ${percent(confidence)} chance of ${goal(edition.state!.plan!)}, until Plan says otherwise`
})
/** Pieces that are still to tear, each of as many images as it holds; once all is torn, those of the whole edition. */
const stillToTear = computed(() => {
  const { made } = edition.state!
  return Math.ceil((made < wanted.value ? wanted.value - made : wanted.value) / imagesOn(piece.value.images))
})
/** The sheet in hand and what it becomes, as it was kept. */
const sheetWords = computed(() => {
  const { image, images, margins } = piece.value
  const name = lot.value?.name ?? 'the sheet'
  return `${name}, ${units.size(piece.value.sheet.width, piece.value.sheet.height)}; ${imagesOn(images) > 1 ? `${imagesOn(images)} images of` : 'image'} ${units.size(image.width, image.height)}, margins ${units.length(margins.top)} above, ${units.length(margins.bottom)} at the foot`
})
const money = computed(() => edition.studio.currency)

async function keep() {
  if (await giving(() => edition.give('plan-piece', { piece: copy(piece.value) }))) draft.done()
}

function lotAdded(id: string) {
  showLot.value = false
  const added = supplies.lots.find((known) => known.id === id)
  if (added)
    piece.value = {
      ...piece.value,
      lotId: id,
      sheet: {
        ...piece.value.sheet,
        width: added.width,
        height: added.height,
        grain: added.grain,
        deckles: { ...added.deckles },
      },
    }
}

function counted() {
  counting.value = false
}
</script>

<template>
  <div>
    <section class="part piece">
      <div>
        <MarginDrawing :image="piece.image" :images="piece.images" :margins="piece.margins" @move="setMargin" />
      </div>
      <div>
        <p class="told">
          Finished {{ units.size(finished.width, finished.height)
          }}<template v-if="piece.trim > 0">, torn {{ units.size(torn.width, torn.height) }}</template
          >. Drag a margin, or move it with the arrow keys.
        </p>
        <p v-if="piece.image.width <= 0 || piece.image.height <= 0" class="trouble" role="alert">
          These margins leave no image. Make them smaller or the sheet larger.
        </p>
        <p>{{ wantedWords }}; {{ edition.state!.made }} torn so far.</p>
        <p v-if="imagesOn(piece.images) > 1">
          {{ imagesOn(piece.images) }} images to a piece: {{ pluralise(stillToTear, 'piece') }} to tear. Pencil a serial
          beside each image: they are counted one by one, and keep their serials when they are cut apart.
        </p>
        <p v-if="piece.sheet.width <= 0" class="soft">
          Take the sheet in hand below, and the best way to tear it is drawn here.
        </p>
        <div v-if="changed && edition.state!.piece !== null" class="buttons">
          <VBtn :loading="busy" :disabled="locked" @click="keep">Keep this sheet</VBtn>
        </div>
      </div>
    </section>
    <section v-if="piece.sheet.width > 0 && piece.sheet.height > 0" class="part">
      <div class="part-head">
        <h2>Tear plan</h2>
        <p>exact for straight tears right across; drawn to scale</p>
      </div>
      <TearPlanView
        v-model:plan="plan"
        :piece="piece"
        :count="stillToTear"
        :price="lot?.price ?? 0"
        :left="lot?.left ?? null"
        :paper="lot?.name ?? 'the sheet'"
        :title="edition.state!.title"
      />
    </section>
    <CollapsibleSection title="The sheet" :words="sheetWords" :missing="edition.state!.piece === null">
      <OpenForm @submit.prevent="keep">
        <PieceForm v-model="piece" v-model:by="by" :lots="supplies.lots" :fault="fault" :fault-field="field" />
        <TroubleLine :words="fault" />
        <div class="buttons">
          <VBtn v-if="!changed || edition.state!.piece === null" type="submit" :loading="busy" :disabled="!changed"
            >Keep this sheet</VBtn
          >
        </div>
      </OpenForm>
    </CollapsibleSection>
    <p v-if="lot && lot.left < 0" class="trouble">
      The book is {{ pluralise(-lot.left, 'sheet') }} short of {{ lot.name }}: more were torn than it knew of. Count the
      lot.
    </p>
    <div class="buttons others">
      <VBtn class="quiet" @click="showLot = !showLot">{{
        showLot ? 'Leave the new paper' : 'Add paper to the store'
      }}</VBtn>
      <VBtn v-if="lot" class="quiet" @click="counting = !counting">Count the lot</VBtn>
      <VBtn class="quiet" :to="`/editions/${edition.id}/register`">Registration sheet</VBtn>
    </div>
    <div v-if="counting && lot" class="apart"><CountLot :key="lot.id" :lot="lot" @done="counted" /></div>
    <section v-if="showLot" class="part">
      <div class="part-head"><h2>Paper for the store</h2></div>
      <LotForm @done="lotAdded" />
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Tear</h2>
        <p>what was really got</p>
      </div>
      <SharedPaper />
      <TearForm :lot="lot" :piece="piece" :plan="plan" />
    </section>
    <section v-if="edition.state!.torn.length > 0" class="part">
      <div class="part-head"><h2>Torn so far</h2></div>
      <table v-columns class="ruled">
        <thead>
          <tr>
            <th>Paper</th>
            <th>Piece</th>
            <th class="number">Large sheets</th>
            <th class="number">Pieces</th>
            <th class="number">Cost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(t, i) in edition.state!.torn" :key="i">
            <td>{{ t.lotName }}</td>
            <td>{{ t.width > 0 ? units.size(t.width, t.height) : '' }}</td>
            <td class="number">{{ t.lotSheets }}</td>
            <td class="number">{{ t.count }}</td>
            <td class="number">{{ money }} {{ (t.lotSheets * t.pricePerLotSheet).toFixed(2) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.others {
  margin: 0 0 16px;
}
.piece {
  display: grid;
  grid-template-columns: minmax(0, 230px) minmax(0, 1fr);
  gap: 10px 30px;
}
.piece p + p {
  margin-top: 8px;
}
@media (max-width: 560px) {
  .piece {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
