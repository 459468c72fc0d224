<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { v7 } from 'uuid'
import { imagesOn, type PiecePlan, pieceSize } from '#core/paper/piece'
import { offcutSizes, type TearPlan } from '#core/paper/tear-plan'
import { inHand } from '#core/stores/lot/state'
import type { LotSummary } from '#shared/replies/replies'

/** What was really torn: large sheets used, pieces got, those torn wrong, and offcuts kept for proofs. */
const props = defineProps<{ lot: LotSummary | undefined; piece: PiecePlan; plan: TearPlan | null }>()
const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const units = useUnits()
const { busy, fault, field, giving, refuse } = useGiving()
const form = ref({
  lotSheets: '',
  count: '',
  wrong: '',
  reason: '',
  rationId: null as string | null,
  keepOffcuts: false,
})
const draft = useDraft(`tear ${edition.id}`, form)
const whole = (text: string) => (String(text).trim() === '' ? Number.NaN : Number(text))
const rations = computed(() =>
  (props.lot?.rations ?? [])
    .filter((ration) => inHand(ration) > 0)
    .map((ration) => ({ value: ration.id, title: `${session.nameOf(ration.personId)}, ${inHand(ration)} in hand` })),
)
/** Offcuts that still take a proof, for as many sheets as were torn. */
const proofs = computed(() => offcutSizes(props.plan?.offcuts ?? []).filter((size) => size.use === 'proof'))

function fill() {
  if (!props.plan?.sheets) return
  form.value.lotSheets = String(props.plan.sheets)
  form.value.count = String(props.plan.sheets * props.plan.perSheet)
}

async function tear() {
  // Pressed before the stores have come: the lot is chosen all the same.
  if (!(await giving(() => supplies.whenRead('lots')))) return
  await nextTick()
  if (!props.lot) return refuse('Choose the paper first, or add it to the store.')
  const lotSheets = whole(form.value.lotSheets)
  const count = whole(form.value.count)
  if (Number.isNaN(lotSheets) || Number.isNaN(count))
    return refuse('Say how many large sheets were used and how many good pieces they gave.')
  const { width, height } = pieceSize(props.piece)
  const done = await giving(() =>
    edition.give('tear', {
      lotId: props.lot!.id,
      lotSheets,
      count,
      images: imagesOn(props.piece.images),
      wrong: form.value.wrong.trim() === '' ? 0 : whole(form.value.wrong),
      reason: form.value.reason,
      width: Math.max(0, width),
      height: Math.max(0, height),
      rationId: form.value.rationId,
      offcuts: form.value.keepOffcuts
        ? proofs.value.map((size) => ({
            lotId: v7(),
            width: size.width,
            height: size.height,
            count: size.count * lotSheets,
          }))
        : [],
    }),
  )
  if (!done) return
  form.value = { lotSheets: '', count: '', wrong: '', reason: '', rationId: null, keepOffcuts: false }
  draft.done()
}
</script>

<template>
  <OpenForm @submit.prevent="tear">
    <div class="fields">
      <VTextField
        v-model="form.lotSheets"
        label="Large sheets used"
        inputmode="numeric"
        suffix="sheets"
        :error-messages="field === 'lotSheets' ? fault : undefined"
      />
      <VTextField
        v-model="form.count"
        label="Good pieces they gave"
        inputmode="numeric"
        suffix="pieces"
        :error-messages="field === 'count' ? fault : undefined"
      />
      <VTextField v-model="form.wrong" label="Torn wrong" inputmode="numeric" suffix="pieces" placeholder="none" />
      <VTextField
        v-if="Number(form.wrong) > 0"
        v-model="form.reason"
        label="How it went wrong"
        :error-messages="field === 'reason' ? fault : undefined"
      />
      <VSelect
        v-if="rations.length > 0"
        v-model="form.rationId"
        label="Taken from"
        :items="[{ value: null, title: 'the shelf' }, ...rations]"
      />
    </div>
    <VCheckbox
      v-if="proofs.length > 0"
      v-model="form.keepOffcuts"
      :label="`keep offcuts as proof paper: ${proofs.map((size) => `${size.count} × ${units.size(size.width, size.height)} of each sheet`).join(', ')}`"
    />
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Tear</VBtn
      ><VBtn v-if="plan?.sheets" class="quiet" @click="fill"
        >As planned: {{ plan.sheets }} {{ plan.sheets === 1 ? 'sheet' : 'sheets' }},
        {{ pluralise(plan.sheets * plan.perSheet, 'piece') }}</VBtn
      >
    </div>
  </OpenForm>
</template>
