<script setup lang="ts">
import { v7 } from 'uuid'
import { type BlockDescription, blockKinds, flipWords, mustFlip, transfers } from '#core/block/block'
import type { Block } from '#core/edition/state'

/** A block as it is described: a new one, or a known one changed. */
const props = defineProps<{ known?: Block; image: { width: number; height: number } | null }>()
const emit = defineEmits<{ done: [] }>()
const edition = useEdition()
const { busy, fault, field, giving } = useGiving()
type Form = Omit<BlockDescription, 'width' | 'height' | 'thickness' | 'rotation'> & {
  width: number | null
  height: number | null
  thickness: number | null
  rotation: string
}
function start(): Form {
  const { known, image } = props
  if (known)
    return { ...(JSON.parse(JSON.stringify(known.block)) as BlockDescription), rotation: String(known.block.rotation) }
  return {
    name: '',
    kind: 'hard lino',
    width: image?.width ?? null,
    height: image?.height ?? null,
    thickness: null,
    image: { left: 0, top: 0, width: image?.width ?? 0, height: image?.height ?? 0 },
    rotation: '0',
    removed: '',
    transfer: 'carbon copy',
    note: '',
  }
}
const form = useFollowing(start)
const draft = useDraft(`block ${edition.id} ${props.known?.id ?? ''}`, form, start)
/** Fields that say themselves what is wrong with them. */
const shownAt = ['name', 'block.name', 'width', 'block.width', 'block.rotation', 'image']
const wrong = (...names: string[]) => (names.includes(field.value) ? fault.value : undefined)

async function save() {
  const block = {
    ...form.value,
    width: form.value.width ?? 0,
    height: form.value.height ?? 0,
    thickness: form.value.thickness ?? 0,
    rotation: Number(form.value.rotation.replace(',', '.') || 0),
  }
  const act = () =>
    props.known
      ? edition.give('change-block', { blockId: props.known.id, block })
      : edition.give('prepare-block', { blockId: v7(), block })
  if (await giving(act)) {
    draft.done()
    emit('done')
  }
}
</script>

<template>
  <OpenForm @submit.prevent="save">
    <div class="fields">
      <VTextField
        v-model="form.name"
        label="Name"
        placeholder="key block"
        maxlength="60"
        :error-messages="wrong('name', 'block.name')"
      />
      <VSelect v-model="form.kind" label="Kind" :items="[...blockKinds]" />
      <LengthField v-model="form.width" label="Block or mount, width" :error-messages="wrong('width', 'block.width')" />
      <LengthField v-model="form.height" label="Block or mount, height" />
      <LengthField v-model="form.thickness" label="Thickness with its mount" fine />
      <VTextField
        v-model="form.rotation"
        label="Turned to square the image"
        inputmode="decimal"
        suffix="° clockwise"
        :error-messages="wrong('block.rotation')"
      />
      <LengthField v-model="form.image.width" label="Image, width" :error-messages="wrong('image')" />
      <LengthField v-model="form.image.height" label="Image, height" />
      <LengthField v-model="form.image.left" label="Image from the print’s left edge of the block" />
      <LengthField v-model="form.image.top" label="Image from the block’s top" />
      <VTextField
        v-model="form.removed"
        class="wide"
        label="Parts sawn off or pierced"
        placeholder="none; a trimmed block registers from its mount"
        maxlength="300"
      />
      <VSelect v-model="form.transfer" label="The drawing is transferred by" :items="[...transfers]" />
      <VTextField v-model="form.note" class="wide" label="Note" maxlength="500" />
    </div>
    <p class="flip">
      <strong>{{ mustFlip(form.transfer) ? 'Flip it.' : 'Do not flip it.' }}</strong> {{ flipWords(form.transfer) }}
    </p>
    <p v-if="fault && !wrong(...shownAt)" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">{{ known ? 'Change the block' : 'Keep the block' }}</VBtn><VBtn
        class="quiet"
        @click="emit('done')"
        >Leave it</VBtn
      >
    </div>
    <p class="soft">Chamfer edges so that they do not emboss.</p>
    <CareNotes :cards="['cutting']" class="care" />
  </OpenForm>
</template>

<style scoped>
.flip {
  margin-top: 16px;
  max-width: 70ch;
}
.care {
  margin-top: 10px;
}
</style>
