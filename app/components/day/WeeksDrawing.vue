<script setup lang="ts">
import type { EditionStanding } from '#core/schedule/standing'
import type { Span } from '#core/timetable/spans'
import { drawnWeeks } from '~/drawings/timetable'

/** The weeks ahead: for each edition a thread from today to its last print, its work as strokes on it, what dries dotted. */
const props = defineProps<{
  editions: EditionStanding[]
  titleOf: (editionId: string) => string
  deadlineWords: (standing: EditionStanding) => string
  now: number
  open: readonly Span[]
  zone: string
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [editionId: string] }>()
const drawn = computed(() => drawnWeeks(props.editions, props.now, props.open, props.zone))
const threadOf = ({ tasks, end }: EditionStanding) => {
  const first = Math.min(...tasks.flatMap(({ place }) => place?.from ?? []))
  return drawn.value.along({ from: first, to: end ?? Math.max(...tasks.flatMap(({ place }) => place?.to ?? [])) })
}
</script>

<template>
  <div class="weeks">
    <div class="head" aria-hidden="true">
      <span v-for="week in drawn.weeks" :key="week.at" :style="{ left: `${week.at}%` }">{{ week.words }}</span>
    </div>
    <ul>
      <li v-for="one in editions" :key="one.editionId" class="row">
        <button
          type="button"
          :aria-expanded="chosen === one.editionId"
          :class="{ chosen: chosen === one.editionId }"
          @click="emit('choose', one.editionId)"
        >
          <strong>{{ titleOf(one.editionId) }}</strong>
          <span :class="one.late > 0 || one.end === null ? 'late' : 'soft'">{{ deadlineWords(one) }}</span>
        </button>
        <div class="track" aria-hidden="true">
          <span
            v-for="(shut, i) in drawn.shut"
            :key="`s${i}`"
            class="shut"
            :style="{ left: `${shut.left}%`, width: `${shut.width}%` }"
          />
          <span class="thread" :style="{ left: `${threadOf(one).left}%`, width: `${threadOf(one).width}%` }" />
          <template v-for="task in one.tasks" :key="task.id">
            <span
              v-if="task.place"
              class="stroke"
              :class="[task.kind, { booked: task.bookingId !== null }]"
              :title="task.what"
              :style="{ left: `${drawn.along(task.place).left}%`, width: `${drawn.along(task.place).width}%` }"
            />
          </template>
          <span v-if="one.due !== null" class="due" :style="{ left: `${drawn.at(one.due)}%` }" />
        </div>
        <div v-if="chosen === one.editionId" class="more"><slot :standing="one" /></div>
      </li>
    </ul>
    <p class="key soft" aria-hidden="true">
      <span class="stroke pull" /> at a press <span class="stroke pull booked" /> booked
      <span class="stroke finish" /> at a table <span class="thread" /> dries or waits <span class="due" /> due
    </p>
  </div>
</template>

<style scoped>
.weeks {
  --names: 250px;
}
.head {
  position: relative;
  height: 20px;
  margin-left: var(--names);
  font-size: 0.78rem;
  color: var(--soft);
}
.head span {
  position: absolute;
  white-space: nowrap;
}
.row {
  display: grid;
  grid-template-columns: var(--names) minmax(0, 1fr);
  border-top: 1px solid var(--rule);
}
.row:last-child {
  border-bottom: 1px solid var(--rule);
}
.row > button {
  text-align: left;
  padding: 5px 14px 5px 0;
  line-height: 1.25;
  min-height: 40px;
}
.row > button strong {
  font-family: var(--serif);
  font-weight: 500;
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.row > button.chosen strong {
  color: var(--ink);
  font-weight: 700;
}
.row > button span {
  display: block;
  font-size: 0.8rem;
}
.more {
  grid-column: 1 / -1;
}
.late {
  color: var(--reject);
  font-weight: 600;
}
.track {
  position: relative;
  overflow: hidden;
}
.shut {
  position: absolute;
  inset: 0 auto;
  background: repeating-linear-gradient(115deg, transparent 0 6px, var(--rule) 6px 7px);
}
.thread {
  position: absolute;
  top: 50%;
  border-top: 2px dotted var(--faint);
}
.stroke {
  position: absolute;
  top: 24%;
  bottom: 24%;
  min-width: 3px;
  background: var(--soft);
}
.stroke.pull,
.stroke.lay {
  background: var(--ink);
  top: 14%;
  bottom: 14%;
}
.stroke.booked {
  background: var(--green);
}
.due {
  position: absolute;
  inset: 0 auto;
  border-left: 2px solid var(--reject);
}
.key {
  margin-top: 8px;
  font-size: 0.8rem;
}
.key .stroke,
.key .due,
.key .thread {
  position: static;
  display: inline-block;
  width: 5px;
  height: 14px;
  margin: 0 4px -2px 14px;
}
.key .thread {
  width: 22px;
  height: 0;
  margin-bottom: 4px;
}
.key .due {
  width: 0;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
  .head {
    margin-left: 0;
  }
  .track {
    height: 30px;
  }
  /* Too near the first Monday where it is narrow. */
  .head span:first-child {
    display: none;
  }
}
</style>
