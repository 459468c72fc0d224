<script setup lang="ts">
/** The PIN once more: what follows is said to others, or cannot be undone in silence. */
const sure = useSure()
const session = useSession()
const { busy, fault, giving } = useGiving()
const secret = ref('')
watch(
  () => sure.asking,
  () => {
    secret.value = fault.value = ''
  },
)
const give = () => giving(() => sure.give(secret.value))
</script>

<template>
  <VDialog
    :model-value="sure.asking"
    aria-label="Your PIN once more"
    @update:model-value="(open: boolean) => !open && sure.leave()"
  >
    <ActForm class="dialog-sheet" button="Go on" :busy="busy" :fault="fault" @give="give">
      <h2>Your PIN once more</h2>
      <p class="soft">This stands in the record under the name of {{ session.person?.name }}.</p>
      <VTextField
        v-model="secret"
        label="PIN or passphrase"
        type="password"
        autocomplete="current-password"
        autofocus
      />
      <template #beside><VBtn class="quiet" @click="sure.leave()">Leave it</VBtn></template>
    </ActForm>
  </VDialog>
</template>
