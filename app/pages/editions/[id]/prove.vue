<script setup lang="ts">
import { pullOf } from '#core/edition/pull'
import { setupInForce } from '#core/edition/layer'
import { standardOf, standardWord } from '#core/edition/standards'
import { readingWords } from '#core/press/screws'
import { newsprintOf } from '#core/edition/newsprint'
import { addNewsprint, newsprintWords } from '#core/print/newsprint'
import { proofPath } from '#core/run/proof-path'
import { date } from '~/format/days'

const edition = useEdition()
const supplies = useSupplies()
const { layerId, layer } = useLayerChoice()
const reason = ref('')
const session = useSession()
const steps = computed(() => proofPath(edition.state!, layerId.value, session.zone))
const picked = ref<string | null>(null)
/** The proof that is judged: the one picked, else the newest. */
const chosen = computed({
  get: () =>
    steps.value.some(({ pull }) => pull.pullId === picked.value)
      ? picked.value
      : (steps.value.at(-1)?.pull.pullId ?? null),
  set: (pullId) => {
    picked.value = pullId
  },
})
const step = computed(() => steps.value.find(({ pull }) => pull.pullId === chosen.value))
const standard = computed(() => standardOf(edition.state!, layerId.value))
const approved = computed(() => (standard.value ? pullOf(edition.state!, standard.value.pullId) : undefined))
const word = computed(() => standardWord(edition.state!, layerId.value))
const earlier = computed(() => edition.state!.earlierStandards.filter((one) => one.layerId === layerId.value))
const numberOf = (pullId: string) => pullOf(edition.state!, pullId)?.ordinal
const setting = computed(() => layer.value?.setups.find(({ seq }) => seq === approved.value?.setupSeq)?.setup)
const press = computed(() => {
  const id = layer.value ? setupInForce(layer.value)?.pressId : undefined
  return supplies.presses.find((one) => one.id === id) ?? null
})
/** Right on newsprint: the good paper comes next. */
const toGoodPaper = computed(() => {
  const last = steps.value.at(-1)
  return last?.test.isNewsprint && last.test.pressure === 0
})
const disabled = computed(() => !!edition.state!.closedAt || !edition.isTheirs)

async function approve() {
  if (!step.value) return
  await edition.tap('approve-proof', { pullId: step.value.pull.pullId, layerId: layerId.value, reason: reason.value })
  reason.value = ''
}
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <div class="part-head">
        <h2>Proofs of {{ layer?.name }}</h2>
        <p>on newsprint first, changing one thing at a time</p>
      </div>
      <TeachStep v-if="steps.length === 0"
        ><NuxtLink :to="`/bench/${edition.id}?layer=${layerId}`">Go to the bench</NuxtLink
        ><span class="soft">and pull one with <kbd>P</kbd>.</span></TeachStep
      >
      <template v-else>
        <ProofPath v-model="chosen" :steps="steps" :standard-word="word" />
        <div class="halves">
          <ProofJudged v-if="step" :step="step" :disabled="disabled">
            <VBtn v-if="!step.isStandard" class="quiet" :disabled="disabled" @click="approve"
              >Make it the {{ word }}</VBtn
            >
          </ProofJudged>
          <div>
            <NextProof :steps="steps" :press="press" :edition-id="edition.id" :layer-id="layerId" />
            <p v-if="toGoodPaper" class="paper">
              {{ newsprintWords(addNewsprint(edition.record.newsprint, newsprintOf(edition.state!))) }}
            </p>
          </div>
        </div>
        <VTextField
          v-if="approved && step && !step.isStandard"
          v-model="reason"
          class="apart"
          :label="`Why the ${word} is replaced`"
        />
      </template>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>{{ word === 'BAT' ? 'Right to print' : 'The standard of this layer' }}</h2>
        <p>
          {{
            word === 'BAT'
              ? 'the BAT: the last layer’s standard, which every later pull is held against'
              : 'an approved proof that the pulls of this layer are held against'
          }}
        </p>
      </div>
      <p v-if="approved">
        The {{ word }} is <strong>pull {{ approved.ordinal }}</strong
        >, set on {{ date(standard!.at)
        }}<template v-if="setting"
          >, on {{ setting.pressName
          }}<template v-if="setting.left.turns || setting.left.divisions"
            >, left {{ readingWords(setting.left) }}, right {{ readingWords(setting.right) }}</template
          ></template
        >.
      </p>
      <p>
        <NuxtLink :to="`/editions/${edition.id}/recall?layer=${layerId}`">The recall card of this layer</NuxtLink>
        <span class="soft"> says all that another printer needs to print it again.</span>
      </p>
      <p v-if="!approved" class="soft">
        None yet. {{ steps.length > 0 ? 'Choose it among the proofs above.' : 'It is chosen among the proofs.' }}
      </p>
      <ul v-if="earlier.length > 0" class="soft earlier">
        <li v-for="old in earlier" :key="old.pullId">
          Before: pull {{ numberOf(old.pullId) }}, replaced: {{ old.reason }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 20px 36px;
  margin-top: 22px;
}
.paper {
  margin-top: 10px;
}
.earlier {
  margin-top: 10px;
  font-size: 0.92rem;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
