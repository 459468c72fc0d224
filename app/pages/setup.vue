<script setup lang="ts">
definePageMeta({ layout: 'bare' })
useHead({ title: 'Set up the pressroom · Ample Tally' })
const session = useSession()
const token = ref(String(useRoute().query.token ?? ''))
const from = ref<'new' | 'file'>('new')

async function enter() {
  await session.loadPeople().catch(() => undefined)
  await navigateTo('/')
}
</script>

<template>
  <div class="door">
    <h1>A new pressroom</h1>
    <VTextField
      v-model="token"
      label="Token"
      hint="ten letters and figures, printed where the server was started"
      persistent-hint
      autocomplete="off"
    />
    <div class="one-of" role="group" aria-label="How it begins">
      <button type="button" :aria-pressed="from === 'new'" @click="from = 'new'">Begin empty</button
      ><button type="button" :aria-pressed="from === 'file'" @click="from = 'file'">Begin with a studio file</button>
    </div>
    <NewRoom v-if="from === 'new'" :token="token" @done="enter" />
    <RoomFromFile v-else :token="token" @done="enter" />
  </div>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
}
</style>
