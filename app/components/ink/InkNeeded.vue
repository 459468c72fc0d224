<script setup lang="ts">
import type { Layer } from '#core/edition/layer'
import { inkNeed, perPull, pullsToCome } from '#core/run/ink-need'
import { filmRange } from '#core/ink/amount'
import { inkLeft } from '#core/run/ink-left'
import { leftWords, percent } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** What each zone of a layer still takes, term by term, and whether its batch has that much left. */
const props = defineProps<{ layer: Layer }>()
const edition = useEdition()
const supplies = useSupplies()
const known = useInkKnown()
const to = computed(() => pullsToCome(edition.state!, props.layer.id, known(props.layer)))
const needs = computed(() =>
  inkNeed(edition.state!, props.layer.id, known(props.layer), to.value).map((need) => {
    const zone = props.layer.zones.find((one) => one.id === need.zoneId)!
    const batch = supplies.batches.find((one) => one.id === zone.batchId) ?? null
    const left = batch && inkLeft(batch, edition.state!, perPull(need))
    return { ...need, zone, batch, left, short: left ? need.amount.total * 1000 - left.milligrams : null }
  }),
)
const some = (count: number, one: string) => (count === 0 ? [] : [pluralise(count, one)])
const pullWords = computed(() => {
  const { sheets, warmUps, proofs } = to.value
  return [`${pluralise(sheets, 'sheet')} to pull`, ...some(warmUps, 'warm-up'), ...some(proofs, 'proof')].join(', ')
})
const g = (value: number) => `${value.toFixed(1)} g`
</script>

<template>
  <div>
    <p class="soft">{{ pullWords }}.</p>
    <section v-for="need in needs" :key="need.zoneId" class="need">
      <h3>
        {{ need.zone.name }}<span class="soft"> {{ need.zone.batchName || 'no batch yet' }}</span>
      </h3>
      <p v-if="need.job.impressions === 0" class="said">Nothing is left to pull with it.</p>
      <p v-else-if="need.batch && need.short !== null && need.short > 0" class="said trouble">
        Not enough for the rest of the edition: {{ leftWords(need.left!) }}, about {{ g(need.amount.total) }} needed.
        Top it up while it can still be matched.
        <NuxtLink :to="`/ink/mix?more=${need.batch.id}&edition=${edition.id}&layer=${layer.id}&zone=${need.zoneId}`"
          >Top up</NuxtLink
        >
      </p>
      <p v-else-if="need.batch" class="said enough">
        Enough for the rest of the edition: {{ leftWords(need.left!) }}, about {{ g(need.amount.total) }} needed.
      </p>
      <p v-else class="said">
        About <strong>{{ g(need.amount.total) }}</strong> to mix.
        <NuxtLink
          :to="`/ink/mix?edition=${edition.id}&layer=${layer.id}&zone=${need.zoneId}&grams=${need.amount.total.toFixed(1)}&paper=${encodeURIComponent(edition.state!.overprint?.paper ?? usualPaper)}`"
          >Mix it</NuxtLink
        >
      </p>
      <details v-if="need.job.impressions > 0">
        <summary>How that is reckoned</summary>
        <table class="ruled">
          <tbody>
            <tr>
              <td>on the prints</td>
              <td class="soft">
                {{ need.job.impressions }} × {{ need.amount.anImpression.toFixed(3) }} g:
                {{ (need.job.blockArea / 100).toFixed(0) }} cm², {{ percent(need.job.inkedShare) }} inked,
                {{ need.guess.film.toFixed(1) }} µm, {{ need.guess.density.toFixed(2) }} g/cm³
              </td>
              <td class="number">{{ g(need.amount.prints) }}</td>
            </tr>
            <tr v-if="need.amount.wiped > 0">
              <td>wiped or masked away</td>
              <td class="soft">{{ percent(need.job.wipedShare) }} of the block at every pull</td>
              <td class="number">{{ g(need.amount.wiped) }}</td>
            </tr>
            <tr>
              <td>on roller and slab</td>
              <td class="soft">
                {{ need.job.sessions }} wash-{{ need.job.sessions === 1 ? 'up' : 'ups' }},
                {{ ((need.job.rollerSurface + need.job.slabArea) / 100).toFixed(0) }} cm², {{ need.guess.held }} µm
              </td>
              <td class="number">{{ g(need.amount.held) }}</td>
            </tr>
            <tr>
              <td>lost in handling</td>
              <td class="soft">{{ percent(need.guess.loss) }} of the sum</td>
              <td class="number">{{ g(need.amount.loss) }}</td>
            </tr>
            <tr class="sum">
              <td>in all</td>
              <td class="soft">
                {{
                  need.measured > 0
                    ? `the film rests on ${(need.measured / 1e6).toFixed(1)} m² printed here`
                    : `between ${g(need.least)} and ${g(need.most)}: film from ${filmRange.least} to ${filmRange.most} µm; roller and slab hold the same`
                }}
              </td>
              <td class="number">{{ g(need.amount.total) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="need.guessed.length > 0" class="soft guessed">Guessed: {{ need.guessed.join('; ') }}.</p>
      </details>
    </section>
  </div>
</template>

<style scoped>
.need {
  padding: 10px 0 6px;
}
h3 span {
  font-family: var(--sans);
  font-weight: 400;
  font-size: 0.88rem;
  padding-left: 8px;
}
.said {
  padding: 4px 0 8px;
}
.enough {
  color: var(--green);
  font-weight: 600;
}
.sum td {
  border-bottom: 3px double var(--ink);
  font-weight: 600;
}
.sum td.soft {
  font-weight: 400;
}
.guessed {
  font-size: 0.84rem;
  padding-top: 6px;
}
</style>
