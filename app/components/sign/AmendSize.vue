<script setup lang="ts">
import { numberOnSheet, writtenOtherwise } from '#core/edition/sheet-number'
import { pluralise } from '#core/units/pluralise'

/** The size after a print is signed: changed by an amendment that shows in the record. */
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const plan = computed(() => state.value.plan!)
const amend = ref({ size: plan.value.size, proofs: { ...plan.value.proofs }, reason: '' })
const amendSize = () =>
  giving(() => edition.give('amend-size', JSON.parse(JSON.stringify(amend.value)))).then((done) => {
    if (done) amend.value.reason = ''
  })

const otherwise = computed(() => writtenOtherwise(state.value))
/** What left the room says what it said; what is here can be rubbed out and written again. */
const here = computed(() => otherwise.value.filter(({ gone }) => gone === null))

async function putRight() {
  const why = state.value.amendments.at(-1)!.reason
  await giving(async () => {
    for (const sheet of here.value)
      await edition.give('note-pencil', {
        sheetId: sheet.id,
        note: `${numberOnSheet(state.value, sheet)} rubbed out and written over the amended size: ${why}`,
      })
  })
}
</script>

<template>
  <section class="part">
    <div class="part-head">
      <h2>Amend the size</h2>
      <p>a print is signed, so the size is fixed; an amendment shows in the record</p>
    </div>
    <div class="fields">
      <VTextField v-model.number="amend.size" label="Prints" type="number" /><VTextField
        v-model.number="amend.proofs.AP"
        label="AP"
        type="number"
      /><VTextField v-model.number="amend.proofs.PP" label="PP" type="number" /><VTextField
        v-model.number="amend.proofs.HC"
        label="HC"
        type="number"
      /><VTextField v-model="amend.reason" class="wide" label="Why it changes" />
    </div>
    <div class="buttons"><VBtn class="quiet" :loading="busy" @click="amendSize">Amend</VBtn></div>
    <template v-if="otherwise.length > 0">
      <p>
        {{ pluralise(otherwise.length, 'signed print') }}
        {{ otherwise.length === 1 ? 'is' : 'are' }} pencilled over an earlier size, and stand so in the record.
      </p>
      <div v-if="here.length > 0" class="buttons">
        <VBtn class="quiet" :loading="busy" @click="putRight">{{
          here.length === 1
            ? 'The one that is here is written anew'
            : `The ${here.length} that are here are written anew`
        }}</VBtn>
      </div>
    </template>
    <TroubleLine :words="fault" />
  </section>
</template>
