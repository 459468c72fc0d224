<script setup lang="ts">
import { streamKind } from '#core/ground/envelope'
import { isLeftOpen } from '~/drawings/sessions'
import { moment } from '~/format/days'

/** Someone who signs in is asked about a session left open, until it is closed or said to go on. */
const session = useSession()
const route = useRoute()
/** Said to go on, for this sign-in. */
const going = ref<string[]>([])
const openAt = computed(() => session.session?.openAt ?? [])
const own = computed(() => openAt.value.filter(({ open }) => isLeftOpen(open.at, Date.now())))
// What the session was told is asked again, not followed: that would bring every act there is to the first page.
onUnmounted(
  useLive().hear({
    stored: ({ stream }) => {
      if (streamKind(stream) === 'station' && openAt.value.length > 0) void session.load().catch(() => undefined)
    },
  }),
)
const asked = computed(() =>
  own.value.find(({ id, open }) => !going.value.includes(open.id) && route.path !== `/stations/${id}`),
)
watch(
  () => session.person?.id,
  () => {
    going.value = []
  },
)
</script>

<template>
  <p v-if="asked" class="asked" role="status">
    Your session at the <strong>{{ asked.name }}</strong> is open since {{ moment(asked.open.at) }}.
    <NuxtLink :to="`/stations/${asked.id}`">Close it now</NuxtLink>
    <button type="button" @click="going.push(asked.open.id)">I am still there</button>
  </p>
</template>

<style scoped>
.asked {
  border-bottom: 2px solid var(--doubtful);
  padding: 8px 0;
  margin-bottom: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 32px;
}
</style>
