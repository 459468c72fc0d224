<script setup lang="ts">
import { today } from '~/format/days'
import { methodWord } from '#core/plan/plan'
import type { YearReply } from '#shared/replies/office'
import { rowsCsv } from '~/drawings/tables-csv'
import { pluralise } from '#core/units/pluralise'

/** A year of the room on one page: editions, prints, yield by method, paper, hours at the presses. */
const session = useSession()
const { fault, giving } = useGiving()
const thisYear = Number(today().slice(0, 4))
const year = ref(thisYear)
useHead({ title: () => `The year ${year.value} · Ample Tally` })
const reply = shallowRef<YearReply | null>(null)
let asked = 0
async function load() {
  const mine = ++asked
  await giving(async () => {
    const found = await api<YearReply>(`/api/year?year=${year.value}`)
    if (mine === asked) reply.value = found
  })
}
watch(year, load)
onMounted(load)
const share = (part: number, all: number) => (all === 0 ? '' : `${Math.round((part / all) * 100)} %`)
const hours = (minutes: number) => `${(minutes / 60).toFixed(1)} h`
const money = (cents: number) => `${session.session?.studio.currency ?? ''} ${(cents / 100).toFixed(2)}`
const begun = computed(() => reply.value?.printed.editions.filter((one) => one.begun).length ?? 0)
const closed = computed(() => reply.value?.printed.editions.filter((one) => one.closed).length ?? 0)
const allHours = computed(() => reply.value?.presses.reduce((sum, { minutes }) => sum + minutes, 0) ?? 0)
const print = () => window.print()
const csv = () =>
  giving(async () => {
    const told = reply.value!
    const row = (what: string, name: string, number: number | string, of: number | string = '') => ({
      year: year.value,
      what,
      name,
      number,
      of,
    })
    const rows = [
      row('editions', 'begun', begun.value),
      row('editions', 'closed', closed.value),
      ...told.printed.editions.map(({ title, pulls }) => row('edition', title, pulls, 'impressions')),
      row('prints', 'signed', told.signed),
      row('impressions', 'all', told.printed.impressions),
      row('impressions', 'proofs', told.printed.proofs),
      ...told.printed.methods.map(({ method, good, pulls }) => row('good pulls', methodWord(method), good, pulls)),
      ...told.papers.map(({ name, sheets, pieces }) => row('large sheets', name, sheets, pieces)),
      row('pieces lost', 'all', told.pieces.lost, told.pieces.torn),
      ...told.presses.map(({ name, minutes }) => row('press hours', name, (minutes / 60).toFixed(2))),
    ]
    download(await rowsCsv(rows), 'text/csv', `year-${year.value}.csv`)
  })
</script>

<template>
  <div>
    <div class="page-head">
      <h1>The year {{ year }}</h1>
      <p class="told">{{ session.session?.studio.name }}</p>
      <VBtn class="quiet right no-print" @click="year--">The year before</VBtn>
      <VBtn class="quiet no-print" :disabled="year >= thisYear" @click="year++">The year after</VBtn>
      <VBtn class="quiet no-print" :disabled="!reply" @click="csv">CSV</VBtn>
      <VBtn class="quiet no-print" :disabled="!reply" @click="print">Print</VBtn>
    </div>
    <TroubleLine :words="fault" />
    <template v-if="reply">
      <p class="sentence">
        {{ pluralise(begun, 'edition') }} begun and {{ closed }} closed; {{ pluralise(reply.signed, 'print') }} signed;
        {{ pluralise(reply.printed.impressions, 'impression') }} pulled in {{ hours(allHours) }} at the presses.
      </p>
      <div class="beside">
        <section class="part" aria-label="Yield by method">
          <div class="part-head"><h2>Yield by method</h2></div>
          <table v-columns class="ruled">
            <thead>
              <tr>
                <th>Method</th>
                <th class="number">Pulls</th>
                <th class="number">Good</th>
                <th class="number">Rejects</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in reply.printed.methods" :key="one.method">
                <td>{{ methodWord(one.method) }}</td>
                <td class="number">{{ one.pulls }}</td>
                <td class="number">
                  {{ one.good }}<span class="soft">, {{ share(one.good, one.pulls) }}</span>
                </td>
                <td class="number">
                  {{ one.rejects }}<span class="soft">, {{ share(one.rejects, one.pulls) }}</span>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-if="reply.printed.methods.length === 0" class="soft">Nothing was pulled.</p>
        </section>
        <section class="part" aria-label="Paper">
          <div class="part-head">
            <h2>Paper</h2>
            <p>
              {{ pluralise(reply.pieces.torn, 'piece') }} torn, {{ reply.pieces.lost }} lost,
              {{ share(reply.pieces.lost, reply.pieces.torn) }}
            </p>
          </div>
          <table v-columns class="ruled">
            <thead>
              <tr>
                <th>Paper</th>
                <th class="number">Large sheets</th>
                <th class="number">Pieces</th>
                <th class="number">At today’s price</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in reply.papers" :key="one.name">
                <td>{{ one.name }}</td>
                <td class="number">{{ one.sheets }}</td>
                <td class="number">{{ one.pieces }}</td>
                <td class="number">{{ money(one.cents) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section class="part" aria-label="Hours at the presses">
          <div class="part-head"><h2>Hours at the presses</h2></div>
          <table v-columns class="ruled">
            <thead>
              <tr>
                <th>Press</th>
                <th class="number">Hours</th>
                <th class="number">Reckoned from pulls</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in reply.presses" :key="one.name">
                <td>{{ one.name }}</td>
                <td class="number">{{ hours(one.minutes) }}</td>
                <td class="number soft">{{ one.reckoned > 0 ? hours(one.reckoned) : '' }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section class="part" aria-label="Editions">
          <div class="part-head"><h2>Editions</h2></div>
          <table v-columns class="ruled">
            <thead>
              <tr>
                <th>Edition</th>
                <th>Method</th>
                <th class="number">Impressions</th>
                <th />
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in reply.printed.editions" :key="one.editionId">
                <td>
                  <NuxtLink :to="`/editions/${one.editionId}/close`">{{ one.title }}</NuxtLink>
                </td>
                <td class="soft">{{ methodWord(one.method) }}</td>
                <td class="number">{{ one.pulls }}</td>
                <td class="soft">{{ one.closed ? 'closed' : one.begun ? 'begun' : '' }}</td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 0 40px;
}
/* The sheet that is printed says what it is. */
@media print {
  .page-head {
    display: flex !important;
  }
}
</style>
