<script setup lang="ts">
import { press as pressStream } from '#core/stores/press/stream'
import { today } from '~/format/days'
import type { PressSummary } from '#shared/replies/replies'
import { date } from '~/format/days'

/** What an hour at the press costs, and from which day. */
const props = defineProps<{ press: PressSummary }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const currency = computed(() => session.session?.studio.currency ?? '€')
const money = (hour: number) => `${currency.value} ${hour.toFixed(2)}`
const form = ref({ from: today(), hour: props.press.rates.at(-1)?.hour ?? 0 })

async function keep() {
  await giving(() => session.give('rate-press', pressStream.of(props.press.id), { ...form.value }))
}
</script>

<template>
  <form class="customs" @submit.prevent="keep">
    <p v-for="rate in press.rates" :key="rate.from">{{ money(rate.hour) }} an hour from {{ date(rate.from) }}.</p>
    <p v-if="press.rates.length === 0">What an hour costs is not known yet.</p>
    <template v-if="session.isStaff">
      <p>
        From
        <EditableValue v-model="form.from" label="Rate from" kind="date" :words="date(form.from)" /> an hour is
        <EditableValue
          v-model="form.hour"
          label="An hour costs"
          kind="decimal"
          :max="100000"
          :unit="currency"
          :words="money(form.hour)"
        />.
      </p>
      <TroubleLine :words="fault" />
      <div class="buttons"><VBtn type="submit" class="quiet" :loading="busy">Keep the rate</VBtn></div>
    </template>
  </form>
</template>
