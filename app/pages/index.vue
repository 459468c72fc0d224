<script setup lang="ts">
import type { FloorReply } from '#shared/replies/replies'
import type { Stroke } from '~/drawings/tally'
import { ago, howLong, chanceWords } from '~/drawings/words'

useHead({ title: 'The floor · Ample Tally' })
const session = useSession()
const live = useLive()
const floor = ref<FloorReply | null>(null)
const trouble = ref('')
const now = ref(Date.now())

async function load() {
  try {
    floor.value = await api<FloorReply>('/api/floor')
    now.value = Date.now()
    trouble.value = ''
  } catch (error) {
    trouble.value = wordsOf(error)
  }
}

let soon: ReturnType<typeof setTimeout> | undefined
const unlisten = live.listen(
  () => {
    clearTimeout(soon)
    soon = setTimeout(() => void load(), 300)
  },
  () => void load(),
)
onMounted(async () => {
  await load()
  live.follow(live.position)
})
onUnmounted(unlisten)

const partOfDay = computed(() => {
  const day = new Date(now.value)
  const part = day.getHours() < 12 ? 'morning' : day.getHours() < 18 ? 'afternoon' : 'evening'
  return `${day.toLocaleDateString('en-GB', { weekday: 'long' })} ${part}`
})

function strokes(edition: FloorReply['running'][number]): Stroke[] {
  return edition.strokes
    .filter((stroke) => !stroke.voided)
    .map((stroke, i) => ({
      key: `${edition.id} ${i}`,
      kind: stroke.kind,
      verdict: stroke.verdict,
      bat: stroke.bat,
      stored: true,
      disputed: false,
      rescued: false,
      sentence: '',
      ticks: [],
    }))
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>The floor</h1>
      <p class="told">{{ session.session?.studio.name }}, {{ partOfDay }}</p>
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <template v-if="floor">
      <section class="part" aria-labelledby="presses">
        <div class="part-head"><h2 id="presses">At the presses</h2></div>
        <p v-if="floor.running.length === 0" class="soft">
          Nobody has pulled in the last twelve hours. <NuxtLink to="/editions">Open an edition</NuxtLink> and go to the
          bench.
        </p>
        <ul v-else class="lines running">
          <li v-for="edition in floor.running" :key="edition.id">
            <div>
              <h3>{{ edition.pressName || 'By hand' }}</h3>
              <NuxtLink :to="`/editions/${edition.id}/pull`">{{ edition.title }}</NuxtLink><span class="soft"
                >, {{ edition.layerName }}</span
              >
            </div>
            <TallyDrawing still :strokes="strokes(edition)" :cell="11" :tall="2.2" :label="edition.title" />
            <div class="figure">
              <strong
                >{{ edition.goodHere }} good, {{ edition.left }} to pull<template v-if="edition.minutesLeft"
                  >, {{ howLong(edition.minutesLeft) }}</template
                ></strong
              >
              <span class="soft"
                >{{ chanceWords(edition.chance, edition.chanceIsRough) }} chance of {{ edition.goal }} ·
                {{ ago(edition.lastPullAt, now) }}</span
              >
            </div>
          </li>
        </ul>
      </section>
      <section class="part" aria-labelledby="waiting">
        <div class="part-head"><h2 id="waiting">Waiting for a decision</h2></div>
        <p v-if="floor.decisions.length === 0" class="soft">Nothing waits.</p>
        <ul v-else class="lines decisions">
          <li v-for="decision in floor.decisions" :key="decision.what">
            <NuxtLink :to="`/editions/${decision.editionId}/${decision.stop}`">{{ decision.what }}</NuxtLink>
            <span class="soft">{{ decision.why }}</span>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.running li {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) 250px;
  gap: 20px;
  align-items: center;
}
.running .figure {
  text-align: right;
  font-size: 0.86rem;
}
.running .figure span,
.running .figure strong {
  display: block;
}
.decisions {
  max-width: 720px;
}
.decisions li {
  display: grid;
  gap: 2px;
}
.decisions a {
  font-weight: 600;
}
@media (max-width: 900px) {
  .running li {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
  .running .figure {
    text-align: left;
  }
}
</style>
