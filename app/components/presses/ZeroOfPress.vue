<script setup lang="ts">
import { press as pressStream } from '#core/stores/press/stream'
import type { PressSummary } from '#shared/replies/replies'
import { zeroHeight } from '#core/stores/press/state'
import { ago } from '~/drawings/words'

/** Where both screws touch, and what lay on the bed then; found anew in a sentence. */
const props = defineProps<{ press: PressSummary }>()
const session = useSession()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const mayFind = computed(() => session.isStaff || session.person?.role === 'member')
const standing = () => ({
  name: props.press.zero?.on.map(({ name }) => name).join(', ') || 'newsprint',
  thickness: props.press.zero ? zeroHeight(props.press.zero) : 0,
  left: props.press.zero?.left ?? 0,
  right: props.press.zero?.right ?? 0,
  note: props.press.zero?.note ?? '',
})
const form = useFollowing(standing, () => props.press.id)
const isChanged = computed(() => props.press.zero === null || !sameContent(form.value, standing()))

async function keep() {
  const { name, thickness, left, right, note } = form.value
  const found = { on: [{ name, thickness }], left, right, note }
  await giving(() => session.give('find-zero', pressStream.of(props.press.id), found))
}
</script>

<template>
  <form class="customs" @submit.prevent="keep">
    <p>
      Both screws were brought down until the roller just held
      <EditableValue
        v-model="form.name"
        label="On the bed"
        kind="text"
        :longest="60"
        :words="form.name"
        :disabled="!mayFind"
      />,
      <EditableValue
        v-model="form.thickness"
        label="Its thickness"
        kind="thickness"
        :max="200"
        :words="form.thickness > 0 ? units.thickness(form.thickness) : 'not measured'"
        :disabled="!mayFind"
      />
      thick; the left screw then shows mark
      <EditableValue
        v-model="form.left"
        label="Left mark"
        kind="decimal"
        :max="400"
        :words="String(form.left)"
        :disabled="!mayFind"
      />, the right one
      <EditableValue
        v-model="form.right"
        label="Right mark"
        kind="decimal"
        :max="400"
        :words="String(form.right)"
        :disabled="!mayFind"
      />. Noted:
      <EditableValue
        v-model="form.note"
        label="Note on the zero"
        kind="text"
        :longest="500"
        :words="form.note || 'nothing'"
        :disabled="!mayFind"
      />.
    </p>
    <p v-if="press.zero">Found by {{ session.nameOf(press.zero.by) }} {{ ago(press.zero.at) }}.</p>
    <p v-else>
      No zero is recorded yet: find contact evenly at both ends, and never bring the roller down onto the bare bed.
    </p>
    <TroubleLine :words="fault" />
    <div v-if="mayFind" class="buttons">
      <VBtn type="submit" class="quiet" :disabled="!isChanged" :loading="busy">Keep the zero</VBtn>
    </div>
  </form>
</template>
