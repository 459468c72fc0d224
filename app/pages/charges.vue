<script setup lang="ts">
import { account } from '#core/account/stream'
import type { RoomDay } from '#core/time/room-day'
import { statementsBy } from '#core/charges/statement'
import { openIn, usedIn } from '#core/charges/settled'
import type { ChargesReply, CoursesReply } from '#shared/replies/replies'
import { chargesCsv } from '~/drawings/charges-csv'
import { statementsPdf } from '~/drawings/statements-pdf'
import { pluralise } from '#core/units/pluralise'
import { date, day, today } from '~/format/days'

/** Who owes what: paper, ink, press time and what was typed, of a span, by person, edition or class; settled or open. */
useHead({ title: 'Who owes what · Ample Tally' })
const session = useSession()
const { fault, giving } = useGiving()
const making = useGiving()
const span = ref({
  from: `${today().slice(0, 7)}-01` as RoomDay | null,
  until: today() as RoomDay | null,
})
type By = 'person' | 'edition' | 'class'
const by = ref<By>('person')
const ways: { value: By; title: string }[] = [
  { value: 'person', title: 'person' },
  { value: 'edition', title: 'edition' },
  { value: 'class', title: 'class' },
]
const reply = shallowRef<ChargesReply | null>(null)
const { reply: classes } = useReply<CoursesReply>('/api/courses', { on: ['course'] })
const turned = computed(() =>
  span.value.from && span.value.until && span.value.until < span.value.from ? 'That day is before the first one.' : '',
)
let asked = 0
/** Days were changed, and what they come to is not here yet: the old sum is not shown over them. */
const isAsking = ref(false)

/** Asked anew when the span changes; an older answer is not shown over a newer one. */
async function load() {
  const { from, until } = span.value
  if (!from || !until || turned.value) return
  const mine = ++asked
  isAsking.value = true
  await giving(async () => {
    const found = await api<ChargesReply>(`/api/charges?from=${from}&to=${until}`)
    if (mine === asked) reply.value = found
  })
  if (mine === asked) isAsking.value = false
}
watch(span, load, { deep: true })
onMounted(load)

const courseOf = computed(() => {
  const found = new Map<string, string>()
  for (const { name, assignments } of classes.value?.courses ?? [])
    for (const { editions } of assignments)
      for (const { editionId } of editions) found.set(`edition:${editionId}`, name)
  return found
})
const lines = computed(() => reply.value?.lines ?? [])
const rooms = computed(() => reply.value?.rooms ?? [])
const titleOf = (stream: string | null) => (stream === null ? '' : (reply.value?.titles[stream] ?? 'an edition'))
/** Told apart by what cannot be the same for two: names and titles can. */
const statements = computed(() =>
  statementsBy(lines.value, ({ personId, editionStream }) => {
    if (by.value === 'person') return personId
    if (by.value === 'edition') return editionStream
    return editionStream && (courseOf.value.get(editionStream) ?? null)
  }),
)
const titled = (key: string) =>
  by.value === 'person' ? session.nameOf(key) : by.value === 'edition' ? titleOf(key) : key
const atCost = computed(() => statementsBy(rooms.value, ({ editionStream }) => editionStream))
const unpriced = computed(() => [...lines.value, ...rooms.value].filter(({ isUnpriced }) => isUnpriced))
const money = (cents: number) =>
  `${cents < 0 ? '− ' : ''}${session.session?.studio.currency ?? ''} ${(Math.abs(cents) / 100).toFixed(2)}`
const shown = ref('')
const toggle = (key: string) => {
  shown.value = shown.value === key ? '' : key
}
async function setRoomUse(stream: string, isRooms: boolean) {
  const editionId = stream.slice('edition:'.length)
  if (await giving(() => session.give('set-room-use', account.of('room'), { editionId, isRooms }))) await load()
}
const spanWords = computed(() => `${date(span.value.from)} to ${date(span.value.until)}`)
const fileOf = (kind: string, ending: string) => `${kind}-${span.value.from}-${span.value.until}.${ending}`
const csv = () =>
  making.giving(async () => {
    download(
      await chargesCsv([...lines.value, ...rooms.value], session.nameOf, titleOf),
      'text/csv',
      fileOf('charges', 'csv'),
    )
  })
