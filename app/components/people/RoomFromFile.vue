<script setup lang="ts">
import type { BringingInReply } from '#shared/replies/studio-file'
import { pluralise } from '#core/units/pluralise'
import { date } from '~/format/days'

/** A pressroom from a studio file: looked through whole first, then opened by one of its managers. */
const props = defineProps<{ token: string }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, giving, refuse } = useGiving()
const read = ref<BringingInReply | null>(null)
const form = ref({ managerId: null as string | null, secret: '' })
const given = ref<File | null>(null)
let soon: ReturnType<typeof setTimeout> | undefined
onUnmounted(() => clearTimeout(soon))

async function choose([file]: File[]) {
  given.value = file ?? null
  await handIn()
}

async function handIn() {
  const file = given.value
  if (!file) return
  clearTimeout(soon)
  read.value = null
  await giving(async () => {
    read.value = await handInBytes<BringingInReply>('/api/bringing-in', file, {
      headers: { 'x-set-up-token': props.token },
    })
  })
  if (read.value) follow()
}

/** Ask again until it is read. */
function follow() {
  soon = setTimeout(() => void readAgain(), 300)
}

async function readAgain() {
  await giving(async () => {
    read.value = await api<BringingInReply>('/api/bringing-in', 'GET', undefined, { 'x-set-up-token': props.token })
  })
  if (read.value?.phase === 'reading' && !fault.value) follow()
  const managers = read.value?.report?.managers ?? []
  if (managers.length === 1) form.value.managerId = managers[0]!.id
}

const fits = computed(() => read.value?.phase === 'read' && read.value.report !== null && read.value.problemCount === 0)

async function take() {
  if (!form.value.managerId) return refuse('Choose which of its managers you are.')
  if (await giving(() => session.takeStudioFile({ ...form.value, token: props.token }))) emit('done')
}
</script>

<template>
  <form class="door" @submit.prevent="take">
    <p class="soft">
      A studio file was written by another Ample Tally (Office, Files). It is read through first; nothing is taken from
      a file that was changed or cut.
    </p>
    <FileChoice label="Studio file" accept=".jsonl" @chosen="choose" />
    <p v-if="busy && !read" class="soft" role="status">The file is on its way …</p>
    <p v-if="read?.phase === 'reading'" class="soft" role="status">
      Being read: {{ read.looked }} of {{ read.of || '…' }} events.
    </p>
    <p v-if="read?.phase === 'none'" class="trouble" role="alert">The file could not be read. Hand it in again.</p>
    <template v-if="read?.phase === 'read'">
      <dl v-if="read.report" class="facts">
        <dt>Pressroom</dt>
        <dd>{{ read.report.studio }}</dd>
        <dt>Holds</dt>
        <dd>
          {{ pluralise(read.report.editions, 'edition') }}, {{ pluralise(read.report.impressions, 'impression') }},
          {{ pluralise(read.report.events, 'event') }}, {{ pluralise(read.report.pictures, 'picture') }}
        </dd>
        <dt>People</dt>
        <dd>{{ read.report.people }}, without their PINs: you give them new ones</dd>
        <template v-if="read.report.kept"
          ><dt>From, to</dt>
          <dd>{{ date(read.report.kept.from) }}, {{ date(read.report.kept.to) }}</dd></template
        >
        <dt>Hashes to</dt>
        <dd>
          <code>{{ read.report.head }}</code>
        </dd>
      </dl>
      <p v-for="remark in read.report?.remarks" :key="remark" class="soft">{{ remark }}</p>
      <div v-if="read.problemCount > 0" role="alert">
        <p class="trouble">
          This file is not taken: {{ pluralise(read.problemCount, 'problem') }}. Nothing was changed.
        </p>
        <ul class="lines">
          <li v-for="(problem, i) in read.problems" :key="i">{{ problem }}</li>
        </ul>
      </div>
      <template v-if="fits">
        <VSelect
          v-model="form.managerId"
          label="You are"
          placeholder="which of its managers"
          :items="read.report!.managers.map(({ id, name }) => ({ value: id, title: name }))"
        />
        <VTextField
          v-model="form.secret"
          label="Your PIN or passphrase here"
          type="password"
          autocomplete="new-password"
          hint="at least 4 characters; a sentence is better"
          persistent-hint
          :error-messages="field === 'secret' ? fault : undefined"
        />
        <div class="buttons"><VBtn type="submit" :loading="busy">Open this pressroom</VBtn></div>
      </template>
    </template>
    <p v-if="fault && field !== 'secret'" class="trouble" role="alert">{{ fault }}</p>
  </form>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
}
.facts {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 16px;
}
.facts dt {
  color: var(--soft);
}
code {
  overflow-wrap: anywhere;
  font-size: 0.8rem;
}
</style>
