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

const choose = ([file]: File[]) =>
  sending.giving(async () => {
    form.value.picture = await sendPicture(file!)
  })

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
      <FileChoice label="Picture or rubbing" accept="image/*" @chosen="choose" />
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
