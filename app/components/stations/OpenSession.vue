<script setup lang="ts">
import { station as stationStream } from '#core/station/stream'
import { checklist, type Finding, type Place } from '#core/care/findings'
import type { InkFamily } from '#core/ink/family'
import type { StationSummary } from '#shared/replies/replies'

/** A place is taken over: how it was found, as far as there is time to say. */
const props = defineProps<{
  station: StationSummary
  place: Place
  /** The inks last used here: they say what to look for. */
  families: InkFamily[]
}>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const blank = () => ({ items: [] as Finding[], note: '', pictureId: null as string | null })
const form = ref(blank())
const draft = useDraft(`open ${props.station.id}`, form)
const listed = computed(() => checklist(props.place, props.families))
const isOthers = computed(() => props.station.open !== null)

async function open() {
  const { id } = props.station
  const took = await giving(async () => {
    // What the one before used, by the pulls up to this moment.
    const editionIds = isOthers.value ? await printedAt(id) : []
    const data = { ...form.value, over: isOthers.value, editionIds }
    await session.give('open-session', stationStream.of(id), data)
  })
  if (!took) return
  draft.done()
  form.value = blank()
}
</script>

<template>
  <ActForm
    :button="isOthers ? `${session.nameOf(station.open!.by)} has gone: open my session` : 'Open my session'"
    :busy="busy"
    :fault="fault"
    @give="open"
  >
    <LookedOver v-model="form.items" :listed="listed" title="As you find it" />
    <div class="customs">
      <p>
        Noted:
        <EditableValue
          v-model="form.note"
          label="Note on how it was found"
          kind="text"
          :longest="500"
          :words="form.note || 'nothing'"
        />.
      </p>
    </div>
    <PictureChoice v-model="form.pictureId" what="how it was found" />
    <template #beside><span class="soft">What is not looked at can stay open.</span></template>
  </ActForm>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
  max-width: 640px;
}
</style>
