<script setup lang="ts">
import { editionRecord } from '#core/edition/record'
import { date } from '~/drawings/words'

const edition = useEdition()
const session = useSession()
const record = computed(() => editionRecord(edition.state!, edition.studio, session.nameOf))
const words: Record<string, string> = {
  WP: 'working proofs',
  SP: 'state proofs',
  CTP: 'colour trials',
  progressive: 'progressives',
}
</script>

<template>
  <article class="record">
    <header>
      <h2>{{ record.title }}</h2>
      <p>{{ [record.artist, record.year, record.method].filter(Boolean).join(', ') }}</p>
      <p>{{ record.studio }}</p>
    </header>
    <dl>
      <div>
        <dt>Edition</dt>
        <dd>
          <template v-for="s in record.series" :key="s.series"
            >{{ s.series === 'edition' ? 'numbered' : s.series }} {{ s.size }} ({{ s.signed }} signed<template
              v-if="s.destroyed"
              >, {{ s.destroyed }} destroyed</template
            >)<br /></template
          ><template v-if="record.series.length === 0">not numbered yet</template>
        </dd>
      </div>
      <div>
        <dt>Other proofs</dt>
        <dd>{{ record.proofs.map((p) => `${p.count} ${words[p.kind] ?? p.kind}`).join(', ') || 'none' }}</dd>
      </div>
      <div>
        <dt>Paper</dt>
        <dd>
          <template v-for="(p, i) in record.paper" :key="i">{{ p.name }}, {{ p.pieces }} pieces<br /></template>
        </dd>
      </div>
      <div>
        <dt>Printed</dt>
        <dd>
          <template v-for="(l, i) in record.layers" :key="i"
            >{{ i + 1 }}. {{ l.name }}<template v-if="l.inks.length"> in {{ l.inks.join(', ') }}</template
            ><template v-if="l.press">, {{ l.press }}</template
            >: {{ l.pulls }} {{ l.pulls === 1 ? 'pull' : 'pulls' }}, {{ l.rejects }}
            {{ l.rejects === 1 ? 'reject' : 'rejects' }}<br
          /></template>
        </dd>
      </div>
      <div>
        <dt>Begun</dt>
        <dd>{{ date(record.startedAt) }}</dd>
      </div>
      <div>
        <dt>Closed</dt>
        <dd>
          {{ record.closedAt ? date(record.closedAt) : 'not closed'
          }}<template v-if="record.closingNote"><br />{{ record.closingNote }}</template>
        </dd>
      </div>
      <div v-if="record.amendments.length">
        <dt>Amended</dt>
        <dd>
          <template v-for="(a, i) in record.amendments" :key="i"
            >to {{ a.size }} on {{ date(a.at) }} by {{ a.by }}: {{ a.reason }}<br
          /></template>
        </dd>
      </div>
      <div>
        <dt>The count</dt>
        <dd>
          {{ record.count.rows.map((r) => `${r.sheets} ${r.label}`).join(', ') }}; in all {{ record.count.total }},
          {{ record.count.balances ? 'balances' : 'does not balance' }}
        </dd>
      </div>
    </dl>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>Number</th>
          <th>Sheet</th>
          <th>Paper</th>
          <th>Pulls</th>
          <th>Signed</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in record.sheets.filter((line) => line.number)" :key="s.sheet">
          <td>{{ s.number }}</td>
          <td>{{ s.sheet }}</td>
          <td>{{ s.paper }}</td>
          <td>{{ s.pulls }}</td>
          <td>{{ s.place === 'destroyed' ? 'destroyed' : s.signed }}</td>
        </tr>
      </tbody>
    </table>
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
dl > div {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 16px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
dt {
  color: var(--soft);
}
table {
  margin-top: 20px;
}
</style>
