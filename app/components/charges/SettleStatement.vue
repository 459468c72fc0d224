<script setup lang="ts">
import { account as accountStream } from '#core/account/stream'
import { totalOf } from '#core/charges/line'
import type { Statement } from '#core/charges/statement'
import type { ChargesReply } from '#shared/replies/replies'
import { date, day } from '~/format/days'

/** What somebody owes for these days is settled, or what was settled opened again. */
const props = defineProps<{
  personId: string
  statement: Statement
  reply: ChargesReply
  money: (cents: number) => string
}>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const account = computed(() => props.reply.accounts.find(({ personId }) => personId === props.personId))
const statements = computed(() => account.value?.statements ?? [])
const open = computed(() => props.statement.lines.filter(({ settledBy }) => settledBy === null))
/** What was stored after this was drawn up is in the next one. */
const within = computed(() => open.value.filter(({ position }) => position <= props.reply.position))
const corrections = computed(() =>
  open.value.flatMap(({ corrects, cents }) => (corrects === null ? [] : [{ statementId: corrects, cents }])),
)
const lines = computed(() => within.value.filter(({ corrects }) => corrects === null))
const due = computed(() => totalOf(lines.value) + totalOf(corrections.value))
const form = ref({ note: '' })
const draft = useDraft(`settle ${props.personId}`, form)

async function settle() {
  const done = await giving(() =>
    session.give(
      'settle-statement',
      accountStream.of(props.personId),
      {
        ...props.reply.span,
        upTo: props.reply.position,
        cents: totalOf(lines.value),
        corrections: corrections.value,
        note: form.value.note,
      },
      account.value?.seq ?? 0,
    ),
  )
  if (!done) return
  draft.done()
  form.value.note = ''
  emit('done')
}

const opening = ref<string | null>(null)
const reason = ref('')
async function reopen(statementId: string) {
  const data = { statementId, reason: reason.value }
  if (!(await giving(() => session.give('reopen-statement', accountStream.of(props.personId), data)))) return
  opening.value = null
  reason.value = ''
  emit('done')
}
const lastDay = (until: string) => date(Date.parse(until) - 1)
</script>

<template>
  <div class="settling">
    <p v-if="open.length > 0 && session.isStaff" class="sentence">
      {{ session.nameOf(personId) }} settles <strong>{{ money(due) }}</strong>,
      <EditableValue v-model="form.note" label="How it was settled" kind="text" :words="form.note || 'in what way?'" />.
      <VBtn :loading="busy" @click="settle">Settle it</VBtn>
    </p>
    <TroubleLine :words="fault" />
    <ul v-if="statements.length > 0" class="soft">
      <li v-for="one in statements" :key="one.id">
        {{ money(one.cents + totalOf(one.corrections)) }} for {{ day(one.from) }} to {{ lastDay(one.until) }} settled on
        {{ day(one.at) }} with {{ session.nameOf(one.by) }}{{ one.note ? `, ${one.note}` : '' }}.
        <template v-if="session.isStaff">
          <button v-if="opening !== one.id" type="button" class="link" @click="opening = one.id">Open it again</button>
          <span v-else>
            It is open again because
            <EditableValue v-model="reason" label="Why it is open again" kind="text" :words="reason || 'of what?'" />
            <button type="button" class="link" @click="reopen(one.id)">Open it</button>
            <button type="button" class="link" @click="opening = null">Leave it</button>
          </span>
        </template>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.settling {
  margin: 4px 0 10px;
}
.sentence {
  font-size: 1.2rem;
  margin-bottom: 6px;
}
.sentence .v-btn {
  margin-left: 12px;
}
</style>
