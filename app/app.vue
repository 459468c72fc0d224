<script setup lang="ts">
const session = useSession()
const outbox = useOutbox()
const live = useLive()
const ready = ref(false)
const reload = () => window.location.reload()
const trouble = ref('')
const units = useUnits()
const idle = useIdle()
const sure = useSure()
const hasAsked = useOnce(() => sure.asking)

/** The other unit is one key away, wherever one is. */
function onKey(event: KeyboardEvent) {
  if (!event.altKey || event.ctrlKey || event.metaKey || event.code !== 'KeyU') return
  event.preventDefault()
  units.toggle()
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))

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
  else if (
    session.session &&
    (!session.person || session.session.mustChange) &&
    path !== '/sign-in' &&
    path !== '/setup'
  )
    await navigateTo(`/sign-in?to=${encodeURIComponent(path)}`)
}
</script>

<template>
  <VApp>
    <p v-if="live.outdated" class="outdated" role="alert">
      The server is newer than this page. <button type="button" @click="reload">Load the page again</button> What waits
      to be stored is kept.
    </p>
    <p v-if="idle.left.value !== null" class="outdated" role="alert">
      Nobody has touched this station for a while: {{ session.person?.name }} is signed out in {{ idle.left.value }} s.
      <button type="button" @click="idle.touch">Stay</button> What waits to be stored is kept.
    </p>
    <PutBack v-if="ready && session.person" />
    <NuxtLayout v-if="ready">
      <NuxtPage />
    </NuxtLayout>

    <p v-else-if="trouble" class="start-trouble" role="alert">{{ trouble }} <a href="/">Try again</a></p>
    <p v-else class="start-trouble" role="status">Opening the pressroom …</p>
    <LazySureDialog v-if="hasAsked" />
  </VApp>
</template>
