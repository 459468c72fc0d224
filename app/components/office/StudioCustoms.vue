<script setup lang="ts">
import type { LineCustom } from '#core/print/pencil-line'
import { studioDefaults } from '#core/stores/studio/state'

/** What the studio is called and used to: new editions start from it. */
const session = useSession()
const setting = useGiving()
const studioSaved = ref(false)
const studio = useFollowing(() => ({
  ...studioDefaults,
  name: '',
  line: 'number-title-signature' as LineCustom,
  destroyedNumber: 'retired' as 'retired' | 'replaced',
  currency: '€',
  ...session.session?.studio,
}))
const price = (text: unknown) => Number(String(text ?? '').replace(',', '.')) || 0
const unitWords = [
  { value: 'mm', title: 'millimetres' },
  { value: 'in', title: 'inches' },
]
const customs = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]

async function saveStudio() {
  studioSaved.value = await setting.giving(() => session.give('studio', 'set-studio', { ...studio.value }))
  if (studioSaved.value) await session.load()
}
</script>

<template>
  <form class="fields person" @submit.prevent="saveStudio">
    <VTextField v-model="studio.name" label="Pressroom" maxlength="80" />
    <VSelect v-model="studio.line" label="The pencilled line is usually" :items="customs" />
    <VSelect
      v-model="studio.destroyedNumber"
      label="The number of a destroyed print is"
      :items="['retired', 'replaced']"
    />
    <VTextField v-model="studio.currency" label="Currency" maxlength="8" />
    <VSelect v-model="studio.unit" label="Lengths are shown in" :items="unitWords" />
    <VTextField
      :model-value="String(studio.inkGram)"
      label="Ink a gram, as a rule"
      inputmode="decimal"
      :prefix="studio.currency"
      @update:model-value="studio.inkGram = price($event)"
    />
    <VTextField
      :model-value="String(studio.pressHour)"
      label="Press hour"
      inputmode="decimal"
      :prefix="studio.currency"
      @update:model-value="studio.pressHour = price($event)"
    />
    <VTextField
      :model-value="String(studio.labourHour)"
      label="Labour hour"
      inputmode="decimal"
      :prefix="studio.currency"
      @update:model-value="studio.labourHour = price($event)"
    />
    <VTextField
      :model-value="String(Math.round(studio.confidence * 1000) / 10)"
      label="Sheets are started to be sure to"
      inputmode="decimal"
      suffix="%"
      @update:model-value="studio.confidence = price($event) / 100"
    />
    <VTextField
      :model-value="String(studio.idleMinutes)"
      label="Idle stations sign out after"
      inputmode="numeric"
      suffix="min, 0 never"
      @update:model-value="studio.idleMinutes = Math.round(price($event))"
    />
    <VTextField
      :model-value="String(studio.backupsKept)"
      label="Nightly backups kept"
      inputmode="numeric"
      suffix="0 makes none"
      @update:model-value="studio.backupsKept = Math.round(price($event))"
    />
    <div class="buttons">
      <VBtn type="submit" class="quiet" :loading="setting.busy.value">Change</VBtn
      ><span v-if="studioSaved" class="soft" role="status">Changed.</span>
    </div>
    <p v-if="setting.fault.value" class="trouble" role="alert">{{ setting.fault.value }}</p>
  </form>
</template>

<style scoped>
.person {
  margin-top: 18px;
  align-items: end;
  max-width: 900px;
}
</style>
