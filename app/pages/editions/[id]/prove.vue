<script setup lang="ts">
import { isLive, pullOf } from '#core/edition/pull'
import { standardOf, standardWord } from '#core/edition/standards'
import { date } from '~/drawings/words'
import { strokesOf } from '~/drawings/tally'

const edition = useEdition()
const session = useSession()
const { layerId, layer } = useLayerChoice()
const reason = ref('')
const chosen = ref<string | null>(null)
const strokes = computed(() =>
  strokesOf(edition.state!, layerId.value, edition.isStored, session.nameOf).filter((stroke) => stroke.kind !== 'pull'),
)
const proofs = computed(() =>
  edition.state!.pulls.filter((pull) => isLive(pull) && pull.kind === 'proof' && pull.layerId === layerId.value),
)
const standard = computed(() => standardOf(edition.state!, layerId.value))
const approved = computed(() => (standard.value ? pullOf(edition.state!, standard.value.pullId) : undefined))
const word = computed(() => standardWord(edition.state!, layerId.value))
const earlier = computed(() => edition.state!.earlierStandards.filter((one) => one.layerId === layerId.value))
const numberOf = (pullId: string) => pullOf(edition.state!, pullId)?.ordinal
const screwWords = ({ turns, divisions }: { turns: number; divisions: number }) =>
  `${turns} ${turns === 1 ? 'turn' : 'turns'} ${divisions}`
const setupOf = (seq: number) => layer.value?.setups.find((setup) => setup.seq === seq)?.setup
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <div class="part-head">
        <h2>Proofs of {{ layer?.name }}</h2>
        <p>on newsprint first, changing one thing at a time</p>
      </div>
      <template v-if="strokes.length > 0">
        <TallyDrawing v-model:chosen="chosen" :strokes="strokes" label="Proofs and warm-up" />
        <p class="pull-said">{{ strokes.find((stroke) => stroke.key === chosen)?.sentence }}</p>
      </template>
      <TeachStep v-else
        ><NuxtLink :to="`/bench/${edition.id}?layer=${layerId}`">Go to the bench</NuxtLink
        ><span class="soft">and pull one with <kbd>P</kbd>.</span></TeachStep
      >
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
      <p v-if="approved" class="standing">
        The {{ word }} is <strong>pull {{ approved.ordinal }}</strong
        >, set on {{ date(standard!.at)
        }}<template v-if="setupOf(approved.setupSeq)"
          >, on {{ setupOf(approved.setupSeq)!.pressName }}, left
          {{ screwWords(setupOf(approved.setupSeq)!.left) }}</template
        >.
      </p>
      <p v-else class="soft standing">
        None yet. {{ proofs.length > 0 ? 'Choose it among the proofs below.' : 'It is chosen among the proofs.' }}
      </p>
      <VTextField
        v-if="approved && proofs.length > 1"
        v-model="reason"
        :label="`Why the ${word} is replaced`"
        class="reason"
      />
      <table v-if="proofs.length > 0" v-columns class="ruled">
        <thead>
          <tr>
            <th>Pull</th>
            <th>Proof</th>
            <th>On</th>
            <th>Press</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="pull in proofs" :key="pull.pullId">
            <td>{{ pull.ordinal }}</td>
            <td>{{ pull.proofKind }}</td>
            <td>{{ pull.sheetIds.length ? `sheet ${pull.sheetIds.join(', ')}` : 'proof paper' }}</td>
            <td>{{ setupOf(pull.setupSeq)?.pressName ?? '' }}</td>
            <td class="number">
              <strong v-if="standard?.pullId === pull.pullId">{{ word }}</strong>
              <VBtn
                v-else
                class="quiet"
                :disabled="!!edition.state!.closedAt"
                @click="edition.tap('approve-proof', { pullId: pull.pullId, layerId, reason })"
                >{{ word === 'BAT' ? 'Right to print' : 'Approve' }}</VBtn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <ul v-if="earlier.length > 0" class="soft earlier">
        <li v-for="old in earlier" :key="old.pullId">
          Before: pull {{ numberOf(old.pullId) }}, replaced: {{ old.reason }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.standing {
  margin-bottom: 12px;
}
.reason {
  max-width: 420px;
  margin-bottom: 10px;
}
.earlier {
  margin-top: 10px;
  font-size: 0.88rem;
}
</style>
