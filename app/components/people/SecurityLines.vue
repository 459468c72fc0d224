<script setup lang="ts">
import { stamp } from '~/format/days'
import type { SecurityReply } from '#shared/replies/replies'

/** Who came, who was turned away, what changed about people; the newest first, and older ones when asked for. */
const session = useSession()
const { busy, fault, giving } = useGiving()
const lines = ref<SecurityReply['lines']>([])
const more = ref(false)

const load = (before?: number) =>
  giving(async () => {
    const found = await api<SecurityReply>(`/api/security-log${before === undefined ? '' : `?before=${before}`}`)
    lines.value = before === undefined ? found.lines : [...lines.value, ...found.lines]
    more.value = found.lines.length === 50
  })
onMounted(() => void load())
</script>

<template>
  <div>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>When</th>
          <th>What</th>
          <th>Who</th>
          <th>From</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td>{{ stamp(line.at) }}</td>
          <td>{{ line.kind }}{{ line.detail ? `: ${line.detail}` : '' }}</td>
          <td>
            {{ line.person ? session.nameOf(line.person) : '' }}{{ line.by ? `, by ${session.nameOf(line.by)}` : '' }}
          </td>
          <td>{{ line.address }}</td>
        </tr>
      </tbody>
    </table>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn class="quiet" :loading="busy" @click="load()">Look again</VBtn
      ><VBtn v-if="more" class="quiet" :loading="busy" @click="load(lines.at(-1)!.id)">Older ones</VBtn>
    </div>
  </div>
</template>

<style scoped>
table {
  max-width: 900px;
}
</style>
