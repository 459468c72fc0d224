<script setup lang="ts">
definePageMeta({ layout: 'bare' })
useHead({ title: 'Sign in · Ample Tally' })
const session = useSession()
const outbox = useOutbox()
const route = useRoute()
const { busy, fault, giving, refuse } = useGiving()
const personId = ref('')
const secret = ref('')
const own = ref(false)
onMounted(async () => {
  await session.loadPeople().catch((error: unknown) => {
    fault.value = wordsOf(error)
  })
})

async function signIn() {
  if (!personId.value) return refuse('Choose your name first.')
  if (!(await giving(() => session.signIn(personId.value, secret.value, own.value)))) return
  secret.value = ''
  void outbox.send()
  if (!session.session?.mustChange) await goOn()
}

watch(
  () => session.session?.mustChange,
  (must, before) => {
    if (before && !must) void goOn()
  },
)

async function goOn() {
  const to = String(route.query.to ?? '/')
  // Only ways within the pressroom.
  await navigateTo(to.startsWith('/') && !to.startsWith('//') ? to : '/')
}
</script>

<template>
  <div v-if="session.person && session.session?.mustChange" class="door">
    <h1>A PIN of your own</h1>
    <p class="soft">
      Someone else chose the one you signed in with. Choose one that only you know; what you do here stands under the
      name of {{ session.person.name }}.
    </p>
    <OwnSecret />
  </div>
  <ActForm v-else class="door" button="Sign in" :busy="busy" :fault="fault" @give="signIn">
    <h1>{{ session.session?.studio.name || 'Ample Tally' }}</h1>
    <p v-if="session.session?.demo" class="soft">This is the demo. Everyone’s PIN is 2580, and nothing here is real.</p>
    <p v-if="session.person" class="soft">{{ session.person.name }} is signed in.</p>
    <p v-else-if="route.query.idle" class="soft">Nobody touched this station for a while, so it was signed out.</p>
    <VSelect
      v-model="personId"
      label="Name"
      placeholder="who are you?"
      :items="session.people.filter((p) => p.active).map((p) => ({ value: p.id, title: p.name }))"
    />
    <VTextField v-model="secret" label="PIN or passphrase" type="password" autocomplete="current-password" />
    <VCheckbox v-model="own" label="This device is mine alone: do not sign me out when nobody touches it" />
    <p v-if="outbox.unsent > 0 && session.person" class="soft">
      {{ outbox.unsent }} {{ outbox.unsent === 1 ? 'tap waits' : 'taps wait' }} to be stored. They stay yours, whoever
      signs in here next.
    </p>
    <template #beside
      ><VBtn v-if="session.person" class="quiet" to="/">Stay {{ session.person.name }}</VBtn>
      <VBtn
        v-if="session.person && !session.session?.demo"
        class="quiet"
        @click="giving(() => session.signOut(false, outbox.unsent > 0))"
        >Sign out</VBtn
      ></template
    >
  </ActForm>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
}
</style>
