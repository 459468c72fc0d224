<script setup lang="ts">
import { editionRecord } from '#core/edition/record'
import { recordFacts } from '#core/edition/record-facts'
import { law, subtitle } from '~/drawings/papers-words'
import { date } from '~/format/days'

const edition = useEdition()
const session = useSession()
const units = useUnits()
const record = computed(() => editionRecord(edition.state!, edition.studio, session.nameOf, session.zone))
const facts = computed(() => recordFacts(record.value, { size: units.size, day: date }))
</script>

<template>
  <article class="record">
    <header>
      <h2>{{ record.title }}</h2>
      <p>{{ subtitle(record) }}</p>
      <p>{{ record.studio }}</p>
    </header>
    <FactList :facts="facts" />
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>Number</th>
          <th>Sheet</th>
          <th>Paper</th>
          <th>Pulls</th>
          <th>Signed</th>
          <th>Left</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in record.sheets.filter((line) => line.number)" :key="s.sheet">
          <td>{{ s.number }}</td>
          <td>{{ s.sheet }}</td>
          <td>{{ s.paper }}</td>
          <td>{{ s.pulls }}</td>
          <td>{{ s.place === 'destroyed' ? 'destroyed' : s.signed }}</td>
          <td>{{ s.left }}</td>
        </tr>
      </tbody>
    </table>
    <p class="law">{{ law }}</p>
  </article>
</template>

<style scoped>
.record {
  max-width: 760px;
}
header {
  margin-bottom: 16px;
}
h2 {
  font-size: 1.5rem;
}
table {
  margin-top: 20px;
}
.law {
  margin-top: 14px;
  font-size: 0.8rem;
  color: var(--soft);
}
</style>
