<script setup lang="ts">
import { studio as studioStream } from '#core/stores/studio/stream'
import type { LineCustom } from '#core/print/pencil-line'
import { studioDefaults, tarerChoices } from '#core/stores/studio/state'
import { pluralise } from '#core/units/pluralise'

/** What the studio is called and used to, in sentences: new editions start from it. */
const session = useSession()
const setting = useGiving()
const studioSaved = ref(false)
const standing = () => ({
  ...studioDefaults,
  name: '',
  line: 'number-title-signature' as LineCustom,
  destroyedNumber: 'retired' as 'retired' | 'replaced',
  currency: '€',
  ...session.session?.studio,
})
const studio = useFollowing(standing)
const isChanged = computed(() => !sameContent(studio.value, standing()))
const money = (amount: number) => `${studio.value.currency} ${amount.toFixed(2)}`
const confidence = computed({
  get: () => Math.round(studio.value.confidence * 1000) / 10,
  set: (percent: number) => {
    studio.value.confidence = percent / 100
  },
})
const unitWords = [
  { value: 'mm', title: 'millimetres' },
  { value: 'in', title: 'inches' },
]
const customs = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]
const destroyed = [
  { value: 'retired', title: 'retired' },
  { value: 'replaced', title: 'given to its replacement' },
]
const tarers = tarerChoices.map((value) => ({ value, title: value }))
const titleOf = (options: { value: string; title: string }[], value: string) =>
  options.find((option) => option.value === value)?.title ?? value

async function saveStudio() {
  studioSaved.value = await setting.giving(() => session.give('set-studio', studioStream.of(), { ...studio.value }))
  if (studioSaved.value) await session.load()
}
</script>

<template>
  <ActForm
    button="Change the customs"
    quiet
    :busy="setting.busy.value"
    :disabled="!isChanged"
    :fault="setting.fault.value"
    @give="saveStudio"
  >
    <div class="customs">
      <p>
        The pressroom is called
        <EditableValue v-model="studio.name" label="Pressroom" kind="text" :words="studio.name || 'not named yet'" />.
        Prints are pencilled
        <EditableValue
          v-model="studio.line"
          label="The pencilled line"
          kind="choice"
          :options="customs"
          :words="titleOf(customs, studio.line)"
        />; the number of a destroyed print is
        <EditableValue
          v-model="studio.destroyedNumber"
          label="Number of a destroyed print"
          kind="choice"
          :options="destroyed"
          :words="titleOf(destroyed, studio.destroyedNumber)"
        />.
      </p>
      <p>
        Sheets are started so as to be
        <EditableValue
          v-model="confidence"
          label="Sheets are started to be sure to"
          kind="decimal"
          :min="50"
          :max="99"
          unit="%"
          :words="`${confidence} %`"
        />
        sure of the edition. Lengths are in
        <EditableValue
          v-model="studio.unit"
          label="Lengths are shown in"
          kind="choice"
          :options="unitWords"
          :words="titleOf(unitWords, studio.unit)"
        />, money in
        <EditableValue v-model="studio.currency" label="Currency" kind="text" :longest="8" :words="studio.currency" />.
      </p>
      <p>
        A gram of ink is
        <EditableValue
          v-model="studio.inkGram"
          label="Ink a gram"
          kind="decimal"
          :max="1000"
          :unit="studio.currency"
          :words="money(studio.inkGram)"
        />
        as a rule, an hour of a press
        <EditableValue
          v-model="studio.pressHour"
          label="Press hour"
          kind="decimal"
          :max="10000"
          :unit="studio.currency"
          :words="money(studio.pressHour)"
        />, of labour
        <EditableValue
          v-model="studio.labourHour"
          label="Labour hour"
          kind="decimal"
          :max="10000"
          :unit="studio.currency"
          :words="money(studio.labourHour)"
        />.
      </p>
      <p>
        A station nobody touches signs its person out
        <EditableValue
          v-model="studio.idleMinutes"
          label="Idle stations sign out after"
          :max="720"
          unit="min, 0 never"
          :words="studio.idleMinutes === 0 ? 'never' : `after ${pluralise(studio.idleMinutes, 'minute')}`"
        />;
        <EditableValue
          v-model="studio.backupsKept"
          label="Nightly backups kept"
          :max="365"
          unit="backups, 0 makes none"
          :words="studio.backupsKept === 0 ? 'no nightly backup' : pluralise(studio.backupsKept, 'nightly backup')"
        />
        {{ studio.backupsKept === 1 || studio.backupsKept === 0 ? 'is' : 'are' }} kept.
      </p>
      <p>
        Hours one person may book ahead:
        <EditableValue
          v-model="studio.bookedHours"
          label="Hours one person may book ahead"
          :max="1000"
          unit="h, 0 for no limit"
          :words="studio.bookedHours === 0 ? 'no limit' : pluralise(studio.bookedHours, 'hour')"
        />
        · Who may tare the scale:
        <EditableValue
          v-model="studio.tarers"
          label="Who may tare the scale"
          kind="choice"
          :options="tarers"
          :words="studio.tarers"
        />
      </p>
    </div>
    <template #beside><span v-if="studioSaved && !isChanged" class="soft" role="status">Changed.</span></template>
  </ActForm>
</template>
