<script setup lang="ts">
import { byMaker, type OrderLine, weeksBack, weeksReserve } from '#core/office/order-list'
import type { OrdersReply } from '#shared/replies/office'
import { rowsCsv } from '~/drawings/tables-csv'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** What is to be ordered from whom: what the editions will take and a reserve, less what is there. */
useHead({ title: 'Order list · Ample Tally' })
const { giving, fault } = useGiving()
const { reply, trouble } = useReply<OrdersReply>('/api/orders', {
  on: ['edition', 'lot', 'batch', 'tub', 'studio', 'block', 'press', 'calendar'],
})
const lines = computed(() => reply.value?.lines ?? [])
const orders = computed(() => byMaker(lines.value))
const amount = (number: number) => (Number.isInteger(number) ? String(number) : number.toFixed(1))
const whyWords = ({ wanted, reserve, left, unit, kind }: OrderLine) =>
  [
    ...wanted.map(({ title, amount: much }) => `${amount(Math.ceil(much))} for ${title}`),
    ...(reserve > 0 ? [`${reserve} as a reserve`] : []),
    left < 0
      ? `${amount(-left)} short by the book`
      : `${amount(left)} ${kind === 'packing' ? 'free' : 'left'} of ${unit}`,
  ].join(', ')
const where = { paper: '/paper', ink: '/ink', packing: '/presses' }
const print = () => window.print()
const csv = () =>
  giving(async () => {
    const rows = lines.value.map((line) => ({
      maker: line.maker,
      kind: line.kind,
      name: line.name,
      order: line.order,
      unit: line.unit,
      left: amount(line.left),
      reserve: line.reserve,
      'wanted for': listed(line.wanted.map(({ title }) => title)),
    }))
    download(await rowsCsv(rows), 'text/csv', 'order-list.csv')
  })
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Order list</h1>
      <p v-if="reply" class="told">{{ pluralise(lines.length, 'thing') }} to order</p>
      <VBtn class="quiet right no-print" :disabled="lines.length === 0" @click="csv">CSV</VBtn>
      <VBtn class="quiet no-print" :disabled="lines.length === 0" @click="print">Print</VBtn>
    </div>
    <TroubleLine :words="trouble || fault" />
    <p class="soft said">
      What the editions begun and planned will still take, and a reserve of {{ weeksReserve }} weeks at the pace of the
      last {{ weeksBack }}, less what is there and not put aside.
    </p>
    <p v-if="reply && lines.length === 0">Nothing is low.</p>
    <section v-for="one in orders" :key="one.maker" class="part" :aria-label="one.maker || 'No maker said'">
      <div class="part-head">
        <h2>{{ one.maker || 'No maker said' }}</h2>
      </div>
      <table v-columns class="ruled">
        <thead>
          <tr>
            <th>What</th>
            <th class="number">Order</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in one.lines" :key="line.id">
            <td>
              <NuxtLink :to="where[line.kind]">{{ line.name }}</NuxtLink>
            </td>
            <td class="number">
              <strong>{{ line.order }}</strong> {{ line.unit }}
            </td>
            <td class="soft">{{ whyWords(line) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.said {
  max-width: 80ch;
  margin-bottom: 10px;
}
/* The sheet that is printed says what it is. */
@media print {
  .page-head {
    display: flex !important;
  }
}
</style>
