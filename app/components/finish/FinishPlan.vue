<script setup lang="ts">
import { v7 } from 'uuid'
import {
  type Chop,
  type FinishingPlan,
  mostColours,
  mostInBatch,
  type SheetLaidOut,
  type WashTrial,
  washTrials,
} from '#core/finish/plan'
import { washDoubts } from '#core/ink/bears-wash'
import { pluralise } from '#core/units/pluralise'

/** What is done after the press, in a sentence whose values open where they stand. */
const props = defineProps<{ laid: SheetLaidOut | null; disabled: boolean }>()
const edition = useEdition()
const supplies = useSupplies()
const units = useUnits()
const { fault, giving } = useGiving()
const copy = (plan: FinishingPlan) => JSON.parse(JSON.stringify(plan)) as FinishingPlan
const form = useFollowing(() => copy(edition.state!.finishing))
/** A colour that has no name yet is not kept, and stays open here. */
const keep = () => {
  const finishing = copy(form.value)
  finishing.colours = finishing.colours.filter(({ name }) => name.trim() !== '')
  return giving(() => edition.give('plan-finishing', { finishing }))
}

const washWords: Record<WashTrial, string> = {
  untried: 'has not been tried on a scrap',
  holds: 'held on a scrap',
  runs: 'ran on a scrap',
}
const washes = washTrials.map((value) => ({ value, title: washWords[value] }))
const yesNo = (yes: string, no: string) => [
  { value: 'yes', title: yes },
  { value: 'no', title: no },
]
const flattened = yesNo('flattened under weight', 'not flattened')
const trimmed = yesNo('trimmed to the finished size', 'not trimmed')
const chopped = [
  { value: 'none', title: 'no chop' },
  { value: 'blind', title: 'a blind chop' },
  { value: 'inked', title: 'an inked chop' },
]
const titleOf = (options: { value: string; title: string }[], value: string) =>
  options.find((one) => one.value === value)!.title
const choice = (key: 'flatten' | 'trim') =>
  computed({ get: () => (form.value[key] ? 'yes' : 'no'), set: (said) => (form.value[key] = said === 'yes') })
const flatten = choice('flatten')
const trim = choice('trim')
/** In the foot margin at the left, where a mat hides it, until it is said otherwise. */
const usualChop = (kind: Chop['kind']): Chop => {
  const foot = props.laid ? props.laid.sheet.height - 18 : 0
  return { kind, left: 8, top: Math.max(0, foot), width: 10, height: 10 }
}
const chop = computed({
  get: () => form.value.chop?.kind ?? 'none',
  set: (kind) => {
    form.value.chop = kind === 'none' ? null : { ...(form.value.chop ?? usualChop(kind)), kind }
  },
})
const doubts = computed(() => {
  const ids = edition.state!.layers.flatMap(({ zones }) => zones.flatMap(({ batchId }) => batchId ?? []))
  return washDoubts(ids.flatMap((id) => supplies.batches.find((batch) => batch.id === id)?.family ?? []))
})
const colours = useTemplateRef<{ begin: () => Promise<void> }[]>('colours')
async function addColour() {
  form.value.colours.push({ id: v7(), name: '' })
  await nextTick()
  void colours.value?.at(-1)?.begin()
}
function takeOut(at: number) {
  form.value.colours.splice(at, 1)
  void keep()
}
const keepColour = (name: string) => {
  if (name.trim() !== '') void keep()
}
</script>

<template>
  <div class="customs">
    <p>
      <template v-if="form.colours.length === 0">No colour is laid on by hand. </template>
      <template v-else>Laid on by hand: </template>
      <template v-for="(colour, i) in form.colours" :key="colour.id">
        <EditableValue
          ref="colours"
          v-model="colour.name"
          :label="`Colour ${i + 1}`"
          kind="text"
          :longest="60"
          :words="colour.name || 'which colour?'"
          :disabled="disabled"
          @kept="keepColour(colour.name)"
        /><button
          v-if="!disabled"
          type="button"
          class="link out"
          :aria-label="`Take out ${colour.name || 'this colour'}`"
          @click="takeOut(i)"
        >
          take out</button
        >{{ i < form.colours.length - 1 ? ', ' : '' }}
      </template>
      <button v-if="!disabled && form.colours.length < mostColours" type="button" class="link more" @click="addColour">
        {{ form.colours.length === 0 ? 'Add a colour' : 'one more' }}</button><template v-if="form.colours.length > 0"
        >, one after the other over batches of
        <EditableValue
          v-model="form.batch"
          label="Prints to a batch"
          :min="1"
          :max="mostInBatch"
          unit="prints"
          :words="pluralise(form.batch, 'print')"
          :disabled="disabled"
          @kept="keep"
        />. A wash
        <EditableValue
          v-model="form.wash"
          label="Whether ink and paper bear the wash"
          kind="choice"
          :options="washes"
          :words="washWords[form.wash]"
          :disabled="disabled"
          @kept="keep"
        />.</template
      >
    </p>
    <p v-if="form.colours.length > 0 && form.wash === 'untried'" class="soft">
      Ink and paper must bear the wash: try it on a scrap of the same print first. {{ doubts.join(' ') }}
    </p>
    <p v-if="form.colours.length > 0 && form.wash === 'runs'" class="trouble">
      It ran on a scrap: let it harden longer, or colour with a drier brush, and try again before the prints.
    </p>
    <p>
      Then the prints are
      <EditableValue
        v-model="flatten"
        label="Flattening"
        kind="choice"
        :options="flattened"
        :words="titleOf(flattened, flatten)"
        :disabled="disabled"
        @kept="keep"
      />
      and
      <EditableValue
        v-model="trim"
        label="Trimming"
        kind="choice"
        :options="trimmed"
        :words="titleOf(trimmed, trim)"
        :disabled="disabled"
        @kept="keep"
      />, with
      <EditableValue
        v-model="chop"
        label="Chop"
        kind="choice"
        :options="chopped"
        :words="titleOf(chopped, chop)"
        :disabled="disabled"
        @kept="keep"
      /><template v-if="form.chop"
        >,
        <EditableValue
          v-model="form.chop.width"
          label="Width of the chop"
          kind="thickness"
          :words="units.length(form.chop.width)"
          :disabled="disabled"
          @kept="keep"
        />
        by
        <EditableValue
          v-model="form.chop.height"
          label="Height of the chop"
          kind="thickness"
          :words="units.length(form.chop.height)"
          :disabled="disabled"
          @kept="keep"
        />,
        <EditableValue
          v-model="form.chop.left"
          label="Chop from the left edge"
          kind="thickness"
          :words="units.length(form.chop.left)"
          :disabled="disabled"
          @kept="keep"
        />
        from the left and
        <EditableValue
          v-model="form.chop.top"
          label="Chop from the top edge"
          kind="thickness"
          :words="units.length(form.chop.top)"
          :disabled="disabled"
          @kept="keep"
        />
        from the top</template
      >.
    </p>
    <p v-if="form.chop?.kind === 'blind'" class="soft">
      A blind stamp wants damp paper, and a place that the mat hides: damp that corner alone, and flatten it again.
    </p>
    <TroubleLine :words="fault" />
    <ChopDrawing v-if="form.chop && laid" :chop="form.chop" :laid="laid" />
  </div>
</template>

<style scoped>
.out {
  margin-left: 6px;
  font-size: 0.8rem;
}
.more {
  margin-left: 6px;
}
</style>
