<script setup lang="ts">
definePageMeta({ layout: 'bare' })
useHead({ title: 'Sign in · Ample Tally' })
const session = useSession()
const outbox = useOutbox()
const route = useRoute()
const { busy, fault, giving } = useGiving()
const personId = ref('')
const secret = ref('')
onMounted(() => void giving(() => session.loadPeople()))

async function signIn() {
  if (!personId.value) return void (fault.value = 'Choose your name first.')
  if (!(await giving(() => session.signIn(personId.value, secret.value)))) return
  void outbox.send()
  const to = String(route.query.to ?? '/')
  // Only ways within the pressroom.
  await navigateTo(to.startsWith('/') && !to.startsWith('//') ? to : '/')
}
</script>

<template>
  <form class="door" @submit.prevent="signIn">
    <h1>{{ session.session?.studio.name || 'Ample Tally' }}</h1>
    <p v-if="session.session?.demo" class="soft">This is the demo. Everyone’s PIN is 2580, and nothing here is real.</p>
    <p v-if="session.person" class="soft">{{ session.person.name }} is signed in.</p>
    <VSelect
      v-model="personId"
      label="Name"
      placeholder="who are you?"
      :items="session.people.filter((p) => p.active).map((p) => ({ value: p.id, title: `${p.name}, ${p.role}` }))"
    />
    <VTextField v-model="secret" label="PIN or passphrase" type="password" autocomplete="current-password" />
    <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Sign in</VBtn>
      <VBtn v-if="session.person" class="quiet" to="/">Stay {{ session.person.name }}</VBtn>
      <VBtn v-if="session.person && !session.session?.demo" class="quiet" @click="giving(() => session.signOut())"
        >Sign out</VBtn
      >
    </div>
  </form>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
}
</style>
