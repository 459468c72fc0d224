<script setup lang="ts">
import type { CheckReply } from '#shared/replies/replies'

/** The look through the whole ledger: begun here, done by the server in the background. */
const { busy, fault, giving } = useGiving()
const check = ref<CheckReply | null>(null)
let soon: ReturnType<typeof setTimeout> | undefined

async function follow(method: 'GET' | 'POST') {
  await giving(async () => {
    check.value = await api<CheckReply>('/api/ledger-check', method, method === 'POST' ? {} : undefined)
  })
  if (check.value?.isRunning) soon = setTimeout(() => void follow('GET'), 400)
}
onMounted(() => void follow('GET'))
onUnmounted(() => clearTimeout(soon))

const said = computed(() => {
  const now = check.value
  if (!now?.startedAt) return ''
  if (now.isRunning) return `${now.looked} of ${now.of} events looked at …`
  if (now.finishedAt === null) return 'It was not finished. Begin again.'
  return now.breaks.length === 0 ? `${now.looked} events, and every one follows from the one before.` : ''
})
</script>

<template>
  <div>
    <div class="buttons">
      <VBtn class="quiet" :loading="busy || check?.isRunning" @click="follow('POST')">Check the ledger</VBtn
      ><span role="status">{{ said }}</span>
    </div>
    <p v-if="check" class="soft hash">
      It reaches event {{ check.reach.position }} and hashes to <code>{{ check.reach.head }}</code>: what a studio file
      written now says on its first line.
    </p>
    <template v-if="check && check.breaks.length > 0">
      <p class="trouble" role="alert">
        It does not hold together in {{ check.breaks.length }} {{ check.breaks.length === 1 ? 'place' : 'places' }}.
        Bring the newest backup back, and look at who had access to the file.
      </p>
      <ul class="lines">
        <li v-for="one in check.breaks.slice(0, 20)" :key="one.position">Event {{ one.position }}: {{ one.what }}</li>
      </ul>
    </template>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.hash code {
  overflow-wrap: anywhere;
}
</style>
