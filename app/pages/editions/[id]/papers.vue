<script setup lang="ts">
import { labelLines, law, subtitle } from '~/drawings/papers-words'

/** Certificates and labels of the signed prints on screen, as they are printed from the browser. */
const route = useRoute()
const wanted = typeof route.query.print === 'string' ? route.query.print : ''
const { edition, record, only, numbers, factsOf } = useEditionPapers(wanted)
const kind = ref('Certificates')
const kinds = ['Certificates', 'Labels'].map((value) => ({ value, title: value }))
const print = () => window.print()
</script>

<template>
  <div>
    <p class="sentence no-print">
      <EditableValue v-model="kind" label="Paper" kind="choice" :options="kinds" :words="kind" />
      of
      <EditableValue
        v-model="only"
        label="Only this number"
        kind="text"
        :words="only.trim() === '' ? 'all that are signed' : only"
      />.
    </p>
    <p v-if="numbers.length === 0" class="soft no-print">
      {{
        only.trim() === ''
          ? 'No print is signed yet: its certificate and label come with the signature.'
          : `No signed print bears ${only.trim()}. Write it as it is on the print, or leave it empty for all.`
      }}
    </p>
    <div v-else class="buttons no-print">
      <VBtn @click="print">Print</VBtn>
      <NuxtLink :to="`/editions/${edition.id}/close`">As PDF</NuxtLink>
    </div>
    <template v-if="kind === 'Certificates'">
      <article v-for="number in numbers" :key="number" class="certificate" :aria-label="`Certificate of ${number}`">
        <p class="word">Certificate</p>
        <h2>{{ record.title }}</h2>
        <p>{{ subtitle(record) }}</p>
        <FactList class="facts" :facts="factsOf(number)" />
        <p class="hand">
          <span>for {{ record.studio }}</span>
          <span>on</span>
        </p>
        <p class="law">{{ law }}</p>
      </article>
    </template>
    <ul v-else class="labels">
      <li v-for="number in numbers" :key="number">
        <p v-for="(line, i) in labelLines(record, number)" :key="i">{{ line }}</p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.certificate {
  max-width: 680px;
  margin: 28px 0;
  padding: 32px 40px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  break-after: page;
}
.word {
  font-weight: 600;
}
h2 {
  margin: 10px 0 4px;
  font-size: 1.7rem;
}
.facts {
  margin: 22px 0 44px;
  border-top: 1px solid var(--rule);
}
.hand {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 40px;
}
.hand span {
  padding-top: 4px;
  border-top: 1px solid currentcolor;
  font-size: 0.86rem;
}
.law {
  margin-top: 26px;
  font-size: 0.8rem;
  color: var(--soft);
}
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 14px;
  margin-top: 24px;
  padding: 0;
  list-style: none;
}
.labels li {
  padding: 12px 16px;
  background: var(--sheet);
  border: 1px solid var(--rule);
  white-space: pre-wrap;
  break-inside: avoid;
  font-size: 0.9rem;
}
.labels p:first-child {
  font-family: var(--serif);
  font-size: 1.15rem;
}
.labels p:nth-child(3) {
  font-weight: 600;
}
@media print {
  .certificate:last-child {
    break-after: auto;
  }
  .certificate {
    max-width: none;
    margin: 0;
    padding: 0;
    border: 0;
  }
}
@media (max-width: 600px) {
  .certificate {
    padding: 20px;
  }
}
</style>