const pdf = () =>
  making.giving(async () => {
    download(
      await statementsPdf(
        statements.value.map((one) => ({ ...one, key: titled(one.key) })),
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
      <p v-if="reply && !isAsking" class="told">
        {{ money(usedIn(lines)) }} in all, {{ pluralise(lines.length, 'line') }}; {{ money(openIn(lines)) }} open
      </p>
      <VBtn class="quiet right no-print" :disabled="lines.length + rooms.length === 0" @click="csv">CSV</VBtn>
      <VBtn class="quiet no-print" :disabled="statements.length === 0" :loading="making.busy.value" @click="pdf"
        >PDF</VBtn
      >
    </div>
    <p class="sentence">
      From
      <EditableValue v-model="span.from" label="First day" kind="date" :words="day(span.from) || 'some day'" />
      until
      <EditableValue
        v-model="span.until"
        label="Last day"
        kind="date"
        :words="day(span.until) || 'some day'"
        :fault="turned"
      />, by <EditableValue v-model="by" label="By" kind="choice" :options="ways" :words="by" />.
    </p>
    <TroubleLine :words="fault || making.fault.value" />
    <p v-if="unpriced.length > 0" class="unpriced">
      {{ pluralise(unpriced.length, 'line stands', 'lines stand') }} with nothing, since no price or rate was known
      then: give <NuxtLink to="/presses">presses</NuxtLink> their rate, <NuxtLink to="/paper">paper</NuxtLink> and
      <NuxtLink to="/ink">inks</NuxtLink> their price.
    </p>
    <p v-if="reply && statements.length === 0" class="soft">
      {{ by === 'class' ? 'No class used anything in these days.' : 'Nothing was used in these days.' }}
    </p>
    <template v-if="reply">
      <StatementPart
        v-for="one in statements"
        :key="one.key"
        :title="titled(one.key)"
        :statement="one"
        :by="by"
        :is-shown="shown === one.key"
        :money="money"
        :title-of="titleOf"
        @toggle="toggle(one.key)"
      >
        <SettleStatement
          v-if="by === 'person'"
          :key="reply.position"
          :person-id="one.key"
          :statement="one"
          :reply="reply"
          :money="money"
          @done="load"
        />
        <p v-else-if="by === 'edition' && session.isStaff" class="soft">
          Is it printed for the room itself?
          <button type="button" class="link" @click="setRoomUse(one.key, true)">The room’s own, at cost</button>
        </p>
      </StatementPart>
      <div v-if="atCost.length > 0" class="part-head rooms">
        <h2>The room’s own use, at cost</h2>
        <p>{{ money(usedIn(rooms)) }}, owed by nobody</p>
      </div>
      <StatementPart
        v-for="one in atCost"
        :key="`room ${one.key}`"
        :title="titleOf(one.key)"
        :statement="one"
        by="edition"
        :is-shown="shown === `room ${one.key}`"
        :money="money"
        :title-of="titleOf"
        @toggle="toggle(`room ${one.key}`)"
      >
        <p v-if="session.isStaff" class="soft">
          <button type="button" class="link" @click="setRoomUse(one.key, false)">
            Charged to who used it after all
          </button>
        </p>
      </StatementPart>
      <CollapsibleSection
        v-if="session.isStaff"
        class="no-print"
        title="Another charge"
        words="a fee, a locker, a credit"
      >
        <TypeCharge @done="load" />
      </CollapsibleSection>
    </template>
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
.rooms {
  margin-top: 26px;
}
</style>
