<script setup lang="ts">
import { edition } from '#core/edition/stream'
import type { Ask } from '#core/edition/sign-offs'
import type { RationHeld } from '#shared/replies/replies'
import { askWords } from '~/drawings/class-words'
import { ago } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** Somebody asks: what, since when, and the one act that answers. */
const props = defineProps<{
  ask: Ask
  editionId: string
  title: string
  layerName: string
  pressName: string
  /** Paper put aside for whoever asks. */
  rations: readonly RationHeld[]
  now: number
}>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const refusing = ref(false)
const note = ref('')
const mine = computed(() => props.rations.filter(({ personId }) => personId === props.ask.by))
const ration = computed(() => mine.value.find(({ aside }) => aside > 0))
const sheets = ref<number | null>(null)
const toGive = computed(() => sheets.value ?? ration.value?.aside ?? 1)
const stream = computed(() => edition.of(props.editionId))
const isSignedOff = computed(() => props.ask.what !== 'help' && props.ask.what !== 'more paper')
const yes = computed(() => {
  if (props.ask.what === 'help') return 'I have been there'
  if (props.ask.what === 'cut') return 'Sign off the cut'
  if (props.ask.what === 'paper') return 'Sign off good paper'
  return props.ask.what === 'more paper' ? 'Give it out' : 'Shown: sign it off'
})
/** The lot that more of it comes from: that of the first ration. */
const lot = computed(() => mine.value[0])

async function answer() {
  const { id, what, by, layerId, pressId } = props.ask
  await giving(() => {
    if (what === 'help') return session.give('answer-ask', stream.value, { askId: id, note: '' })
    if (what === 'more paper')
      return session.give('give-paper', stream.value, {
        lotId: lot.value?.lotId ?? '',
        personId: by,
        sheets: sheets.value ?? 1,
        note: '',
      })
    const paper =
      what === 'paper' && ration.value && toGive.value > 0
        ? { lotId: ration.value.lotId, rationId: ration.value.rationId, sheets: toGive.value }
        : null
    return session.give('sign-off', stream.value, {
      what,
      layerId,
      pressId,
      personId: what === 'press' || what === 'solvents' ? by : null,
      note: '',
      paper,
    })
  })
}

async function notYet() {
  await giving(() => session.give('answer-ask', stream.value, { askId: props.ask.id, note: note.value }))
}
</script>

<template>
  <li class="ask">
    <p>
      <strong>{{ session.nameOf(ask.by) }}</strong> {{ askWords(ask.what, { layer: layerName, press: pressName })
      }}<template v-if="ask.words">: “{{ ask.words }}”</template>{{ ' ' }}
      <span class="soft">
        <NuxtLink :to="`/editions/${editionId}/class`">{{ title }}</NuxtLink>, {{ ago(ask.at, now) }}</span
      >
    </p>
    <p v-if="ask.what === 'paper' && ration" class="customs">
      <span
        >with
        <EditableValue
          :model-value="toGive"
          label="Sheets given out"
          :max="ration.aside"
          unit="sheets"
          :words="pluralise(toGive, 'sheet')"
          @update:model-value="sheets = $event"
        />
        of {{ ration.lot }}, {{ ration.aside }} put aside</span
      >
    </p>
    <p v-else-if="ask.what === 'more paper' && lot" class="customs">
      <span
        ><EditableValue
          :model-value="sheets ?? 1"
          label="Sheets given out"
          :min="1"
          :max="1000"
          unit="sheets"
          :words="pluralise(sheets ?? 1, 'sheet')"
          @update:model-value="sheets = $event"
        />
        of {{ lot.lot }}; so far {{ pluralise(lot.used, 'sheet') }} torn, {{ lot.inHand }} in hand</span
      >
    </p>
    <p v-else-if="ask.what === 'more paper'" class="soft">
      Nothing was put aside for them: give it out at the <NuxtLink to="/paper">Paper table</NuxtLink>.
    </p>
    <p v-if="ask.what === 'cut'" class="soft">
      <NuxtLink :to="`/editions/${editionId}/gate?layer=${ask.layerId}`">What the cut leaves behind</NuxtLink>
    </p>
    <div class="buttons">
      <VBtn v-if="ask.what !== 'more paper' || lot" :loading="busy" @click="answer">{{ yes }}</VBtn>
      <VBtn v-if="isSignedOff || ask.what === 'more paper'" class="quiet" @click="refusing = !refusing">Not yet</VBtn>
    </div>
    <form v-if="refusing" class="fields" @submit.prevent="notYet">
      <VTextField v-model="note" class="wide" label="What is still wanted" autofocus maxlength="300" />
      <VBtn type="submit" class="quiet" :loading="busy">Tell them</VBtn>
    </form>
    <TroubleLine :words="fault" />
  </li>
</template>

<style scoped>
.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 20px;
  align-items: center;
}
.ask > p,
.ask > form {
  grid-column: 1;
}
.ask > .buttons {
  grid-column: 2;
  grid-row: 1 / span 2;
  margin: 0;
}
@media (max-width: 700px) {
  .ask {
    grid-template-columns: minmax(0, 1fr);
  }
  .ask > .buttons {
    grid-column: 1;
    grid-row: auto;
    margin-top: 4px;
  }
}
</style>
