<script setup lang="ts">
import { rack as rackStream } from '#core/stores/rack/stream'
import { v7 } from 'uuid'
import type { RackDescription, RackKind } from '#core/stores/rack/description'
import type { RackSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** A rack in a sentence: a new one, or one whose description is put right. */
const props = defineProps<{ rack?: RackSummary }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, footFault, giving } = useGiving()
const blank = (): RackDescription => ({ name: '', kind: 'rack', slots: 25, perSlot: 1, place: '' })
const standing = (): RackDescription => {
  if (!props.rack) return blank()
  const { name, kind, slots, perSlot, place } = props.rack
  return { name, kind, slots, perSlot, place }
}
const form = ref(standing())
const draft = useDraft(props.rack ? `rack ${props.rack.id}` : 'new rack', form, standing)
const kindWords: Record<RackKind, string> = { rack: 'a rack', line: 'a line', shelf: 'a shelf' }
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
  <ActForm :button="rack ? 'Keep it so' : 'Add the rack'" :busy="busy" :fault="footFault" @give="keep">
    <div class="customs">
      <p>
        <EditableActValue
          v-model="form.name"
          act="describe-rack"
          name="name"
          label="Name of the rack"
          :words="form.name || 'its name'"
        />
        is
        <EditableActValue
          v-model="form.kind"
          act="describe-rack"
          name="kind"
          label="Kind"
          :choices="kindWords"
          :words="kindWords[form.kind]"
        />
        with
        <EditableActValue
          v-model="form.slots"
          act="describe-rack"
          name="slots"
          label="Slots"
          :unit="plural[form.kind]"
          :words="pluralise(form.slots, slotWord[form.kind], plural[form.kind])"
        />, each for
        <EditableActValue
          v-model="form.perSlot"
          act="describe-rack"
          name="perSlot"
          label="Sheets to a slot"
          :words="pluralise(form.perSlot, 'sheet')"
        />, standing
        <EditableActValue
          v-model="form.place"
          act="describe-rack"
          name="place"
          label="Where it is"
          :words="form.place || 'somewhere in the room'"
        />.
      </p>
    </div>
  </ActForm>
</template>
