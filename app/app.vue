<script setup lang="ts">
const session = useSession()
const outbox = useOutbox()
const ready = ref(false)
const trouble = ref('')

onMounted(async () => {
  try {
    await session.load()
    void session.loadPeople().catch(() => undefined)
    await outbox.load()
    await sendToDoor()
    ready.value = true
  } catch (error) {
    trouble.value = wordsOf(error)
  }
})

/** Nobody gets past the door unsigned; an empty pressroom is set up first. */
async function sendToDoor() {
  const path = useRoute().path
  if (session.session?.needsSetup && path !== '/setup') await navigateTo('/setup')
  else if (session.session && !session.person && path !== '/sign-in' && path !== '/setup') await navigateTo(`/sign-in?to=${encodeURIComponent(path)}`)
}
</script>

<template>
  <VApp>
    <NuxtLayout v-if="ready">
      <NuxtPage />
    </NuxtLayout>
    <p v-else-if="trouble" class="start-trouble" role="alert">{{ trouble }} <a href="/">Try again</a></p>
    <p v-else class="start-trouble" role="status">Opening the pressroom …</p>
  </VApp>
</template>
