<script setup lang="ts">
import type { PastEdition } from '#core/plan/past-editions'
import type { LineCustom } from '#core/print/pencil-line'
import { studioDefaults } from '#core/stores/studio/state'
import type { PersonReply } from '#shared/replies/replies'

useHead({ title: 'Office · Ample Tally' })
const session = useSession()
const adding = useGiving()
const changing = useGiving()
const blank = () => ({ name: '', role: 'member' as PersonReply['role'], secret: '' })
const form = ref(blank())
const edited = ref<PersonReply | null>(null)
/** Whose secret is set anew, and what it becomes. */
const anew = ref<{ id: string; name: string; secret: string } | null>(null)
const roles = ['manager', 'instructor', 'member', 'student']
const outbox = useOutbox()
const setting = useGiving()
const studioSaved = ref(false)
const studio = useFollowing(() => ({
  ...studioDefaults,
  name: '',
  line: 'number-title-signature' as LineCustom,
  destroyedNumber: 'retired' as 'retired' | 'replaced',
  currency: '€',
  ...session.session?.studio,
}))
const past = ref<PastEdition[]>([])
async function loadPast() {
  past.value = (await api<{ pastEditions: PastEdition[] }>('/api/past-editions')).pastEditions
}
const price = (text: unknown) => Number(String(text ?? '').replace(',', '.')) || 0
const unitWords = [
  { value: 'mm', title: 'millimetres' },
  { value: 'in', title: 'inches' },
]
const customs = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]

async function saveStudio() {
  studioSaved.value = await setting.giving(() => session.give('studio', 'set-studio', { ...studio.value }))
  if (studioSaved.value) await session.load()
}
const isStaff = computed(() => ['manager', 'instructor'].includes(session.person?.role ?? ''))
const isManager = computed(() => session.person?.role === 'manager')
onMounted(() => {
  void session.loadPeople().catch(() => undefined)
  void loadPast().catch(() => undefined)
})

async function add() {
  if (await adding.giving(() => api('/api/people', 'POST', form.value))) {
    form.value = blank()
    await session.loadPeople()
  }
}

async function change() {
  const { id, name, role, active } = edited.value!
  if (await changing.giving(() => api(`/api/people/${id}`, 'PUT', { name, role, active }))) {
    edited.value = null
    await session.loadPeople()
    await session.load()
  }
}

const maySetAnew = ({ id, role }: PersonReply) =>
  id !== session.person?.id && (isManager.value || (isStaff.value && (role === 'member' || role === 'student')))

