<script setup lang="ts">
import { course as courseStream } from '#core/course/stream'
import type { CourseAssignment } from '#core/course/state'
import type { InClass } from '#core/run/in-class'
import type { CourseSummary } from '#shared/replies/replies'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** Who gets whose print: a fair draw in which nobody gets their own. */
const props = defineProps<{ course: CourseSummary; assignment: CourseAssignment; benches: readonly InClass[] }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const each = ref(1)
const reason = ref('')
const names = (editionId: string) =>
  listed((props.benches.find((one) => one.editionId === editionId)?.personIds ?? []).map((id) => session.nameOf(id)))
const isDrawn = computed(() => props.assignment.exchange.length > 0)
const lines = computed(() =>
  props.benches.map(({ editionId }) => ({
    editionId,
    to: props.assignment.exchange.filter(({ from }) => from === editionId).map(({ to }) => names(to)),
  })),
)

async function draw() {
  const done = await giving(() =>
    session.give(
      'draw-prints',
      courseStream.of(props.course.id),
      { assignmentId: props.assignment.id, each: each.value, reason: reason.value },
      props.course.seq,
    ),
  )
  if (!done) return
  reason.value = ''
}
</script>

<template>
  <section class="part" aria-labelledby="exchange">
    <div class="part-head">
      <h2 id="exchange">Exchange of prints</h2>
      <p>by lot; everyone gives and gets as many, nobody their own</p>
    </div>
    <ul v-if="isDrawn" class="gifts">
      <li v-for="one in lines" :key="one.editionId">
        <strong>{{ names(one.editionId) }}</strong> gives to {{ listed(one.to) || 'nobody: began later' }}
      </li>
    </ul>
    <ActForm :button="isDrawn ? 'Draw again' : 'Draw'" quiet :busy="busy" :fault="fault" @give="draw">
      <p class="customs">
        <span
          >Each gives
          <EditableValue
            v-model="each"
            label="Prints each gives"
            :min="1"
            :max="Math.max(1, benches.length - 1)"
            unit="prints"
            :words="pluralise(each, 'print')"
          />.</span
        >
      </p>
      <VTextField v-if="isDrawn" v-model="reason" class="reason" label="Why it is drawn again" maxlength="500" />
    </ActForm>
  </section>
</template>

<style scoped>
.gifts {
  columns: 2 320px;
  margin-bottom: 12px;
}
.gifts li {
  padding: 3px 0;
  break-inside: avoid;
}
.reason {
  max-width: 420px;
  margin-top: 10px;
}
</style>
