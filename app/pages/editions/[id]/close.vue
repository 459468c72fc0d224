<script setup lang="ts">
import { type BlockEnd, blockEnds, blockEndWords } from '#core/print/block-end'
import { date } from '~/format/days'

const edition = useEdition()
const { busy, fault, giving } = useGiving()
const note = ref('')
const block = ref<BlockEnd>('kept')
const reason = ref('')
const path = computed(() => `/api/editions/${edition.id}/record`)
const print = () => window.print()
</script>

<template>
  <div>
    <section class="part no-print">
      <template v-if="edition.state!.closedAt">
        <div class="part-head">
          <h2>Closed on {{ date(edition.state!.closedAt) }}</h2>
        </div>
        <form class="act" @submit.prevent="giving(() => edition.give('reopen', { reason }))">
          <VTextField v-model="reason" label="Why it is reopened" /><VBtn class="quiet" type="submit" :loading="busy"
            >Reopen</VBtn
          >
        </form>
      </template>
      <template v-else>
        <div class="part-head">
          <h2>Close the edition</h2>
          <p>then it can only be read; reopening is recorded</p>
        </div>
        <form
          class="act"
          @submit.prevent="
            giving(() => edition.give('close', { note, block, blockIds: edition.state!.blocks.map(({ id }) => id) }))
          "
        >
          <VSelect
            v-model="block"
            class="wide"
            label="The block"
            :items="blockEnds.map((value) => ({ value, title: blockEndWords(value) }))"
          />
          <VTextField v-model="note" label="Note" placeholder="where its last proof lies, for instance" /><VBtn
            type="submit"
            :loading="busy"
            >Close</VBtn
          >
        </form>
      </template>
      <TroubleLine :words="fault" />
    </section>
    <WhereTheyWent />
    <PrintAgain v-if="edition.state!.closedAt" />
    <EditionPapers />
    <section class="part">
      <div class="part-head no-print">
        <h2>The edition record</h2>
        <p class="ways">
          <button type="button" @click="print">Print</button> <a :href="`${path}.json`" download>JSON</a>
          <a :href="`${path}.csv`" download>CSV of the sheets</a>
          <a :href="`/api/editions/${edition.id}/events.jsonl`" download>events it rests on</a>
        </p>
      </div>
      <EditionRecord />
    </section>
  </div>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.act {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 20px;
  align-items: end;
  max-width: 640px;
}
.ways {
  display: flex;
  gap: 18px;
  align-items: baseline;
}
.ways button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
}
</style>
