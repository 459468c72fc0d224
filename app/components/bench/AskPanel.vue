<script setup lang="ts">
import type { EditionState } from '#core/edition/state'
import { askWords } from '~/drawings/class-words'
import { ago } from '~/drawings/words'
import { type Asking, useAsking } from '~/composables/asking'

/** Staff are called; what it is about can be said in one touch more, or in words. */
const props = defineProps<{ state: EditionState; layerId: string }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { gated, mine, isAsked, ask, takeBack } = useAsking(
  () => props.state,
  () => props.layerId,
)
const words = ref('')
const layerName = (id: string | null) => props.state.layers.find((layer) => layer.id === id)?.name ?? ''
const answered = computed(() =>
  props.state.asks.filter(({ by, answer }) => by === session.person?.id && answer && !answer.takenBack).slice(-2),
)
/** The call is about this: asked for by itself, and no longer a call for help. */
async function about(one: Asking) {
  const call = mine.value.find(({ what }) => what === 'help')
  if (!(await ask(one, words.value))) return
  words.value = ''
  if (call) await takeBack(call)
}
async function say() {
  const call = mine.value.find(({ what }) => what === 'help')
  if (call) await takeBack(call)
  await ask({ what: 'help', layerId: null, pressId: null }, words.value)
  emit('done')
}
</script>

<template>
  <div class="panel" role="group" aria-label="Call staff">
    <p v-for="one in mine" :key="one.id" class="asked">
      You {{ askWords(one.what, { layer: layerName(one.layerId), press: 'the press' }).replace(/^asks/, 'asked') }}.
      <button type="button" @click="takeBack(one)">No longer needed</button>
    </p>
    <p v-for="one in answered" :key="one.id" class="asked soft">
      {{ session.nameOf(one.answer!.by) }}, {{ ago(one.answer!.at) }}: {{ one.answer!.given ? 'signed off' : 'seen'
      }}{{ one.answer!.note ? `, ${one.answer!.note}` : '' }}
    </p>
    <button
      v-for="one in gated.filter((each) => !isAsked(each) && each.what !== 'more paper')"
      :key="one.what"
      type="button"
      @click="about(one)"
    >
      {{ one.words }}
    </button>
    <form class="words" @submit.prevent="say">
      <label>In words <input v-model="words" maxlength="300" /></label>
      <button type="submit" :disabled="words.trim() === ''">Say it</button>
      <button
        v-for="one in gated.filter((each) => !isAsked(each) && each.what === 'more paper')"
        :key="one.what"
        type="button"
        :disabled="words.trim() === ''"
        @click="about(one)"
      >
        More paper: say what became of yours
      </button>
    </form>
    <button type="button" @click="emit('done')">Go on</button>
  </div>
</template>

<style scoped>
.asked {
  flex-basis: 100%;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.words input {
  background: var(--sheet);
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 12px;
  width: min(340px, 60vw);
}
</style>
