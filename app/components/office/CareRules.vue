<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { type CareKey, careCards, careKeys, deferring } from '#core/care/cards'
import type { Cleaner } from '#core/care/cleaning'
import { type InkFamily, inkFamilies } from '#core/ink/family'

/** The studio's own rules beside the care cards, and what it washes ink off with. */
const session = useSession()
const supplies = useSupplies()
const { fault, giving } = useGiving()
const rules = ref<Partial<Record<CareKey, string>>>({})
const cleaners = ref<Partial<Record<InkFamily, Omit<Cleaner, 'family'>>>>({})
const whoUses = [
  { value: 'all', title: 'everybody' },
  { value: 'shown', title: 'students who were shown it' },
]
const unknown: Omit<Cleaner, 'family'> = { name: '', minutes: null, isSolvent: false }
watch(
  () => [supplies.careRules, supplies.cleaners],
  () => {
    for (const key of careKeys) rules.value[key] = supplies.careRules.find((one) => one.key === key)?.rule ?? ''
    for (const family of inkFamilies) {
      const { name, minutes, isSolvent } = supplies.cleaners.find((one) => one.family === family) ?? unknown
      cleaners.value[family] = { name, minutes, isSolvent }
    }
  },
  { immediate: true },
)

const keepRule = (key: CareKey) =>
  giving(() => session.give('set-care-rule', studio.of(), { key, rule: rules.value[key] ?? '' }))
const keepCleaner = (family: InkFamily) =>
  giving(() => session.give('set-cleaner', studio.of(), { family, ...unknown, ...cleaners.value[family] }))
</script>

<template>
  <div>
    <TroubleLine :words="fault" />
    <h3>Washing ink off</h3>
    <ul class="lines">
      <li v-for="family in inkFamilies" :key="family" class="line">
        <strong>{{ family === 'other' ? 'other ink' : family }}</strong>
        <span
          >with
          <EditableValue
            v-model="cleaners[family]!.name"
            :label="`Cleaner for ${family}`"
            kind="text"
            :longest="80"
            :words="cleaners[family]!.name || 'what its label names'"
            :disabled="!session.isStaff"
            @kept="keepCleaner(family)" /><template v-if="cleaners[family]!.name"
            >, working for
            <EditableValue
              v-model="cleaners[family]!.minutes"
              :label="`Minutes for ${family}`"
              kind="decimal"
              may-be-none
              :max="600"
              unit="min"
              :words="
                cleaners[family]!.minutes === null
                  ? 'as long as its label says'
                  : `${cleaners[family]!.minutes} min by its label`
              "
              :disabled="!session.isStaff"
              @kept="keepCleaner(family)" />, for
            <EditableValue
              :model-value="cleaners[family]!.isSolvent ? 'shown' : 'all'"
              :label="`Who uses it for ${family}`"
              kind="choice"
              :options="whoUses"
              :words="cleaners[family]!.isSolvent ? 'students who were shown it' : 'everybody'"
              :disabled="!session.isStaff"
              @update:model-value="cleaners[family]!.isSolvent = $event === 'shown'"
              @kept="keepCleaner(family)" /></template
        ></span>
      </li>
    </ul>
    <h3>Cards</h3>
    <ul class="lines">
      <li v-for="key in careKeys" :key="key" class="line">
        <strong>{{ careCards[key].title }}</strong>
        <span
          ><span class="soft">{{ careCards[key].usual }}</span
          ><br />Here:
          <EditableValue
            v-model="rules[key]!"
            :label="`Own rule: ${careCards[key].title}`"
            kind="text"
            :longest="1000"
            :words="rules[key] || 'no rule of our own'"
            :disabled="!session.isStaff"
            @kept="keepRule(key)"
        /></span>
      </li>
    </ul>
    <p class="soft">{{ deferring }}</p>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 220px minmax(0, 70ch);
  gap: 4px 24px;
}
h3 {
  margin-top: 14px;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
