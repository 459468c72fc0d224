<script setup lang="ts">
import { chargeKinds, totalOf } from '#core/charges/line'
import type { Statement } from '#core/charges/statement'
import { day } from '~/format/days'

/** One statement: what it comes to by kinds, what of it is open, and every line when one asks. */
const props = defineProps<{
  title: string
  statement: Statement
  by: 'person' | 'edition' | 'class'
  isShown: boolean
  money: (cents: number) => string
  titleOf: (stream: string | null) => string
}>()
const emit = defineEmits<{ toggle: [] }>()
const session = useSession()
const kinds = computed(() =>
  chargeKinds
    .map((kind) => ({ kind, lines: props.statement.lines.filter((line) => line.kind === kind) }))
    .filter(({ lines }) => lines.length > 0),
)
const kindWords = { paper: 'paper', ink: 'ink', press: 'press', other: 'other', correction: 'corrections' }
const isAllOpen = computed(() => props.statement.open === props.statement.cents)
</script>

<template>
  <section class="part" :aria-label="title">
    <div class="part-head">
      <h2>
        <button type="button" class="open" :aria-expanded="isShown" @click="emit('toggle')">{{ title }}</button>
      </h2>
      <p class="sum">
        <span v-for="one in kinds" :key="one.kind" class="kind"
          >{{ kindWords[one.kind] }} {{ money(totalOf(one.lines)) }}</span
        >
        <strong>{{ money(statement.cents) }}</strong>
        <span v-if="!isAllOpen" class="kind">{{
          statement.open === 0 ? 'settled' : `${money(statement.open)} open`
        }}</span>
      </p>
    </div>
    <template v-if="isShown">
      <slot />
      <table v-columns class="ruled">
        <thead>
          <tr>
            <th>Day</th>
            <th v-if="by !== 'person'">Who</th>
            <th>What</th>
            <th v-if="by !== 'edition'">Edition</th>
            <th class="number">Amount</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(line, i) in statement.lines" :key="i" :class="{ settled: line.settledBy !== null }">
            <td>{{ day(line.at) }}</td>
            <td v-if="by !== 'person'">{{ session.nameOf(line.personId) }}</td>
            <td>
              {{ line.what }}<span v-if="line.isReckoned" class="soft">, reckoned: no session was open</span
              ><span v-if="line.isUnpriced" class="soft">, no price known</span
              ><span v-if="line.settledBy !== null" class="soft">, settled</span>
            </td>
            <td v-if="by !== 'edition'">{{ titleOf(line.editionStream) }}</td>
            <td class="number">{{ money(line.cents) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
.open {
  font: inherit;
  text-align: left;
}
.open::before {
  content: '+' / '';
  display: inline-block;
  width: 0.9em;
  color: var(--green);
}
.open[aria-expanded='true']::before {
  content: '–' / '';
}
.part-head .sum {
  font-size: 1rem;
  color: var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.sum .kind {
  color: var(--soft);
  font-size: 0.86rem;
}
.part {
  padding: 12px 0 8px;
}
.settled td {
  color: var(--soft);
}
</style>
