<script setup lang="ts">
import { block as blockStream } from '#core/stores/block/stream'
import { date } from '~/format/days'

/** Where a block is kept once it is done with, or that it was scored, so that no more is printed from it. */
const props = defineProps<{ blockId: string; name: string }>()
const session = useSession()
const supplies = useSupplies()
const { fault, giving } = useGiving()
const book = computed(() => supplies.blocks.find(({ id }) => id === props.blockId))
/** The stores follow the ledger; what is typed meanwhile stays. */
const form = useFollowing(
  () => ({ where: book.value?.kept?.where ?? '' }),
  () => props.blockId,
)
const scored = ref('')
const mayKeep = computed(() => session.isStaff || session.person?.role === 'member')

const keep = () => giving(() => session.give('keep-block', blockStream.of(props.blockId), { ...form.value }))
async function cancel() {
  const { seq } = book.value!
  await giving(() => session.give('cancel-block', blockStream.of(props.blockId), { reason: scored.value }, seq))
}
</script>

<template>
  <div v-if="book" class="customs">
    <p v-if="book.cancelled">Cancelled {{ date(book.cancelled.at) }}: {{ book.cancelled.reason }}.</p>
    <p v-else>
      Kept
      <EditableValue
        v-model="form.where"
        :label="`Where ${name} is kept`"
        kind="text"
        :longest="120"
        :words="book.kept?.where ?? 'nobody said where'"
        :disabled="!mayKeep"
        @kept="keep"
      />; scored, so that no more is printed from it:
      <EditableValue
        v-model="scored"
        :label="`Cancel ${name}`"
        kind="text"
        :longest="300"
        :words="scored || 'no'"
        :disabled="!mayKeep"
        @kept="cancel"
      />.
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
