<script setup lang="ts">
import { lineOf, signingList } from '#core/edition/pencil'
import { leafSizes, type LeafSize } from '~/drawings/leaf'
import { certificatesPdf, labelsPdf, recordPdf, signingListPdf } from '~/drawings/papers-pdf'
import { law } from '~/drawings/papers-words'

/** The papers of an edition as PDF, with their letters in them, on A4 or Letter; certificates and labels on screen too. */
const { edition, units, record, writing, only, numbers } = useEditionPapers()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const size = ref<LeafSize>(units.unit === 'in' ? 'Letter' : 'A4')
const share = ref<number | null>(null)
async function progress(done: number) {
  share.value = done
  await new Promise((rest) => setTimeout(rest, 0))
}
type Paper = 'record' | 'certificates' | 'labels' | 'signing list'
const make: Record<Paper, () => Promise<ArrayBuffer>> = {
  record: () => recordPdf(record.value, size.value, writing, progress),
  certificates: () => certificatesPdf(record.value, numbers.value, size.value, writing, progress),
  labels: () => labelsPdf(record.value, numbers.value, size.value),
  'signing list': () =>
    signingListPdf(
      state.value.title,
      signingList(state.value).map((sheet) => ({
        sheet: sheet.id,
        line: lineOf(state.value, sheet),
        signed: sheet.signed,
      })),
      size.value,
    ),
}
const print = (paper: Paper) =>
  giving(async () => {
    download(await make[paper](), 'application/pdf', fileName(state.value.title, `${paper.replace(' ', '-')}.pdf`))
  }).finally(() => (share.value = null))
</script>

<template>
  <section class="part no-print">
    <div class="part-head">
      <h2>Papers</h2>
      <p>{{ law }}</p>
    </div>
    <div class="papers">
      <VSelect v-model="size" label="Page" :items="Object.keys(leafSizes)" />
      <VTextField v-model="only" label="Only this number" placeholder="all that are signed" />
    </div>
    <div class="buttons">
      <VBtn class="quiet" :loading="busy" @click="print('record')">Record</VBtn>
      <VBtn class="quiet" :loading="busy" :disabled="numbers.length === 0" @click="print('certificates')">{{
        numbers.length === 1 ? 'Certificate' : `${numbers.length} certificates`
      }}</VBtn>
      <VBtn class="quiet" :loading="busy" :disabled="numbers.length === 0" @click="print('labels')">Labels</VBtn>
      <VBtn class="quiet" :loading="busy" :disabled="signingList(state).length === 0" @click="print('signing list')"
        >Signing list</VBtn
      >
      <NuxtLink
        v-if="numbers.length > 0"
        :to="{ path: `/editions/${edition.id}/papers`, query: only.trim() ? { print: only.trim() } : {} }"
        >Read certificates and labels here</NuxtLink
      >
    </div>
    <p v-if="share !== null" class="soft" aria-live="polite">{{ Math.round(share * 100) }} % is set.</p>
    <TroubleLine :words="fault" />
  </section>
</template>

<style scoped>
.papers {
  display: grid;
  grid-template-columns: 130px 220px;
  gap: 20px;
}
</style>
