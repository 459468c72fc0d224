<script setup lang="ts">
import { streamKind } from '#core/ground/envelope'
import { isLeftOpen } from '~/drawings/sessions'
import { moment } from '~/format/days'

/** Someone who signs in is asked about a session left open, until it is closed or said to go on. */
const session = useSession()
const supplies = useSupplies()
const route = useRoute()
/** Said to go on, for this sign-in. */
const going = ref<string[]>([])
/** Something happened at a station since the session was told: they are followed from then on, not before. */
const isLater = ref(false)
onUnmounted(
  useLive().hear({
    stored: ({ stream }) => {
      if (streamKind(stream) === 'station') isLater.value = true
    },
  }),
)
const openAt = computed(() => session.session?.openAt ?? [])
const own = computed(() =>
  (isLater.value && openAt.value.length > 0 ? supplies.stations : openAt.value).filter(
    ({ open }) => open && open.by === session.person?.id && isLeftOpen(open.at, Date.now()),
  ),
)
const asked = computed(() =>
  own.value.find(({ id, open }) => !going.value.includes(open!.id) && route.path !== `/stations/${id}`),
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
    Your session at the <strong>{{ asked.name }}</strong> is open since {{ moment(asked.open!.at) }}.
    <NuxtLink :to="`/stations/${asked.id}`">Close it now</NuxtLink>
    <button type="button" @click="going.push(asked.open!.id)">I am still there</button>
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
