<script setup lang="ts">
import type { SignInReply } from '#shared/replies/replies'
import { ago } from '~/drawings/words'

/** Where people are signed in, or vouch for taps still on their way, and the way to end each. */
const session = useSession()
const { busy, fault, giving } = useGiving()
const signIns = ref<SignInReply[]>([])
const load = () =>
  giving(async () => {
    signIns.value = (await api<{ signIns: SignInReply[] }>('/api/sign-ins')).signIns
  })
onMounted(load)
const end = async (id: string) => {
  if (await giving(() => api(`/api/sign-ins/${id}`, 'DELETE', {}))) await load()
}

/** What a browser says it runs on, as far as it matters here. */
const words = (agent: string) => (/Mobi|Tablet|Pad/.test(agent) ? 'a phone or tablet' : 'a computer')
</script>

<template>
  <div>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>Who</th>
          <th>With</th>
          <th>From</th>
          <th>Last touched</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in signIns" :key="one.id">
          <td>{{ session.nameOf(one.personId) }}</td>
          <td>{{ words(one.agent) }}{{ one.own ? ', their own' : '' }}</td>
          <td>{{ one.isHere ? 'here' : one.address }}</td>
          <td>
            {{ ago(one.seenAt)
            }}<span v-if="!one.isOpen" class="soft"> · signed out; taps still on their way count as theirs</span>
          </td>
          <td class="number">
            <VBtn
              v-if="!one.isHere"
              class="quiet"
              :loading="busy"
              :aria-label="`End it: the sign-in of ${session.nameOf(one.personId)}`"
              @click="end(one.id)"
              >End it</VBtn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
table {
  max-width: 860px;
}

td:first-child {
  white-space: nowrap;
}
</style>
