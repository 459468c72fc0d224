<script setup lang="ts">
import { faultWord } from '#core/print/faults'
import type { ProofStep } from '#core/run/proof-path'
import { gradeWords, inkWords, pressureWords } from '~/drawings/grades'

/** From the first proof to the standard: what was changed at each step stands on the line, what came of it beneath. */
const chosen = defineModel<string | null>({ required: true })
defineProps<{ steps: ProofStep[]; standardWord: string }>()
function came({ note, pull }: ProofStep): string[] {
  return [
    note ? `impression ${gradeWords(pressureWords, note.pressure)}` : '',
    note ? `ink ${gradeWords(inkWords, note.ink)}` : 'not judged yet',
    pull.faults.map(faultWord).join(', '),
  ].filter(Boolean)
}
const isRight = ({ note }: ProofStep) => note?.pressure === 0 && note.ink === 0
</script>

<template>
  <ol class="path">
    <li v-for="step in steps" :key="step.pull.pullId" :class="{ right: isRight(step) }">
      <p class="changed">
        <span v-for="change in step.changed" :key="change">{{ change }}</span>
        <span v-if="step.isTangled" class="warn">more than one thing at once</span>
      </p>
      <button
        type="button"
        :aria-pressed="chosen === step.pull.pullId"
        :aria-label="`Proof ${step.pull.ordinal}${step.isStandard ? `, the ${standardWord}` : ''}: ${[...step.changed, ...came(step)].join('; ')}`"
        @click="chosen = step.pull.pullId"
      >
        <svg viewBox="0 0 34 54" width="34" height="54" aria-hidden="true">
          <path v-if="step.isStandard" class="standard" d="M17 0 l7 7 l-7 7 l-7 -7 z" />
          <rect class="hollow" x="11" y="17" width="12" height="36" :class="{ standard: step.isStandard }" />
        </svg>
        <span class="ordinal">{{ step.pull.ordinal }}</span>
      </button>
      <ul class="came">
        <li v-for="words in came(step)" :key="words">{{ words }}</li>
        <li v-if="step.isStandard">
          <strong>the {{ standardWord }}</strong>
        </li>
      </ul>
      <img
        v-if="step.note?.pictureId"
        :src="`/api/pictures/${step.note.pictureId}`"
        :alt="`Proof ${step.pull.ordinal}`"
        loading="lazy"
        width="96"
        height="72"
      />
    </li>
  </ol>
</template>

<style scoped>
.path {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(116px, 1fr));
  gap: 0;
}
.path > li {
  display: grid;
  grid-row: span 4;
  grid-template-rows: subgrid;
  padding: 8px 12px 8px 0;
}
.changed {
  display: grid;
  align-content: end;
  font-size: 0.84rem;
  line-height: 1.25;
  color: var(--ink);
  padding-bottom: 4px;
}
.changed .warn {
  color: var(--doubtful);
}
button {
  display: flex;
  align-items: end;
  gap: 6px;
  border-bottom: 2px solid var(--ink);
  margin-right: -12px;
  height: 58px;
}
button[aria-pressed='true'] {
  background: var(--sheet);
}
.hollow {
  fill: none;
  stroke: var(--proof);
  stroke-width: 2.5;
}
.right .hollow,
.hollow.standard {
  fill: var(--proof);
}
.standard {
  fill: var(--proof);
}
.ordinal {
  color: var(--soft);
  font-size: 0.82rem;
  padding-bottom: 2px;
}
.came {
  font-size: 0.84rem;
  line-height: 1.3;
  color: var(--soft);
  padding-top: 6px;
}
.came strong {
  color: var(--ink);
}
/* Its room is kept, so that nothing moves from under a finger when it comes. */
img {
  object-fit: contain;
  object-position: left top;
  margin-top: 6px;
  border: 1px solid var(--rule);
}
</style>
