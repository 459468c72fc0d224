<script setup lang="ts">
import { bracketOf, type NextTest, nextTest, type Quantity } from '#core/press/dial-in'
import { pressed } from '#core/press/drawer'
import type { ProofStep } from '#core/run/proof-path'
import type { PressSummary } from '#shared/replies/replies'

/** The next setting worth trying, one thing at a time: between what was too light and what was too heavy. */
const props = defineProps<{ steps: ProofStep[]; press: PressSummary | null; editionId: string; layerId: string }>()
const supplies = useSupplies()
const units = useUnits()
const tests = computed(() => props.steps.map(({ test }) => test))
/** The smallest step of the press and of its drawer, mm. */
const nipStep = computed(() => {
  const { pitch, divisions } = props.press ?? { pitch: null, divisions: 0 }
  return pitch !== null && divisions > 0 ? pitch / divisions : 0.05
})
const cardStep = computed(() =>
  Math.max(0.01, Math.min(0.6, ...supplies.drawer.filter(({ count }) => count > 0).map((piece) => pressed(piece)))),
)
const names: Record<Quantity, string> = { nip: 'The gap', packing: 'Packing', charges: 'Charges', passes: 'Passes' }
const stepOf = (quantity: Quantity) =>
  quantity === 'nip' ? nipStep.value : quantity === 'packing' ? cardStep.value : 1
const valueWords = (quantity: Quantity, value: number) =>
  quantity === 'nip' || quantity === 'packing' ? units.thickness(value) : String(value)
const ordinals = (ids: string[]) =>
  props.steps.filter(({ pull }) => ids.includes(pull.pullId)).map(({ pull }) => pull.ordinal)

function words(quantity: Quantity, next: NextTest): string {
  const said = (value: number) => valueWords(quantity, value)
  switch (next.kind) {
    case 'try':
      return quantity === 'nip' ? `try ${said(next.value)} below the stack` : `try ${said(next.value)}`
    case 'right':
      return `${said(next.value)} is right`
    case 'between':
      return `the smallest step lies between ${said(next.light)} and ${said(next.heavy)}: change something else, the packing for instance`
    case 'contradiction':
      return `proofs ${ordinals(next.proofs).join(' and ')} contradict one another: pull one of them again`
    default:
      return ''
  }
}
const lines = computed(() => {
  const asked: Quantity[] = [props.press && props.press.divisions > 0 ? 'nip' : 'packing', 'charges', 'passes']
  return asked.flatMap((quantity) => {
    const next = nextTest(tests.value, quantity, stepOf(quantity))
    if (next.kind === 'unknown') return []
    return [
      {
        quantity,
        words: words(quantity, next),
        carried: next.kind === 'try' && bracketOf(tests.value, quantity).fromNewsprint,
      },
    ]
  })
})
/** The gap to try is carried to the press. */
const gap = computed(() => {
  const next = nextTest(tests.value, 'nip', nipStep.value)
  return lines.value[0]?.quantity === 'nip' && next.kind === 'try' ? Math.round(next.value * 1000) / 1000 : null
})
const tangled = computed(() => props.steps.filter(({ isTangled }) => isTangled).map(({ pull }) => pull.ordinal))
</script>

<template>
  <div class="next">
    <p v-if="lines.length === 0" class="soft">
      Judge the impression and the ink of a proof, and the next setting worth trying is said here.
    </p>
    <p v-for="line in lines" :key="line.quantity">
      <strong>{{ names[line.quantity] }}:</strong> {{ line.words
      }}<span v-if="line.carried" class="soft">
        (what was right on newsprint is the good paper’s first lower bound: it wants a little more)</span
      >.
    </p>
    <p v-if="tangled.length > 0" class="warn">
      {{ tangled.length === 1 ? `Proof ${tangled[0]} changed` : `Proofs ${tangled.join(', ')} changed` }} more than one
      thing at once, and so {{ tangled.length === 1 ? 'tells' : 'tell' }} of none. Change one thing at a time.
    </p>
    <p>
      <NuxtLink :to="`/editions/${editionId}/press?layer=${layerId}${gap === null ? '' : `&gap=${gap}`}`">{{
        gap === null ? 'Set the press' : 'Set the press to it'
      }}</NuxtLink>
      ·
      <NuxtLink :to="`/bench/${editionId}?layer=${layerId}`">Pull the next proof</NuxtLink> ·
      <NuxtLink :to="`/finder?edition=${editionId}&layer=${layerId}`">Fault finder</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  gap: 8px;
}
.warn {
  color: var(--doubtful);
}
</style>
