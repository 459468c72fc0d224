<script setup lang="ts">
import type { Pull } from '#core/edition/pull'
import { slipMoves } from '#core/edition/slip'
import { pluralise } from '#core/units/pluralise'

/** From one pull on everything was counted so many sheets off: shown before it is put right, in one act. */
const props = defineProps<{ pull: Pull }>()
const edition = useEdition()
const session = useSession()
const { busy, fault, giving } = useGiving()
const open = ref(false)
const blank = () => ({ by: 1, reason: '' })
const form = ref(blank())
watch(
  () => props.pull.pullId,
  () => {
    open.value = false
    form.value = blank()
  },
)
const found = computed(() => slipMoves(edition.state!, props.pull.pullId, form.value.by))
const moves = computed(() => ('refusal' in found.value ? [] : found.value))
const cannot = computed(() => ('refusal' in found.value ? found.value.refusal.message : ''))
const shown = 5
const told = computed(() => {
  const words = moves.value
    .slice(0, shown)
    .map(({ ordinal, from, to }) => `pull ${ordinal} from sheet ${from} to ${to}`)
  const more = moves.value.length - words.length
  return `${words.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`
})

async function mend() {
  const { by, reason } = form.value
  if (await giving(() => edition.give('mend-slip', { pullId: props.pull.pullId, by, reason }))) {
    open.value = false
    form.value = blank()
  }
}
</script>

<template>
  <p v-if="!open">
    <button type="button" class="link" @click="open = true">From this pull on they lie on other sheets</button>
  </p>
  <form v-else @submit.prevent="mend">
    <div class="customs">
      <p>
        From pull {{ pull.ordinal }} on, what {{ session.nameOf(pull.by) }} pulled here lies
        <EditableValue
          v-model="form.by"
          label="Sheets further in the stack"
          :min="-20"
          :max="20"
          unit="sheets further"
          :words="`${pluralise(Math.abs(form.by), 'sheet')} ${form.by < 0 ? 'earlier' : 'further'}`"
        />
        in the stack, since
        <EditableValue
          v-model="form.reason"
          label="How the slip came"
          kind="text"
          :longest="300"
          :words="form.reason || 'say how it came'"
        />.
      </p>
      <p v-if="cannot" class="trouble" role="alert">{{ cannot }}</p>
      <p v-else class="soft">That moves {{ told }} Verdicts and faults go along.</p>
      <TroubleLine :words="fault" />
    </div>
    <div class="buttons">
      <VBtn type="submit" class="quiet" :loading="busy" :disabled="cannot !== ''">Put them right</VBtn
      ><VBtn class="quiet" @click="open = false">Leave it</VBtn>
    </div>
  </form>
</template>

<style scoped>
form {
  margin-top: 10px;
}
</style>
