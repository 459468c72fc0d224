<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import { v7 } from 'uuid'
import { lotDefaults } from '#core/stores/lot/defaults'
import type { LotDescription } from '#core/stores/lot/state'
import type { LotSummary } from '#shared/replies/replies'

/** Paper for the store: a new lot, or a known one described anew. */
const props = defineProps<{ lot?: LotSummary }>()
const emit = defineEmits<{ done: [lotId: string] }>()
const session = useSession()
const { busy, footFault, giving } = useGiving()
/** What nobody said yet is null, and refused by its name when the act is given. */
type Form = { [Name in keyof LotDescription]: LotDescription[Name] | null } & { sheets: number | null }
function blank(): Form {
  const { lot } = props
  if (!lot)
    return { ...lotDefaults, maker: '', name: '', width: null, height: null, weight: null, price: null, sheets: null }
  const { maker, name, width, height, weight, price, use, grain, betterSide, deckles, damp, keptAt } = lot
  return { maker, name, width, height, weight, price, use, grain, betterSide, deckles, damp, keptAt, sheets: 0 }
}
const form = useFollowing(blank)
const draft = useDraft(`lot ${props.lot?.id ?? ''}`, form, blank)
const useWords = { edition: 'editions', proof: 'proofs' }
const grainWords = { unknown: 'not known', width: 'along the width', height: 'along the height' }

async function save() {
  const { sheets, ...rest } = form.value
  const description = { ...rest, price: rest.price ?? 0 } as LotDescription
  const id = props.lot?.id ?? v7()
  const done = await giving(() =>
    props.lot
      ? session.give('describe-lot', lotStream.of(id), description)
      : session.give('add-lot', lotStream.of(id), { ...description, sheets: sheets! }),
  )
  if (!done) return
  draft.done()
  form.value = blank()
  emit('done', id)
}
</script>

<template>
  <ActForm :button="lot ? 'Change the paper' : 'Add the paper'" :busy="busy" :fault="footFault" @give="save">
    <div class="fields">
      <ActField
        v-model="form.name"
        act="add-lot"
        name="name"
        class="wide"
        label="Name"
        placeholder="as the room calls it"
      />
      <ActField v-model="form.maker" act="add-lot" name="maker" label="Maker" />
      <ActField v-model="form.use" act="add-lot" name="use" label="It is for" :choices="useWords" />
      <ActField v-model="form.width" act="add-lot" name="width" label="Width" />
      <ActField v-model="form.height" act="add-lot" name="height" label="Height" />
      <ActField v-model="form.weight" act="add-lot" name="weight" label="Weight" />
      <ActField
        v-model="form.price"
        act="add-lot"
        name="price"
        label="Price a sheet"
        :prefix="session.session?.studio.currency"
      />
      <ActField v-if="!lot" v-model="form.sheets" act="add-lot" name="sheets" label="Sheets" />
      <ActField v-model="form.grain" act="add-lot" name="grain" label="Grain runs" :choices="grainWords" />
      <ActField
        v-model="form.betterSide"
        act="add-lot"
        name="betterSide"
        class="wide"
        label="The better side"
        placeholder="felt side, watermark reads right"
      />
      <ActField v-model="form.keptAt" act="add-lot" name="keptAt" label="Kept" placeholder="drawer, shelf" />
      <EdgeChecks v-model="form.deckles!" class="wide" label="Deckle edges" />
      <VCheckbox v-model="form.damp" label="printed damp as a rule" />
    </div>
  </ActForm>
</template>
