<script setup lang="ts">
import { lot as lotStream } from '#core/stores/lot/stream'
import { inHand, putAside } from '#core/stores/lot/state'
import type { LotSummary } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** Good paper put aside for people, given out when a proof has passed, and brought back. */
const props = defineProps<{ lot: LotSummary }>()
const session = useSession()
const { busy, fault, giving, refuse } = useGiving()
const form = ref({ personId: null as string | null, sheets: '' })
const moving = ref<Record<string, string>>({})
/** What is still put aside or in somebody’s hands; the rest was torn or came back. */
const open = computed(() => props.lot.rations.filter((ration) => ration.sheets > ration.released || inHand(ration) > 0))
const done = computed(() => props.lot.rations.length - open.value.length)
const whole = (text: string | undefined) => ((text ?? '').trim() === '' ? Number.NaN : Number(text))

async function put() {
  if (!form.value.personId) return refuse('Choose who the paper is for.')
  if (
    await giving(() =>
      session.give('ration-paper', lotStream.of(props.lot.id), {
        personId: form.value.personId!,
        sheets: whole(form.value.sheets),
      }),
    )
  ) {
    form.value = { personId: null, sheets: '' }
  }
}

async function move(type: 'release-paper' | 'return-paper', rationId: string, most: number) {
  const typed = moving.value[rationId]
  const sheets = typed ? whole(typed) : most
  if (await giving(() => session.give(type, lotStream.of(props.lot.id), { rationId, sheets }))) {
    // What was typed meanwhile is for the next one.
    if (moving.value[rationId] === typed) moving.value[rationId] = ''
  }
}
</script>

<template>
  <div>
    <p class="soft">
      {{ lot.left }} on the shelf, {{ putAside(lot) }} of them put aside.<template v-if="done > 0">
        Given out before and torn or brought back since: {{ pluralise(done, 'time') }}.</template
      >
    </p>
    <table v-if="open.length > 0" v-columns class="ruled">
      <thead>
        <tr>
          <th>For</th>
          <th class="number">Put aside</th>
          <th class="number">In hand</th>
          <th class="number">Torn</th>
          <th>Sheets</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="ration in open" :key="ration.id">
          <td>{{ session.nameOf(ration.personId) }}</td>
          <td class="number">{{ ration.sheets - ration.released }}</td>
          <td class="number">{{ inHand(ration) }}</td>
          <td class="number">{{ ration.used }}</td>
          <td class="how-many">
            <VTextField
              v-model="moving[ration.id]"
              :aria-label="`Sheets for ${session.nameOf(ration.personId)}`"
              placeholder="all"
              inputmode="numeric"
            />
          </td>
          <td>
            <VBtn
              v-if="session.isStaff && ration.sheets > ration.released"
              class="quiet"
              @click="move('release-paper', ration.id, ration.sheets - ration.released)"
              >Give out</VBtn
            >
            <VBtn v-if="inHand(ration) > 0" class="quiet" @click="move('return-paper', ration.id, inHand(ration))"
              >Brought back</VBtn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="session.isStaff" @submit.prevent="put">
      <div class="fields">
        <VSelect
          v-model="form.personId"
          label="Put aside for"
          placeholder="who"
          :items="session.people.filter((p) => p.active).map((p) => ({ value: p.id, title: p.name }))"
        />
        <VTextField v-model="form.sheets" label="How many" inputmode="numeric" suffix="sheets" />
      </div>
      <div class="buttons"><VBtn type="submit" class="quiet" :loading="busy">Put aside</VBtn></div>
    </form>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.how-many {
  width: 90px;
}
td .v-btn + .v-btn {
  margin-left: 8px;
}
</style>
