<script setup lang="ts">
import { type ChargeKind, type ChargeLine, totalOf } from '#core/charges/line'
import { statementsBy } from '#core/charges/statement'
import type { ChargesReply, CoursesReply } from '#shared/replies/replies'
import { chargesCsv } from '~/drawings/charges-csv'
import { statementsPdf } from '~/drawings/statements-pdf'
import { date, day, figured } from '~/drawings/words'

/** Who owes what: paper, ink and press time of a span, by person, edition or class. */
useHead({ title: 'Who owes what · Ample Tally' })
const session = useSession()
const { busy, fault, giving } = useGiving()
const isoDay = (at: Date) => at.toLocaleDateString('sv-SE')
const today = new Date()
const span = ref({
  from: isoDay(new Date(today.getFullYear(), today.getMonth(), 1)) as string | null,
  until: isoDay(today) as string | null,
})
type By = 'person' | 'edition' | 'class'
const by = ref<By>('person')
const ways: { value: By; title: string }[] = [
  { value: 'person', title: 'person' },
  { value: 'edition', title: 'edition' },
  { value: 'class', title: 'class' },
]
const reply = shallowRef<ChargesReply | null>(null)
const courses = shallowRef<CoursesReply['courses']>([])
const turned = computed(() =>
  span.value.from && span.value.until && span.value.until < span.value.from ? 'That day is before the first one.' : '',
)
let asked = 0

/** Asked anew when the span changes; an older answer is not shown over a newer one. */
async function load() {
  const { from, until } = span.value
  if (!from || !until || turned.value) return
  const mine = ++asked
  await giving(async () => {
    const start = new Date(`${from}T00:00:00`)
    const end = new Date(`${until}T00:00:00`)
    end.setDate(end.getDate() + 1)
    const timeZone = encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)
    const found = await api<ChargesReply>(
      `/api/charges?from=${start.toISOString()}&until=${end.toISOString()}&timeZone=${timeZone}`,
    )
    if (mine === asked) reply.value = found
  })
}
watch(span, load, { deep: true })
onMounted(async () => {
  await load()
  courses.value = (await api<CoursesReply>('/api/courses').catch(() => ({ courses: [] }))).courses
})

const courseOf = computed(() => {
  const found = new Map<string, string>()
  for (const { name, assignments } of courses.value)
    for (const { editions } of assignments)
      for (const { editionId } of editions) found.set(`edition:${editionId}`, name)
  return found
})
const lines = computed(() => reply.value?.lines ?? [])
const titleOf = (stream: string | null) => (stream === null ? '' : (reply.value?.titles[stream] ?? 'an edition'))
const statements = computed(() =>
  statementsBy(lines.value, ({ personId, editionStream }) => {
    if (by.value === 'person') return session.nameOf(personId)
    if (by.value === 'edition') return editionStream && titleOf(editionStream)
    return editionStream && (courseOf.value.get(editionStream) ?? null)
  }),
)
const unpriced = computed(() => lines.value.filter(({ isUnpriced }) => isUnpriced))
const kinds: ChargeKind[] = ['paper', 'ink', 'press']
const kindsOf = (those: readonly ChargeLine[]) => kinds.filter((kind) => those.some((line) => line.kind === kind))
const money = (cents: number) =>
  `${cents < 0 ? '− ' : ''}${session.session?.studio.currency ?? ''} ${(Math.abs(cents) / 100).toFixed(2)}`
const shown = ref('')
const spanWords = computed(() => `${date(span.value.from)} to ${date(span.value.until)}`)
const fileOf = (kind: string, ending: string) => `${kind}-${span.value.from}-${span.value.until}.${ending}`
const csv = () =>
  giving(async () => {
    download(await chargesCsv(lines.value, session.nameOf, titleOf), 'text/csv', fileOf('charges', 'csv'))
  })
const pdf = () =>
  giving(async () => {
    download(
      await statementsPdf(
        statements.value,
        { heading: 'Who owes what', span: spanWords.value, money, titleOf, nameOf: session.nameOf },
        'A4',
      ),
      'application/pdf',
      fileOf('statements', 'pdf'),
    )
  })
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Who owes what</h1>
      <p v-if="reply" class="told">{{ money(totalOf(lines)) }} in all, {{ figured(lines.length, 'line') }}</p>
      <VBtn class="quiet right no-print" :disabled="lines.length === 0" @click="csv">CSV</VBtn>
      <VBtn class="quiet no-print" :disabled="statements.length === 0" :loading="busy" @click="pdf">PDF</VBtn>
    </div>
    <p class="sentence">
      From
      <SaidValue v-model="span.from" label="First day" kind="date" :words="day(span.from) || 'some day'" />
      until
      <SaidValue
        v-model="span.until"
        label="Last day"
        kind="date"
        :words="day(span.until) || 'some day'"
        :fault="turned"
      />, by <SaidValue v-model="by" label="By" kind="choice" :options="ways" :words="by" />.
    </p>
    <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    <p v-if="unpriced.length > 0" class="unpriced">
      {{ figured(unpriced.length, 'line') }} stand with nothing, since no price or rate was known then: give
      <NuxtLink to="/presses">presses</NuxtLink> their rate, <NuxtLink to="/paper">paper</NuxtLink> and
      <NuxtLink to="/ink">inks</NuxtLink> their price.
    </p>
    <p v-if="reply && statements.length === 0" class="soft">
      {{ by === 'class' ? 'No class used anything in these days.' : 'Nothing was used in these days.' }}
    </p>
    <section v-for="one in statements" :key="one.key" class="part" :aria-label="one.key">
      <div class="part-head">
        <h2>
          <button
            type="button"
            class="open"
            :aria-expanded="shown === one.key"
            @click="shown = shown === one.key ? '' : one.key"
          >
            {{ one.key }}
          </button>
        </h2>
        <p class="sum">
          <span v-for="kind in kindsOf(one.lines)" :key="kind" class="kind"
            >{{ kind }} {{ money(totalOf(one.lines.filter((line) => line.kind === kind))) }}</span
          >
          <strong>{{ money(one.cents) }}</strong>
        </p>
      </div>
      <table v-if="shown === one.key" v-columns class="ruled">
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
          <tr v-for="(line, i) in one.lines" :key="i">
            <td>{{ day(line.at) }}</td>
            <td v-if="by !== 'person'">{{ session.nameOf(line.personId) }}</td>
            <td>
              {{ line.what }}<span v-if="line.isReckoned" class="soft">, reckoned: no session was open</span
              ><span v-if="line.isUnpriced" class="soft">, no price known</span>
            </td>
            <td v-if="by !== 'edition'">{{ titleOf(line.editionStream) }}</td>
            <td class="number">{{ money(line.cents) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.sentence {
  margin-bottom: 14px;
}
.unpriced {
  color: var(--doubtful);
  margin-bottom: 12px;
}
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
</style>