async function setAnew() {
  const { id, secret } = anew.value!
  if (await changing.giving(() => api(`/api/people/${id}/secret`, 'PUT', { secret }))) anew.value = null
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Office</h1>
      <p class="told">{{ session.session?.studio.name }}</p>
    </div>
    <section class="part">
      <div class="part-head">
        <h2>People</h2>
        <p>
          {{
            isManager ? 'names can be corrected; what a person did stays theirs' : 'the manager adds and changes people'
          }}
        </p>
      </div>
      <table class="ruled">
        <thead>
          <tr>
            <th>Name</th>
            <th>Role</th>
            <th>Here</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in session.people" :key="person.id">
            <td>{{ person.name }}</td>
            <td>{{ person.role }}</td>
            <td>{{ person.active ? 'yes' : 'left' }}</td>
            <td class="number">
              <VBtn v-if="isManager" class="quiet" :aria-label="`Change ${person.name}`" @click="edited = { ...person }"
                >Change</VBtn
              >
              <VBtn
                v-if="maySetAnew(person)"
                class="quiet"
                :aria-label="`New PIN for ${person.name}`"
                @click="anew = { id: person.id, name: person.name, secret: '' }"
                >New PIN</VBtn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <form v-if="edited" class="fields person" @submit.prevent="change">
        <VTextField v-model="edited.name" label="Name" /><VSelect v-model="edited.role" label="Role" :items="roles" />
        <VCheckbox v-model="edited.active" label="still here" />
        <div class="buttons">
          <VBtn type="submit" :loading="changing.busy.value">Change</VBtn
          ><VBtn class="quiet" @click="edited = null">Leave it</VBtn>
        </div>
        <p v-if="changing.fault.value" class="trouble" role="alert">{{ changing.fault.value }}</p>
      </form>
      <form v-if="anew" class="fields person" @submit.prevent="setAnew">
        <VTextField
          v-model="anew.secret"
          :label="`New PIN of ${anew.name}`"
          hint="to be changed when it is first used; it signs them out everywhere"
          persistent-hint
          type="password"
          autocomplete="new-password"
        />
        <div class="buttons">
          <VBtn type="submit" :loading="changing.busy.value">Set it</VBtn
          ><VBtn class="quiet" @click="anew = null">Leave it</VBtn>
        </div>
        <p v-if="changing.fault.value" class="trouble" role="alert">{{ changing.fault.value }}</p>
      </form>
      <form v-if="isManager && !edited && !anew" class="fields person" @submit.prevent="add">
        <VTextField v-model="form.name" label="Someone new" placeholder="name" /><VSelect
          v-model="form.role"
          label="Role"
          :items="roles"
        />
        <VTextField v-model="form.secret" label="PIN or passphrase" type="password" autocomplete="new-password" />
        <div class="buttons"><VBtn type="submit" :loading="adding.busy.value">Add</VBtn></div>
        <p v-if="adding.fault.value" class="trouble" role="alert">{{ adding.fault.value }}</p>
      </form>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Your PIN</h2>
        <p>known to you alone</p>
      </div>
      <OwnSecret />
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Signed in</h2>
        <p>{{ isStaff ? 'where people of this room are signed in' : 'where you are signed in' }}</p>
      </div>
      <SignedIn />
    </section>
    <section v-if="isStaff" class="part">
      <div class="part-head">
        <h2>Comings and goings</h2>
        <p>sign-ins, refusals and changes of people</p>
      </div>
      <SecurityLines />
    </section>
    <section v-if="isManager" class="part">
      <div class="part-head">
        <h2>The studio</h2>
        <p>what new editions start from</p>
      </div>
      <form class="fields person" @submit.prevent="saveStudio">
        <VTextField v-model="studio.name" label="Pressroom" maxlength="80" />
        <VSelect v-model="studio.line" label="The pencilled line is usually" :items="customs" />
        <VSelect
          v-model="studio.destroyedNumber"
          label="The number of a destroyed print is"
          :items="['retired', 'replaced']"
        />
        <VTextField v-model="studio.currency" label="Currency" maxlength="8" />
        <VSelect v-model="studio.unit" label="Lengths are shown in" :items="unitWords" />
        <VTextField
          :model-value="String(studio.inkGram)"
          label="Ink a gram, as a rule"
          inputmode="decimal"
          :prefix="studio.currency"
          @update:model-value="studio.inkGram = price($event)"
        />
        <VTextField
          :model-value="String(studio.pressHour)"
          label="Press hour"
          inputmode="decimal"
          :prefix="studio.currency"
          @update:model-value="studio.pressHour = price($event)"
        />
        <VTextField
          :model-value="String(studio.labourHour)"
          label="Labour hour"
          inputmode="decimal"
          :prefix="studio.currency"
          @update:model-value="studio.labourHour = price($event)"
        />
        <VTextField
          :model-value="String(Math.round(studio.confidence * 1000) / 10)"
          label="Sheets are started to be sure to"
          inputmode="decimal"
          suffix="%"
          @update:model-value="studio.confidence = price($event) / 100"
        />
        <VTextField
          :model-value="String(studio.idleMinutes)"
          label="Idle stations sign out after"
          inputmode="numeric"
          suffix="min, 0 never"
          @update:model-value="studio.idleMinutes = Math.round(price($event))"
        />
        <VTextField
          :model-value="String(studio.backupsKept)"
          label="Nightly backups kept"
          inputmode="numeric"
          suffix="0 makes none"
          @update:model-value="studio.backupsKept = Math.round(price($event))"
        />
        <div class="buttons">
          <VBtn type="submit" class="quiet" :loading="setting.busy.value">Change</VBtn
          ><span v-if="studioSaved" class="soft" role="status">Changed.</span>
        </div>
        <p v-if="setting.fault.value" class="trouble" role="alert">{{ setting.fault.value }}</p>
      </form>
    </section>
    <section v-if="isStaff" class="part">
      <div class="part-head">
        <h2>Editions from before</h2>
        <p>so that plans do not start from a guess</p>
      </div>
      <PastEditions :past="past" @done="loadPast" />
    </section>
    <section v-if="outbox.refused.length > 0" id="refused" class="part">
      <div class="part-head">
        <h2>Refused taps of this browser</h2>
        <p>kept until someone has read why</p>
      </div>
      <ul class="lines">
        <li v-for="entry in outbox.refused" :key="entry.command.commandId">
          {{ entry.command.type }}, {{ new Date(entry.command.occurredAt).toLocaleString('en-GB') }}:
          {{ entry.message }}
        </li>
      </ul>
      <div class="buttons"><VBtn class="quiet" @click="outbox.putAway()">Read; put them away</VBtn></div>
    </section>
    <section v-if="isStaff" class="part">
      <div class="part-head">
        <h2>The ledger</h2>
        <p>events are only ever added; a chain of hashes proves it</p>
      </div>
      <LedgerLook />
      <BackupsKept />
    </section>
  </div>
</template>

<style scoped>
.person {
  margin-top: 18px;
  align-items: end;
  max-width: 900px;
}
table {
  max-width: 760px;
}
</style>
