<script setup lang="ts">
import { goal } from '#core/plan/plan'
import { isOpenWork } from '#core/print/series'
import { dueIn } from '~/format/days'

const route = useRoute()
const edition = useEdition()
const id = computed(() => String(route.params.id))
watch(id, (value) => void edition.open(value), { immediate: true })
useHead({ title: () => `${edition.state?.title ?? 'Edition'} · Ample Tally` })

const told = computed(() => {
  const state = edition.state
  if (!state?.plan) return ''
  const { plan } = state
  const proofs = (['AP', 'PP', 'HC'] as const)
    .filter((series) => plan.proofs[series] > 0)
    .map((series) => ` + ${plan.proofs[series]} ${series}`)
    .join('')
  const [so, planned] = [state.layers.length, plan.layersPlanned]
  const layers = so < planned ? `${so} of ${planned} layers` : so === 1 ? 'one layer' : `${so} layers`
  return [
    plan.method,
    layers,
    isOpenWork(plan) ? 'open work' : `${plan.size}${proofs}`,
    state.torn.at(-1)?.lotName,
    dueIn(plan.due),
  ]
    .filter(Boolean)
    .join(' · ')
})
const session = useSession()
const printers = computed(() => edition.state!.printerIds.map((one) => session.nameOf(one)).join(' and '))
/** Stops that open work does not have, and that an old link may still lead to. */
const isAbsent = computed(() => isOpenWork(edition.state?.plan ?? null) && /\/(curate|sign)$/.test(useRoute().path))
const wanted = computed(() => (edition.state?.plan ? goal(edition.state.plan) : 0))
</script>

<template>
  <div>
    <TroubleLine :words="edition.problem" />
    <template v-if="edition.state && edition.count">
      <div class="page-head">
        <h1>{{ edition.state.title }}</h1>
        <p class="told">{{ told }}</p>
        <VBtn v-if="!edition.state.closedAt" class="right no-print" :to="`/bench/${id}`">To the bench</VBtn>
        <p v-else class="right soft">closed, read only</p>
      </div>
      <PaperStrip :stops="edition.strip" :edition-id="id" />
      <div class="edition-body">
        <div>
          <TroubleLine :words="edition.message" />
          <p v-if="edition.state.assignment && !route.path.endsWith('/class')" class="no-print assigned">
            <NuxtLink :to="`/editions/${id}/class`">{{ edition.state.assignment.title }}</NuxtLink>,
            {{ edition.state.assignment.course }}
          </p>
          <p v-if="!edition.isTheirs && !edition.state.closedAt" class="soft no-print">
            You look on: {{ printers }} {{ edition.state.printerIds.length === 1 ? 'prints' : 'print' }} this edition.
          </p>
          <p v-if="isAbsent">
            This is open work: its pieces are counted and not curated, numbered or signed.
            <NuxtLink :to="`/editions/${id}/pull`">To what was pulled</NuxtLink>
          </p>
          <NuxtPage v-else />
        </div>
        <div>
          <TheCount :count="edition.count" :edition-id="id" />
          <p class="count-foot count">
            {{ edition.at?.alive }} alive<template v-if="wanted > 0">, {{ wanted }} wanted</template>.
          </p>
        </div>
      </div>
    </template>
  </div>
</template>
