<script setup lang="ts">
/** Bookings for a calendar program: a file, or an address it reads by itself, with a secret that can be changed. */
const session = useSession()
const { fault, giving } = useGiving()
const making = useGiving()
const path = ref<string | null>(null)
const isKnown = ref(false)
const copied = ref(false)
const address = computed(() => (path.value ? `${location.origin}${path.value}` : ''))
onMounted(() =>
  giving(async () => {
    path.value = (await api<{ path: string | null }>('/api/calendar/address')).path
    isKnown.value = true
  }),
)
async function make() {
  copied.value = false
  await making.giving(async () => {
    path.value = (await api<{ path: string }>('/api/calendar/address', 'POST', {})).path
  })
}
const copy = () =>
  giving(async () => {
    await navigator.clipboard.writeText(address.value)
    copied.value = true
  })
</script>

<template>
  <div>
    <p>
      As a file: <a href="/api/calendar/own.ics" download>your bookings</a
      ><template v-if="session.isStaff"
        >, <a href="/api/calendar/room.ics" download>every booking of the room</a></template
      >.
    </p>
    <p v-if="isKnown && !path" class="soft">
      A calendar program can also read them by itself, from an address of your own. Whoever has the address sees your
      bookings.
    </p>
    <p v-if="path" class="address">
      <label
        >Address that a calendar program reads
        <input type="text" readonly :value="address" @focus="($event.target as HTMLInputElement).select()"
      /></label>
    </p>
    <TroubleLine :words="fault || making.fault.value" />
    <div v-if="isKnown" class="buttons">
      <VBtn v-if="path" class="quiet" @click="copy">{{ copied ? 'Copied' : 'Copy the address' }}</VBtn>
      <VBtn class="quiet" :loading="making.busy.value" @click="make">{{
        path ? 'Change the address' : 'Make an address'
      }}</VBtn>
      <span v-if="path" class="soft">changed, the old one leads nowhere</span>
    </div>
  </div>
</template>

<style scoped>
.address input {
  display: block;
  width: 100%;
  max-width: 760px;
  border: 1px solid var(--rule);
  background: var(--sheet);
  padding: 6px 10px;
  font-size: 0.86rem;
}
</style>
