<script setup lang="ts">
import type { CommandRequest } from '#shared/commands/envelope'
import { missingFrom, settleLineage } from '~/outbox/answered'

/**
 * The ledger was put back to an earlier state: what this browser had stored since is offered again. Each command keeps its
 * id, so that one which another browser or another copy handed in already is counted once.
 */
const session = useSession()
const outbox = useOutbox()
const lost = ref<CommandRequest[]>([])

async function look() {
  const lineage = session.session?.lineage
  if (!lineage) return
  lost.value = await missingFrom({ ...lineage })
  if (lost.value.length === 0) await settleLineage({ ...lineage })
}
onMounted(look)

async function handIn() {
  // At the end of the outbox, in the order they were given; what is refused by now is shown like any other.
  for (const command of lost.value) await outbox.put(JSON.parse(JSON.stringify(command)) as CommandRequest)
  await letGo()
}
async function letGo() {
  lost.value = []
  await settleLineage({ ...session.session!.lineage })
}
</script>

<template>
  <p v-if="lost.length > 0" class="put-back" role="alert">
    The ledger was put back to an earlier state, and {{ lost.length }} {{ lost.length === 1 ? 'thing' : 'things' }} done
    in this browser {{ lost.length === 1 ? 'is' : 'are' }} not in it.
    <button type="button" @click="handIn">Hand them in again</button>
    <button type="button" @click="letGo">Let them go</button>
  </p>
</template>

<style scoped>
.put-back {
  background: var(--ink);
  color: var(--sheet);
  margin: 0;
  padding: 10px 36px;
}
.put-back button {
  font-weight: 600;
  text-decoration: underline;
  margin-left: 12px;
}
</style>
