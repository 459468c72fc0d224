<script setup lang="ts">
import { today } from '~/format/days'
import type { PictureReply } from '#shared/replies/replies'

/** A state of a block as it is cut now, with a picture or a rubbing of it. */
const props = defineProps<{ blockId: string }>()
const emit = defineEmits<{ done: [] }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const sending = useGiving()
const blank = () => ({
  name: '',
  cutOn: today(),
  note: '',
  picture: null as PictureReply | null,
})
const form = ref(blank())
const draft = useDraft(`state ${props.blockId}`, form)
const mirrored = ref(true)

async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  await sending.giving(async () => {
    form.value.picture = await sendPicture(file)
  })
  input.value = ''
}

async function record() {
  const { name, cutOn, note, picture } = form.value
  if (
    await giving(() =>
      edition.give('record-block-state', { blockId: props.blockId, name, cutOn, note, pictureId: picture?.id ?? null }),
    )
  ) {
    form.value = blank()
    draft.done()
    emit('done')
  }
}
</script>

<template>
  <OpenForm @submit.prevent="record">
    <div class="fields">
      <VTextField
        v-model="form.name"
        class="wide"
        label="What was cut"
        placeholder="first state, sky cleared"
        maxlength="120"
      />
      <VTextField v-model="form.cutOn" label="On" type="date" />
      <VTextField v-model="form.note" class="wide" label="Note" maxlength="1000" />
      <label class="file"><span>Picture or rubbing</span><input type="file" accept="image/*" @change="choose" /></label>
    </div>
    <p v-if="sending.busy.value" class="soft" role="status">The picture is handed in …</p>
    <TroubleLine :words="sending.fault.value" />
    <BlockPicture
      v-if="form.picture"
      v-model:mirrored="mirrored"
      :picture-id="form.picture.id"
      :what="form.name || 'the block'"
    />
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" :loading="busy" :disabled="sending.busy.value">Keep this state</VBtn
      ><VBtn class="quiet" @click="emit('done')">Leave it</VBtn>
    </div>
  </OpenForm>
</template>

<style scoped>
.file span {
  display: block;
  font-size: 0.76rem;
  color: var(--soft);
  margin-bottom: 8px;
}
.file input {
  font-size: 0.86rem;
  max-width: 100%;
}
</style>
