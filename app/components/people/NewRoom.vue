<script setup lang="ts">
import { hereZone } from '#core/time/zone'

/** A pressroom that begins empty: its name, and its first manager. */
const props = defineProps<{ token: string }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const form = ref({
  studio: '',
  name: '',
  secret: '',
  line: 'number-title-signature',
  currency: '€',
  unit: 'mm',
})
const units = [
  { value: 'mm', title: 'millimetres' },
  { value: 'in', title: 'inches' },
]
const customs = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]
const faultOf = (name: string) => (field.value === name ? fault.value : undefined)

async function setUp() {
  if (await giving(() => session.setUp({ ...form.value, token: props.token, timeZone: hereZone() }))) emit('done')
}
</script>

<template>
  <form class="door" @submit.prevent="setUp">
    <p class="soft">Name the room and its manager. Everything else can wait until the first edition.</p>
    <VTextField v-model="form.studio" label="Pressroom" :error-messages="faultOf('studio')" />
    <VTextField
      v-model="form.name"
      label="Your name, as manager"
      autocomplete="name"
      :error-messages="faultOf('name')"
    />
    <VTextField
      v-model="form.secret"
      label="Your PIN or passphrase"
      type="password"
      autocomplete="new-password"
      hint="at least 4 characters; a sentence is better"
      persistent-hint
      :error-messages="faultOf('secret')"
    />
    <VSelect v-model="form.line" label="The pencilled line is usually" :items="customs" />
    <VTextField v-model="form.currency" label="Currency" maxlength="8" />
    <VSelect v-model="form.unit" label="Lengths are shown in" :items="units" />
    <p v-if="fault && (!field || field === 'token')" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons"><VBtn type="submit" :loading="busy">Open the pressroom</VBtn></div>
  </form>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
}
</style>
