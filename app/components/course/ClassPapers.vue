<script setup lang="ts">
import type { CourseAssignment } from '#core/course/state'
import type { InClass } from '#core/run/in-class'
import type { CourseSummary } from '#shared/replies/replies'
import { cardPicture } from '~/composables/recall'
import { classListPdf, contactSheetPdf, type Shown } from '~/drawings/contact-sheet-pdf'
import { leafSizes, type LeafSize } from '~/drawings/leaf'
import { listed } from '~/drawings/words'
import { date } from '~/format/days'

/** The class list, and all prints that are handed in on one sheet, as PDF. */
const props = defineProps<{ course: CourseSummary; assignment: CourseAssignment; benches: readonly InClass[] }>()
const session = useSession()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const size = ref<LeafSize>(units.unit === 'in' ? 'Letter' : 'A4')
const names = (bench: InClass) => listed(bench.personIds.map((id) => session.nameOf(id)))
const isSomething = computed(() => props.benches.some(({ handedIn }) => (handedIn?.pictures.length ?? 0) > 0))
const subtitle = computed(() => [props.course.name, props.course.term].filter(Boolean).join(', '))

async function shown(): Promise<Shown[]> {
  const found: Shown[] = []
  for (const bench of props.benches)
    for (const { shows, pictureId } of bench.handedIn?.pictures ?? [])
      found.push({ picture: await cardPicture(pictureId), lines: [names(bench), `${bench.title}: ${shows}`] })
  return found
}
const sheet = () =>
  giving(async () => {
    const { title } = props.assignment
    const file = await contactSheetPdf(title, subtitle.value, await shown(), size.value)
    download(file, 'application/pdf', fileName(title, 'contact-sheet.pdf'))
  })
const list = () =>
  giving(async () => {
    const { title } = props.assignment
    const heads = ['Student', 'Edition', 'Good', 'Rejected', 'Handed in', 'Looked at']
    const rows = props.benches.map((bench) => [
      names(bench),
      bench.title,
      `${bench.layer?.good ?? bench.good} of ${bench.goal}`,
      `${bench.rejects} of ${bench.made}`,
      bench.handedIn ? date(bench.handedIn.at) : '',
      bench.comments > 0 ? 'yes' : '',
    ])
    download(
      await classListPdf(title, subtitle.value, heads, rows, size.value),
      'application/pdf',
      fileName(title, 'class-list.pdf'),
    )
  })
</script>

<template>
  <div class="buttons">
    <VSelect v-model="size" class="size" label="Page" :items="Object.keys(leafSizes)" />
    <VBtn class="quiet" :loading="busy" @click="list">Class list</VBtn>
    <VBtn class="quiet" :loading="busy" :disabled="!isSomething" @click="sheet">All prints on one sheet</VBtn>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.size {
  flex: 0 0 110px;
}
</style>
