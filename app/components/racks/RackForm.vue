<script setup lang="ts">
import { rack as rackStream } from '#core/stores/rack/stream'
import { v7 } from 'uuid'
import { mostInSlot, mostSlots, type RackDescription, type RackKind, rackKinds } from '#core/stores/rack/state'
import type { RackSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** A rack in a sentence: a new one, or one whose description is put right. */
const props = defineProps<{ rack?: RackSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const blank = (): RackDescription => ({ name: '', kind: 'rack', slots: 25, perSlot: 1, place: '' })
const standing = (): RackDescription => {
  if (!props.rack) return blank()
  const { name, kind, slots, perSlot, place } = props.rack
  return { name, kind, slots, perSlot, place }
}
const form = ref(standing())
const draft = useDraft(props.rack ? `rack ${props.rack.id}` : 'new rack', form, standing)
const kindWords: Record<RackKind, string> = { rack: 'a rack', line: 'a line', shelf: 'a shelf' }
const kinds = rackKinds.map((value) => ({ value, title: kindWords[value] }))
const slotWord: Record<RackKind, string> = { rack: 'shelf', line: 'peg', shelf: 'place' }
const plural: Record<RackKind, string> = { rack: 'shelves', line: 'pegs', shelf: 'places' }

async function keep() {
  const { rack } = props
  const done = await giving(() =>
    rack
      ? session.give('describe-rack', rackStream.of(rack.id), { ...form.value }, rack.seq)
      : session.give('add-rack', rackStream.of(v7()), { ...form.value }),
  )
  if (!done) return
  draft.done()
  if (!rack) form.value = blank()
  emit('done')
}
</script>

<template>
  <form @submit.prevent="keep">
    <div class="customs">
      <p>
        <SaidValue
          v-model="form.name"
          label="Name of the rack"
          kind="text"
          :longest="60"
          :words="form.name || 'its name'"
          :fault="field === 'name' ? fault : undefined"
        />
        is
        <SaidValue v-model="form.kind" label="Kind" kind="choice" :options="kinds" :words="kindWords[form.kind]" />
        with
        <SaidValue
          v-model="form.slots"
          label="Slots"
          :min="1"
          :max="mostSlots"
          :unit="plural[form.kind]"
          :words="pluralise(form.slots, slotWord[form.kind], plural[form.kind])"
          :fault="field === 'slots' ? fault : undefined"
        />, each for
        <SaidValue
          v-model="form.perSlot"
          label="Sheets to a slot"
          :min="1"
          :max="mostInSlot"
          unit="sheets"
          :words="pluralise(form.perSlot, 'sheet')"
        />, standing
        <SaidValue
          v-model="form.place"
          label="Where it is"
          kind="text"
          :longest="120"
          :words="form.place || 'somewhere in the room'"
        />.
      </p>
    </div>
    <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">{{ rack ? 'Keep it so' : 'Add the rack' }}</VBtn>
    </div>
  </form>
</template>
