<script setup lang="ts">
import { edition as editionStream } from '#core/edition/stream'
import { v7 } from 'uuid'
import { whySpent } from '#core/edition/block'
import { titleAgain } from '#core/edition/related'

/** A new edition from the blocks of this one, which is closed. */
const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const { busy, fault, field, giving, refuse } = useGiving()
const state = computed(() => edition.state!)
const form = ref({
  title: titleAgain(state.value.title, state.value.earlier.length),
  size: String(state.value.plan!.size),
})
const spent = computed(() =>
  whySpent(
    state.value,
    supplies.blocks.filter(({ id }) => state.value.blocks.some((block) => block.id === id)),
  ),
)
const isReduction = computed(() => state.value.plan!.method === 'reduction')

async function begin() {
  const size = Number(form.value.size)
  if (!Number.isInteger(size) || size < 1) return refuse('Say how many prints are wanted, as a whole number.')
  const id = v7()
  const { plan, blocks } = state.value
  const done = await giving(() =>
    session.give('print-again', editionStream.of(id), {
      earlierId: edition.id,
      blockIds: blocks.map((block) => block.id),
      title: form.value.title,
      plan: { ...plan!, size, due: null, start: null },
    }),
  )
  if (done) await navigateTo(`/editions/${id}/plan`)
}
</script>

<template>
  <section class="part no-print">
    <div class="part-head">
      <h2>Print again from this block</h2>
      <p>another edition, and the record of each names the other</p>
    </div>
    <p v-if="spent">Nothing more is printed from it: {{ spent }}.</p>
    <form v-else @submit.prevent="begin">
      <p class="soft">
        It starts with the block as it stands, its inked share, the registration sheet and the setting of the approved
        proof. Paper is torn and ink mixed anew.<template v-if="isReduction">
          This was a reduction: only what is left of the block prints again.</template
        >
      </p>
      <div class="fields">
        <VTextField
          v-model="form.title"
          class="wide"
          label="Its title"
          maxlength="120"
          :error-messages="field === 'title' ? fault : undefined"
        /><VTextField v-model="form.size" label="Prints wanted" inputmode="numeric" />
      </div>
      <p v-if="fault && field !== 'title'" class="trouble" role="alert">{{ fault }}</p>
      <div class="buttons"><VBtn type="submit" class="quiet" :loading="busy">Start it</VBtn></div>
    </form>
    <ul v-if="state.earlier.length + state.later.length > 0" class="lines">
      <li v-for="one in state.earlier" :key="one.editionId">
        before: <NuxtLink :to="`/editions/${one.editionId}/close`">{{ one.title }}</NuxtLink>, {{ one.signed }} signed
      </li>
      <li v-for="one in state.later" :key="one.editionId">
        since: <NuxtLink :to="`/editions/${one.editionId}`">{{ one.title }}</NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.fields {
  margin-top: 14px;
}
</style>
