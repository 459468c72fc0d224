<script setup lang="ts">
import type { Gate } from '#core/edition/assignment'
import { layerOf } from '#core/edition/layer'
import { leaveOf } from '#core/stores/studio/leaves'
import { openAsks, type SignOff } from '#core/edition/sign-offs'
import { useAsking } from '~/composables/asking'
import { askWords } from '~/drawings/class-words'
import { listed } from '~/drawings/words'
import { date } from '~/format/days'

/** What the assignment asks for first, what is signed off, and the way to ask. */
const edition = useEdition()
const session = useSession()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const { layerId } = useLayerChoice('')
const { gated, mine, isAsked, ask, takeBack } = useAsking(
  () => state.value,
  () => layerId.value,
)
const words = ref('')
const reason = ref('')
const withdrawing = ref<string | null>(null)
const gateWords: Record<Gate, string> = {
  press: 'to be shown a press before it is set up',
  paper: 'for good paper before it is torn or printed',
  cut: 'before a block is cut further',
}
const held = computed(() =>
  state.value.signOffs.filter(({ what, withdrawn }) => withdrawn === null && (what === 'paper' || what === 'cut')),
)
const shown = computed(() =>
  state.value.printerIds.flatMap((personId) =>
    edition.studio.leaves.filter((leave) => leave.personId === personId && leave.use === 'press'),
  ),
)
const supplies = useSupplies()
const pressName = (id: string | null) => supplies.presses.find((press) => press.id === id)?.name ?? 'a press'
const heldWords = ({ what, layerId: of }: SignOff) =>
  what === 'paper' ? 'Good paper' : `The cut after ${layerOf(state.value, of ?? '')?.name ?? 'a layer'}`
const usesSolvents = computed(() =>
  state.value.printerIds.filter((personId) => leaveOf(edition.studio, { personId, use: 'solvents', pressId: null })),
)
/** What staff can sign off here without being asked. */
const offered = computed(() =>
  session.isStaff ? gated.value.filter(({ what }) => what === 'paper' || what === 'cut') : [],
)
const signOff = ({ what, layerId: of }: { what: string; layerId: string | null }) =>
  giving(() =>
    edition.give('sign-off', {
      what: what as 'paper' | 'cut',
      layerId: of,
      pressId: null,
      personId: null,
      note: words.value,
      paper: null,
    }),
  )
const withdraw = (signOffId: string) =>
  giving(async () => {
    await edition.give('withdraw-sign-off', { signOffId, reason: reason.value })
    reason.value = ''
    withdrawing.value = null
  })
</script>

<template>
  <section class="part" aria-labelledby="gates">
    <div class="part-head">
      <h2 id="gates">What is asked for first</h2>
    </div>
    <p>
      {{
        state.assignment!.gates.length === 0
          ? 'Nothing: this assignment has no gates.'
          : `Ask ${listed(state.assignment!.gates.map((gate) => gateWords[gate]))}.`
      }}
    </p>
    <ul class="lines">
      <li v-for="one in held" :key="one.id">
        <strong>{{ heldWords(one) }}</strong> is signed off by {{ session.nameOf(one.by) }}, {{ date(one.at)
        }}<template v-if="one.note">: “{{ one.note }}”</template>.
        <button v-if="session.isStaff" type="button" class="link" @click="withdrawing = one.id">Take it back</button>
        <form v-if="withdrawing === one.id" class="fields" @submit.prevent="withdraw(one.id)">
          <VTextField v-model="reason" class="wide" label="Why it no longer holds" maxlength="500" autofocus />
          <VBtn type="submit" class="quiet" :loading="busy">Take it back</VBtn>
        </form>
      </li>
      <li v-for="leave in shown" :key="leave.id">
        <strong>{{ session.nameOf(leave.personId) }}</strong> was shown {{ pressName(leave.pressId) }} by
        {{ session.nameOf(leave.by) }}, {{ date(leave.at) }}.
      </li>
      <li v-for="id in usesSolvents" :key="id">
        <strong>{{ session.nameOf(id) }}</strong> was shown how solvents are used here.
      </li>
      <li v-for="one in session.isStaff ? openAsks(state) : []" :key="one.id">
        <strong>{{ session.nameOf(one.by) }}</strong>
        {{
          askWords(one.what, { layer: layerOf(state, one.layerId ?? '')?.name ?? '', press: pressName(one.pressId) })
        }}.
        <NuxtLink :to="`/class/${state.assignment!.courseId}`">Answer it</NuxtLink>
      </li>
      <li v-for="one in session.isStaff ? [] : mine" :key="one.id">
        You asked{{ one.words ? `: “${one.words}”` : '' }}; an instructor sees it.
        <button type="button" class="link" @click="takeBack(one)">No longer needed</button>
      </li>
    </ul>
    <div v-if="!state.closedAt && edition.isTheirs && (!session.isStaff || offered.length > 0)" class="ask">
      <VTextField v-model="words" class="words" label="In words" maxlength="300" />
      <div class="buttons">
        <template v-if="session.isStaff">
          <VBtn v-for="one in offered" :key="one.what" :loading="busy" @click="signOff(one)">
            Sign off
            {{ one.what === 'paper' ? 'good paper' : `the cut after ${layerOf(state, one.layerId ?? '')?.name}` }}
          </VBtn>
        </template>
        <template v-else>
          <VBtn
            v-for="one in gated.filter((each) => !isAsked(each))"
            :key="one.what"
            class="quiet"
            @click="ask(one, words)"
            >{{ one.words }}</VBtn
          >
          <VBtn class="quiet" @click="ask({ what: 'help', layerId: null, pressId: null }, words)">I need help</VBtn>
        </template>
      </div>
    </div>
    <TroubleLine :words="fault" />
  </section>
</template>

<style scoped>
.lines {
  margin-top: 10px;
}
.ask {
  margin-top: 14px;
}
.words {
  max-width: 520px;
}
</style>
