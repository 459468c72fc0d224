<script setup lang="ts">
import type { PastSession } from '#core/station/state'
import { pluralise } from '#core/units/pluralise'
import { describeFindings, leftWords } from '~/drawings/sessions'
import { moment } from '~/format/days'

/** Who was at a station, when, and how it was found and left; newest first. */
const props = defineProps<{ sessions: PastSession[] }>()
const session = useSession()
const supplies = useSupplies()
const shown = ref(8)
const lines = computed(() => props.sessions.slice(0, shown.value))
const inksOf = ({ left }: PastSession) =>
  left.used.batchIds.flatMap((id) => supplies.batches.find((batch) => batch.id === id)?.name ?? [])
const isWrong = ({ found, left }: PastSession) =>
  left.how !== 'left' || [...found.items, ...left.items].some(({ isRight }) => !isRight)
</script>

<template>
  <p v-if="sessions.length === 0" class="soft">Nobody has closed a session here yet.</p>
  <ol v-else class="lines">
    <li v-for="one in lines" :key="one.id" :class="{ wrong: isWrong(one) }">
      <span class="when">{{ moment(one.at) }}</span>
      <span
        ><strong>{{ session.nameOf(one.by) }}</strong>
        <span class="soft">
          found {{ describeFindings(one.found.items)
          }}<template v-if="one.found.note">: {{ one.found.note }}</template></span
        ><br />
        <template v-for="printed in one.left.used.printed" :key="printed.editionStream + printed.layerId"
          >{{ printed.title }}, {{ printed.layerName }}, {{ pluralise(printed.pulls, 'pull') }}. </template
        ><template v-if="inksOf(one).length > 0">Inks: {{ inksOf(one).join(', ') }}.</template></span
      >
      <span
        >{{ leftWords(one.left, session.nameOf, one.left.by) }}<br /><span class="soft"
          >{{ moment(one.left.at) }}<template v-if="one.left.note">: {{ one.left.note }}</template
          ><template v-if="one.left.stock">. Drawn: {{ one.left.stock }}</template></span
        ></span
      >
      <img
        v-if="one.left.pictureId ?? one.found.pictureId"
        :src="`/api/pictures/${one.left.pictureId ?? one.found.pictureId}`"
        alt="How it was left"
      />
    </li>
  </ol>
  <p v-if="sessions.length > shown"><VBtn class="quiet" @click="shown += 20">Earlier ones</VBtn></p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1.4fr) minmax(0, 1fr) auto;
  gap: 4px 22px;
}
.wrong .when {
  border-left: 3px solid var(--doubtful);
  padding-left: 8px;
}
img {
  height: 56px;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
