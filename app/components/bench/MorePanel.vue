<script setup lang="ts">
import { layerOf, setupInForce } from '#core/edition/layer'
import { standardWord } from '#core/edition/standards'
import type { EditionState } from '#core/edition/state'
import type { ProofKind } from '#core/print/verdicts'

/** What is seldom wanted at the press. */
const props = defineProps<{
  state: EditionState
  layerId: string
  last: { kind: string; rescued: string | null } | undefined
  mayBringBack: boolean
}>()
const emit = defineEmits<{
  pull: [kind: 'warm-up' | 'ghost']
  approve: []
  rescue: [how: 're-inked' | 'burnished']
  bringBack: []
  sheet: []
  pedal: []
}>()
const proofKind = defineModel<ProofKind>('proofKind', { required: true })
const onGoodPaper = defineModel<boolean>('onGoodPaper', { required: true })
const sound = defineModel<boolean>('sound', { required: true })
const flash = defineModel<boolean>('flash', { required: true })
const pressId = computed(() => {
  const layer = layerOf(props.state, props.layerId)
  return layer ? setupInForce(layer)?.pressId : undefined
})
const proofWords = { WP: 'working or trial', SP: 'state', CTP: 'colour trial', progressive: 'progressive' }
</script>

<template>
  <div class="panel" role="group" aria-label="More">
    <StandardPinned :state="state" :layer-id="layerId" />
    <button type="button" @click="emit('pull', 'warm-up')"><kbd>W</kbd>Warm-up</button
    ><button type="button" @click="emit('pull', 'ghost')">Ghost</button>
    <button type="button" :disabled="last?.kind !== 'proof'" @click="emit('approve')">
      <kbd>B</kbd>Last proof is the {{ standardWord(state, layerId) }}
    </button>
    <button type="button" :aria-pressed="last?.rescued === 're-inked'" @click="emit('rescue', 're-inked')">
      <kbd>E</kbd>Last was re-inked
    </button>
    <button type="button" :aria-pressed="last?.rescued === 'burnished'" @click="emit('rescue', 'burnished')">
      <kbd>N</kbd>Last was burnished
    </button>
    <label class="kind"
      >Proofs are
      <select v-model="proofKind">
        <option v-for="(words, kind) in proofWords" :key="kind" :value="kind">{{ words }}</option>
      </select></label
    >
    <button type="button" :aria-pressed="onGoodPaper" @click="onGoodPaper = !onGoodPaper">Proofs on good paper</button>
    <button type="button" @click="emit('sheet')"><kbd>S</kbd>Another sheet</button>
    <button type="button" :disabled="!mayBringBack" @click="emit('bringBack')"><kbd>Z</kbd>Bring back</button>
    <button
      type="button"
      @click="navigateTo(`/editions/${props.state.stream.slice('edition:'.length)}/recall?layer=${props.layerId}`)"
    >
      Recall card
    </button>
    <button v-if="pressId" type="button" @click="navigateTo(`/stations/${pressId}`)">Session at this press</button>
    <button type="button" @click="emit('pedal')">Foot pedal</button>
    <button type="button" :aria-pressed="sound" @click="sound = !sound">Sound</button>
    <button type="button" :aria-pressed="flash" @click="flash = !flash">Flash</button>
  </div>
</template>

<style scoped>
.kind {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  border: 1px solid var(--rule);
  padding: 0 12px;
  min-height: 64px;
}
.kind select {
  background: var(--ground);
  color: var(--ink);
  min-height: 44px;
}
</style>
