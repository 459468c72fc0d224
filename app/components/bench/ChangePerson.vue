<script setup lang="ts">
/** A quick change of hands at the bench: a name, a PIN, and on. */
const open = defineModel<boolean>({ required: true })
const session = useSession()
const outbox = useOutbox()
const { busy, fault, giving } = useGiving()
const personId = ref('')
const secret = ref('')

watch(open, (now) => {
  if (now) void session.loadPeople().catch(() => undefined)
  secret.value = fault.value = ''
})

async function change() {
  if (outbox.unsent > 0)
    return void (fault.value = `${outbox.unsent} taps of ${session.person?.name} still wait to be stored. Change over when they are.`)
  if (await giving(() => session.signIn(personId.value, secret.value))) open.value = false
}
</script>

<template>
  <VDialog v-model="open" aria-label="Change of person">
    <form class="sheet" @submit.prevent="change">
      <h2>Who is at the press?</h2>
      <VSelect
        v-model="personId"
        label="Name"
        :items="session.people.filter((p) => p.active).map((p) => ({ value: p.id, title: p.name }))"
      />
      <VTextField v-model="secret" label="PIN or passphrase" type="password" autocomplete="off" />
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
      <div class="buttons">
        <VBtn type="submit" :loading="busy" :disabled="!personId">Change over</VBtn
        ><VBtn class="quiet" @click="open = false">Leave it</VBtn>
      </div>
    </form>
  </VDialog>
</template>

<style scoped>
.sheet {
  background: var(--sheet);
  color: var(--ink);
  padding: 26px 28px;
  display: grid;
  gap: 16px;
  border: 1px solid var(--rule);
}
</style>
