<script setup lang="ts">
import { edition as editionStream } from '#core/edition/stream'
import { v7 } from 'uuid'
import { planDefaults } from '#core/plan/defaults'
import { type EditionPlan, goal } from '#core/plan/plan'

useHead({ title: 'Start an edition · Ample Tally' })
const session = useSession()
const fault = ref('')
const faultField = ref('')
const busy = ref(false)

const blank = (): { id: string; title: string; plan: EditionPlan } => ({
  id: v7(),
  title: '',
  plan: {
    ...planDefaults,
    rates: {
      ...planDefaults.rates,
      inkGram: session.session?.studio.inkGram ?? 0,
      pressHour: session.session?.studio.pressHour ?? 0,
      labourHour: session.session?.studio.labourHour ?? 0,
    },
    method: 'single',
    size: 20,
    sizeSchool: 'declared',
    orderSchool: 'curated',
    proofs: { AP: 2, PP: 0, HC: 0 },
    line: session.session?.studio.line ?? 'number-title-signature',
    year: null,
    numerals: 'roman',
    artist: session.person?.name ?? '',
    due: null,
  },
})
const form = ref(blank())
const draft = useDraft('new edition', form)

async function start() {
  busy.value = true
  fault.value = faultField.value = ''
  try {
    await session.give('start-edition', editionStream.of(form.value.id), {
      title: form.value.title,
      plan: form.value.plan,
    })
    draft.done()
    await navigateTo(`/editions/${form.value.id}/plan`)
  } catch (error) {
    fault.value = wordsOf(error)
    faultField.value = error instanceof ApiError ? (error.reply.field ?? '') : ''
  }
  busy.value = false
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Start an edition</h1>
      <p class="told">Everything here can still be changed until the first print is signed.</p>
    </div>
    <form @submit.prevent="start">
      <VTextField
        v-model="form.title"
        class="title"
        label="Title"
        placeholder="as it will be pencilled"
        maxlength="120"
        :error-messages="faultField === 'title' ? fault : undefined"
      />
      <PlanSentence
        v-model="form.plan"
        :usual="null"
        :wanted="goal(form.plan)"
        :fault="fault"
        :fault-field="faultField"
      />
      <PlanCustoms v-model:title="form.title" v-model:plan="form.plan" titled class="rest" />
      <p v-if="fault && faultField !== 'title'" class="trouble" role="alert">{{ fault }}</p>
      <div class="buttons">
        <VBtn type="submit" :loading="busy">Start</VBtn><VBtn class="quiet" to="/editions">Leave it</VBtn>
      </div>
    </form>
  </div>
</template>

<style scoped>
.title {
  max-width: 420px;
  margin-bottom: 20px;
}
.rest {
  margin-top: 22px;
}
</style>
