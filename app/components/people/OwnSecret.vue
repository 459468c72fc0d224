<script setup lang="ts">
/** One's own PIN or passphrase, changed with the one in force. */
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const form = ref({ before: '', secret: '', again: '' })
const said = ref('')

async function change() {
  said.value = ''
  if (form.value.secret !== form.value.again) {
    fault.value = 'The new one was not typed the same twice.'
    field.value = 'again'
    return
  }
  if (!(await giving(() => session.setOwnSecret(form.value.before, form.value.secret)))) return
  form.value = { before: '', secret: '', again: '' }
  said.value = 'Changed. Everywhere else you are signed out.'
}
</script>

<template>
  <form class="secrets" @submit.prevent="change">
    <VTextField
      v-model="form.before"
      label="PIN or passphrase until now"
      type="password"
      autocomplete="current-password"
      :error-messages="field === 'before' ? fault : undefined"
    />
    <VTextField
      v-model="form.secret"
      label="The new one"
      type="password"
      autocomplete="new-password"
      hint="at least 4 characters; a sentence is better"
      persistent-hint
      :error-messages="field === 'secret' ? fault : undefined"
    />
    <VTextField
      v-model="form.again"
      label="The new one again"
      type="password"
      autocomplete="new-password"
      :error-messages="field === 'again' ? fault : undefined"
    />
    <p v-if="fault && !field" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Change it</VBtn><span class="soft" role="status">{{ said }}</span>
    </div>
  </form>
</template>

<style scoped>
.secrets {
  display: grid;
  gap: 16px;
  max-width: 420px;
}
</style>
