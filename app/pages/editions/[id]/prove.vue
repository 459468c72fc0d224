<script setup lang="ts">
import { isLive } from '#core/edition/pull'
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
const bat = computed(() => edition.state!.pulls.find((pull) => pull.pullId === edition.state!.bat?.pullId))
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
      <p v-else class="soft">
        No proof yet. <NuxtLink :to="`/bench/${edition.id}`">Go to the bench</NuxtLink> and pull one with <kbd>P</kbd>.
      </p>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Right to print</h2>
        <p>the BAT every later pull is held against</p>
      </div>
      <p v-if="bat" class="standing">
        The BAT is <strong>pull {{ bat.ordinal }}</strong
        >, set on {{ date(edition.state!.bat!.at)
        }}<template v-if="setupOf(bat.setupSeq)"
          >, on {{ setupOf(bat.setupSeq)!.pressName }}, left {{ setupOf(bat.setupSeq)!.left.turns }} turns
          {{ setupOf(bat.setupSeq)!.left.divisions }}</template
        >.
      </p>
      <p v-else class="soft standing">None yet. Choose it among the proofs below.</p>
      <VTextField v-if="bat && proofs.length > 1" v-model="reason" label="Why the BAT is replaced" class="reason" />
      <table v-if="proofs.length > 0" class="ruled">
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
              <strong v-if="edition.state!.bat?.pullId === pull.pullId">BAT</strong>
              <VBtn
                v-else
                class="quiet"
                :disabled="!!edition.state!.closedAt"
                @click="edition.tap('set-bat', { pullId: pull.pullId, reason })"
                >Right to print</VBtn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <ul v-if="edition.state!.earlierBats.length > 0" class="soft earlier">
        <li v-for="old in edition.state!.earlierBats" :key="old.pullId">
          Before: pull {{ edition.state!.pulls.find((p) => p.pullId === old.pullId)?.ordinal }}, replaced:
          {{ old.reason }}
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
