<script setup lang="ts">
import { press as pressStream } from '#core/stores/press/stream'
import { pressWays } from '#core/press/kinds'
import type { PressDescription } from '#core/stores/press/state'
import type { PressSummary } from '#shared/replies/replies'

/** How a press is made, put right by staff in the sentence that says it. */
const props = defineProps<{ press: PressSummary }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
function described(): PressDescription {
  const { name, kind, divisions, pitch, travel, span, backlash } = props.press
  const { height, bed, tools, condition, users, pictureId } = props.press
  return { name, kind, divisions, pitch, travel, span, backlash, height, bed, tools, condition, users, pictureId }
}
const form = useFollowing(described, () => props.press.id)
const draft = useDraft(`press ${props.press.id}`, form, described)
const isChanged = computed(() => !sameContent(form.value, described()))

async function change() {
  const { id, seq } = props.press
  if (!(await giving(() => session.give('describe-press', pressStream.of(id), { ...form.value }, seq)))) return
  draft.done()
}
</script>

<template>
  <form @submit.prevent="change">
    <PressSentence v-model="form" :disabled="!session.isStaff" :fault="{ field, words: fault }" />
    <template v-if="session.isStaff">
      <CalibratePitch
        v-if="pressWays[form.kind].sets === 'screws'"
        :divisions="form.divisions"
        @found="form.pitch = $event"
      />
      <TroubleLine :words="fault" />
      <div class="buttons">
        <VBtn type="submit" class="quiet" :disabled="!isChanged" :loading="busy">Change the press</VBtn>
      </div>
    </template>
  </form>
</template>
