<script setup lang="ts">
import { standardOf, standardWord } from '#core/edition/standards'
import { printedTogether } from '#core/edition/lock-up'
import { type Pull, resultOn } from '#core/edition/pull'
import { faults } from '#core/print/faults'
import { type Verdict, verdicts } from '#core/print/verdicts'

/** What can be said of one pull after the press: verdict, faults, void, restore, BAT. */
const props = defineProps<{ pull: Pull; sentence: string }>()
const edition = useEdition()
const reason = ref('')
watch(
  () => props.pull.pullId,
  () => {
    reason.value = ''
  },
)

/** Where one pull printed several sheets, each may have come out otherwise. */
const apart = computed(() =>
  printedTogether(edition.state!, props.pull.pullId).map((sheet) => ({
    id: sheet.id,
    said: resultOn(edition.state!, props.pull, sheet),
  })),
)
const judgeSheet = (sheetId: number, verdict: Verdict) =>
  edition.tap('judge-sheet', {
    pullId: props.pull.pullId,
    sheetId,
    verdict,
    faults: verdict === 'good' ? [] : props.pull.faults,
  })

const mayMend = computed(
  () =>
    !edition.state!.closedAt &&
    edition.isTheirs &&
    !props.pull.voided &&
    props.pull.disputed === null &&
    props.pull.sheetIds.length > 0,
)

const judge = (verdict: Verdict, given: string[]) =>
  edition.tap('judge-pull', {
    pullId: props.pull.pullId,
    verdict,
    faults: given,
    rescued: props.pull.rescued,
    reason: reason.value,
  })
</script>

<template>
  <div class="pull">
    <p class="pull-said">
      <strong>{{ sentence }}</strong>
    </p>
    <div v-if="!edition.state!.closedAt" class="acts">
      <VSelect
        :model-value="pull.verdict"
        label="Verdict"
        :items="[...verdicts]"
        @update:model-value="judge($event, pull.faults)"
      />
      <VSelect
        :model-value="pull.faults"
        label="Faults"
        multiple
        :items="faults.map((f) => ({ value: f.key, title: f.word, props: { subtitle: f.seen } }))"
        @update:model-value="judge(pull.verdict, $event)"
      />
      <VTextField v-model="reason" label="Reason" placeholder="for voiding or replacing" />
      <VBtn class="quiet" @click="edition.tap('void-pull', { pullId: pull.pullId, reason })">Void</VBtn>
      <VBtn
        v-if="pull.kind === 'proof' && standardOf(edition.state!, pull.layerId)?.pullId !== pull.pullId"
        class="quiet"
        @click="edition.tap('approve-proof', { pullId: pull.pullId, layerId: pull.layerId, reason })"
        >Make it the {{ standardWord(edition.state!, pull.layerId) }}</VBtn
      >
    </div>
    <div v-if="apart.length > 0 && !edition.state!.closedAt" class="apart">
      <VSelect
        v-for="one in apart"
        :key="one.id"
        :model-value="one.said.verdict"
        :label="`Sheet ${one.id} of it`"
        :items="[...verdicts]"
        @update:model-value="judgeSheet(one.id, $event)"
      />
    </div>
    <MendSlip v-if="mayMend" :pull="pull" />
    <OtherInk v-if="mayMend && pull.batchIds.length > 0" :pull="pull" />
  </div>
</template>

<style scoped>
.acts {
  display: grid;
  grid-template-columns: 130px minmax(120px, 1fr) minmax(120px, 1fr) auto auto;
  gap: 18px;
  align-items: end;
  margin-top: 8px;
}
.apart {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  margin-top: 8px;
}
.apart > * {
  max-width: 150px;
}
@media (max-width: 900px) {
  .acts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
