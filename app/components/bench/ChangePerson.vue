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

/** Taps that wait keep the name of whoever gave them. */
const before = computed(() =>
  outbox.unsent === 0
    ? ''
    : `${outbox.unsent} ${outbox.unsent === 1 ? 'tap' : 'taps'} of ${session.person?.name ?? 'before'} still wait to be stored. They stay in that name and are sent all the same.`,
)

async function change() {
  if (!(await giving(() => session.signIn(personId.value, secret.value)))) return
  open.value = false
  // The next key is the press's, not the field's that is just fading.
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
}
</script>

<template>
  <VDialog v-model="open" aria-label="Change of person">
    <ActForm class="dialog-sheet" button="Change over" :busy="busy" :disabled="!personId" :fault="fault" @give="change">
      <h2>Who is at the press?</h2>
      <VSelect
        v-model="personId"
        label="Name"
        :items="session.people.filter((p) => p.active).map((p) => ({ value: p.id, title: p.name }))"
      />
      <VTextField v-model="secret" label="PIN or passphrase" type="password" autocomplete="off" />
      <p v-if="before" class="soft">{{ before }}</p>
      <template #beside><VBtn class="quiet" @click="open = false">Leave it</VBtn></template>
    </ActForm>
  </VDialog>
</template>
