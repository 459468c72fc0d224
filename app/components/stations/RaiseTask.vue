<script setup lang="ts">
import { station as stationStream } from '#core/station/stream'
import { taskKinds } from '#core/station/state'
import type { Problem } from '#core/station/tasks'

/** Something that is to be done is said. */
const props = defineProps<{ stationId: string }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const blank = (): Problem => ({ kind: 'broken', what: '', pictureId: null })
const form = ref(blank())
const draft = useDraft(`task ${props.stationId}`, form)
const kinds = taskKinds.map((kind) => ({ value: kind, title: kind }))
async function raise() {
  if (!(await giving(() => session.give('raise-task', stationStream.of(props.stationId), form.value)))) return
  draft.done()
  form.value = blank()
}
</script>

<template>
  <ActForm button="Put it on the list" quiet :busy="busy" :fault="fault" @give="raise">
    <div class="customs">
      <p>
        Something is
        <EditableValue v-model="form.kind" label="Kind of task" kind="choice" :options="kinds" :words="form.kind" />:
        <EditableValue
          v-model="form.what"
          label="What is to be done"
          kind="text"
          :longest="300"
          :words="form.what || 'say what'"
        />.
      </p>
    </div>
    <PictureChoice v-model="form.pictureId" what="it" />
  </ActForm>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
  margin-top: 12px;
}
</style>
