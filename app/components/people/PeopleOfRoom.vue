<script setup lang="ts">
import type { PersonReply } from '#shared/replies/replies'

/** Everyone of the room; the manager adds and changes them, staff set a forgotten PIN anew. */
const session = useSession()
const adding = useGiving()
const changing = useGiving()
const blank = () => ({ name: '', role: 'member' as PersonReply['role'], secret: '' })
const form = ref(blank())
const edited = ref<PersonReply | null>(null)
/** Whose secret is set anew, and what it becomes. */
const anew = ref<{ id: string; name: string; secret: string } | null>(null)
const roles = ['manager', 'instructor', 'member', 'student']
onMounted(() => void session.loadPeople().catch(() => undefined))

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
  id !== session.person?.id && (session.isManager || (session.isStaff && (role === 'member' || role === 'student')))

async function setAnew() {
  const { id, secret } = anew.value!
  if (await changing.giving(() => api(`/api/people/${id}/secret`, 'PUT', { secret }))) anew.value = null
}
</script>

<template>
  <div>
    <table v-columns class="ruled">
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
          <td class="number acts">
            <VBtn
              v-if="session.isManager"
              class="quiet"
              :aria-label="`Change ${person.name}`"
              @click="edited = { ...person }"
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
      <TroubleLine :words="changing.fault.value" />
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
      <TroubleLine :words="changing.fault.value" />
    </form>
    <form v-if="session.isManager && !edited && !anew" class="fields person" @submit.prevent="add">
      <VTextField v-model="form.name" label="Someone new" placeholder="name" /><VSelect
        v-model="form.role"
        label="Role"
        :items="roles"
      />
      <VTextField v-model="form.secret" label="PIN or passphrase" type="password" autocomplete="new-password" />
      <div class="buttons"><VBtn type="submit" :loading="adding.busy.value">Add</VBtn></div>
      <TroubleLine :words="adding.fault.value" />
    </form>
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
.acts > * + * {
  margin-left: 8px;
}
</style>
