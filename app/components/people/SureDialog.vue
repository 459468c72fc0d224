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
    <form class="dialog-sheet" @submit.prevent="give">
      <h2>Your PIN once more</h2>
      <p class="soft">This stands in the record under the name of {{ session.person?.name }}.</p>
      <VTextField
        v-model="secret"
        label="PIN or passphrase"
        type="password"
        autocomplete="current-password"
        autofocus
      />
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
      <div class="buttons">
        <VBtn type="submit" :loading="busy">Go on</VBtn><VBtn class="quiet" @click="sure.leave()">Leave it</VBtn>
      </div>
    </form>
  </VDialog>
</template>
