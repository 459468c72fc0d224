<script setup lang="ts">
import { station as stationStream } from '#core/station/stream'
import type { Task } from '#core/station/state'
import { ago } from '~/drawings/words'

/** What is to be done, who sees to it, and that it is done. */
defineProps<{ tasks: (Task & { stationId: string; station?: string })[] }>()
const session = useSession()
const { fault, giving } = useGiving()
const people = computed(() => [
  { value: '', title: 'nobody yet' },
  ...session.people.filter(({ active }) => active).map(({ id, name }) => ({ value: id, title: name })),
])

type TaskThere = Task & { stationId: string }
const own = ({ stationId, id }: TaskThere, ownerId: string | null) =>
  giving(() => session.give('own-task', stationStream.of(stationId), { taskId: id, ownerId }))
const solve = ({ stationId, id }: TaskThere) =>
  giving(() => session.give('solve-task', stationStream.of(stationId), { taskId: id, note: '' }))
</script>

<template>
  <div>
    <TroubleLine :words="fault" />
    <ul v-if="tasks.length > 0" class="lines">
      <li v-for="task in tasks" :key="task.id">
        <span class="kind">{{ task.kind }}</span>
        <span
          ><NuxtLink v-if="task.station" :to="`/stations/${task.stationId}`">{{ task.station }}</NuxtLink
          ><template v-if="task.station">: </template>{{ task.what }}<br /><span class="soft"
            >{{ session.nameOf(task.by) }}, {{ ago(task.at) }}</span
          ></span
        >
        <img v-if="task.pictureId" :src="`/api/pictures/${task.pictureId}`" :alt="task.what" />
        <span class="acts">
          <span v-if="session.isStaff" class="soft"
            >seen to by
            <EditableValue
              :model-value="task.ownerId ?? ''"
              :label="`Who sees to it: ${task.what}`"
              kind="choice"
              :options="people"
              :words="task.ownerId ? session.nameOf(task.ownerId) : 'nobody yet'"
              @update:model-value="own(task, $event || null)" /></span
          ><template v-else-if="task.ownerId && task.ownerId !== session.person?.id"
            >{{ session.nameOf(task.ownerId) }} sees to it</template
          ><button
            v-else
            type="button"
            :aria-label="`${task.ownerId ? 'Leave it to another' : 'I see to it'}: ${task.what}`"
            @click="own(task, task.ownerId ? null : session.person!.id)"
          >
            {{ task.ownerId ? 'Leave it to another' : 'I see to it' }}</button
          ><button type="button" :aria-label="`Done: ${task.what}`" @click="solve(task)">Done</button>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) auto auto;
  gap: 4px 16px;
  align-items: center;
}
.kind {
  font-family: var(--serif);
  color: var(--reject);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
.acts > button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 32px;
}
img {
  height: 48px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 64px minmax(0, 1fr);
  }
  .acts {
    grid-column: 2;
  }
}
</style>
