<script setup lang="ts">
import { today } from '~/format/days'
import type { PictureReply } from '#shared/replies/replies'

/** A state of a block as it is cut now, with a picture or a rubbing of it. */
const props = defineProps<{ blockId: string }>()
const emit = defineEmits<{ done: [] }>()
const edition = useEdition()
const { busy, footFault, giving } = useGiving()
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
      <ActField
        v-model="form.name"
        act="record-block-state"
        name="name"
        class="wide"
        label="What was cut"
        placeholder="first state, sky cleared"
      />
      <ActField v-model="form.cutOn" act="record-block-state" name="cutOn" label="On" />
      <ActField v-model="form.note" act="record-block-state" name="note" class="wide" label="Note" />
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
    <TroubleLine :words="footFault" />
    <div class="buttons">
      <VBtn type="submit" :loading="busy" :disabled="sending.busy.value">Keep this state</VBtn
      ><VBtn class="quiet" @click="emit('done')">Leave it</VBtn>
    </div>
  </OpenForm>
</template>
