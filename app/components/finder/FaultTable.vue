<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { type Cause, type Seat, seats } from '#core/print/causes'
import { type FaultLine, lineInForce, usualLine } from '#core/print/fault-table'
import { outcomes } from '#core/print/faults'
import type { Doer, When } from '#core/ground/envelope'
import { date } from '~/format/days'

/** What this room says of a fault: what it makes of a sheet, its causes in order, and what is tried; with what it said before. */
const props = defineProps<{ fault: string; own: (FaultLine & When & Doer)[]; seq: number }>()
const emit = defineEmits<{ kept: [] }>()
const session = useSession()
const { busy, fault: refused, giving } = useGiving()
/** Remedies are typed in one line, parted by semicolons. */
interface Row {
  words: string
  seat: Seat
  remedies: string
}
const rowOf = ({ words, seat, remedies }: Cause): Row => ({ words, seat, remedies: remedies.join('; ') })
const standing = () => {
  const { outcome, causes } = lineInForce(props.own, props.fault)
  return { outcome, causes: causes.map(rowOf) }
}
const form = useFollowing(standing, () => props.fault)
const isChanged = computed(() => !sameContent(form.value, standing()))
const history = computed(() => props.own.filter((line) => line.fault === props.fault).reverse())
const isUsual = computed(() => history.value.length === 0)
const outcomeWords = { reject: 'a reject', doubtful: 'doubtful', note: 'noted only' }
const outcomeChoices = outcomes.map((value) => ({ value, title: outcomeWords[value] }))
const seatChoices = seats.map((value) => ({ value, title: value }))
const blank = (): Row => ({ words: '', seat: 'ink', remedies: '' })

async function keep() {
  const line: FaultLine = {
    fault: props.fault,
    outcome: form.value.outcome,
    causes: form.value.causes.map(({ words, seat, remedies }) => ({
      words: words.trim(),
      seat,
      remedies: remedies
        .split(';')
        .map((remedy) => remedy.trim())
        .filter(Boolean),
    })),
  }
  if (await giving(() => session.give('set-fault-line', studio.of(), line, props.seq))) emit('kept')
}
function asUsual() {
  const { outcome, causes } = usualLine(props.fault)
  form.value = { outcome, causes: causes.map(rowOf) }
}
</script>

<template>
  <form @submit.prevent="keep">
    <div class="customs">
      <p>
        A sheet with it is usually
        <EditableValue
          v-model="form.outcome"
          label="What it makes of a sheet"
          kind="choice"
          :options="outcomeChoices"
          :words="outcomeWords[form.outcome]"
          :disabled="!session.isStaff"
        />.
      </p>
      <p v-for="(cause, i) in form.causes" :key="i">
        {{ i + 1 }}.
        <EditableValue
          v-model="cause.words"
          :label="`Cause ${i + 1}`"
          kind="text"
          :longest="120"
          :words="cause.words || 'say the cause'"
          :disabled="!session.isStaff"
        />, in
        <EditableValue
          v-model="cause.seat"
          :label="`Where cause ${i + 1} lies`"
          kind="choice"
          :options="seatChoices"
          :words="cause.seat"
          :disabled="!session.isStaff"
        />: try
        <EditableValue
          v-model="cause.remedies"
          :label="`Remedies ${i + 1}`"
          kind="text"
          :longest="600"
          :words="cause.remedies || 'nothing yet'"
          :disabled="!session.isStaff"
        />.
        <button
          v-if="session.isStaff"
          type="button"
          class="link"
          :aria-label="`Take out cause ${i + 1}`"
          @click="form.causes.splice(i, 1)"
        >
          Take out
        </button>
      </p>
    </div>
    <p v-if="session.isStaff" class="soft">Several remedies are parted by semicolons, the likeliest first.</p>
    <TroubleLine :words="refused" />
    <div v-if="session.isStaff" class="buttons">
      <VBtn type="submit" :disabled="!isChanged" :loading="busy">Keep what this room says</VBtn>
      <VBtn class="quiet" @click="form.causes.push(blank())">One more cause</VBtn>
      <VBtn v-if="!isUsual" class="quiet" @click="asUsual">As it usually is</VBtn>
    </div>
    <ul v-if="history.length > 0" class="soft">
      <li v-for="line in history" :key="line.position">
        {{ date(line.at) }}, {{ session.nameOf(line.by) }}: {{ outcomeWords[line.outcome] }};
        {{ line.causes.map(({ words, remedies }) => `${words} (${remedies.join(', ')})`).join('; ') }}
      </li>
    </ul>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}
</style>
