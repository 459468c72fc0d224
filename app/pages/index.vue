<script setup lang="ts">
import { hourIn, weekdayName } from '~/format/days'
import type { FloorReply } from '#shared/replies/replies'
import { smallTally } from '~/drawings/tally'
import { isLeftOpen } from '~/drawings/sessions'
import { askWords } from '~/drawings/class-words'
import { ago, chanceWords, formatDuration } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

useHead({ title: 'The floor · Ample Tally' })
const session = useSession()
const {
  reply: floor,
  trouble,
  now,
} = useReply<FloorReply>('/api/floor', {
  on: ['edition', 'station', 'press', 'tub', 'batch', 'lot', 'calendar', 'studio'],
  every: aMinute,
})

/** More presses than a screen holds at their ease. */
const many = computed(() => (floor.value?.running.length ?? 0) > 5)
const isEmpty = computed(() => floor.value?.counts.length === 0)

const partOfDay = computed(() => {
  const hour = hourIn(now.value)
  const part = hour < 12 ? 'morning' : hour < 18 ? 'afternoon' : 'evening'
  return `${weekdayName(now.value)} ${part}`
})
</script>

<template>
  <div>
    <div class="page-head">
      <h1>The floor</h1>
      <p class="told">{{ session.session?.studio.name }}, {{ partOfDay }}</p>
    </div>
    <TroubleLine :words="trouble" />
    <template v-if="floor">
      <p v-if="floor.lateBackup" class="trouble" role="alert">
        <NuxtLink to="/office">{{
          floor.lateBackup.at ? `The last backup was made ${ago(floor.lateBackup.at, now)}` : 'There is no backup yet'
        }}</NuxtLink>. Make one in Office, and see that the server runs at night.
      </p>
      <section v-if="isEmpty" class="part">
        <p class="sentence">
          No edition is here yet. <NuxtLink to="/editions/new">Start the first one</NuxtLink>: say how many prints, and
          how many sheets to start follows from it.
        </p>
        <p class="soft first">
          From there on it is torn, inked, proved and pulled stroke by stroke at the bench, curated, numbered and
          signed. The demo, started with <code>npm run demo</code>, shows a whole room at work.
        </p>
      </section>
      <template v-else>
        <section class="part" aria-labelledby="presses">
          <div class="part-head"><h2 id="presses">At the presses</h2></div>
          <p v-if="floor.running.length === 0" class="soft">
            Nobody has pulled in the last twelve hours. <NuxtLink to="/editions">Open an edition</NuxtLink> and go to
            the bench.
          </p>
          <ul v-else class="lines running" :class="{ many }">
            <li v-for="edition in floor.running" :key="edition.id">
              <div class="place">
                <h3>{{ edition.pressName || 'By hand' }}</h3>
                <span
                  ><NuxtLink :to="`/editions/${edition.id}/pull`">{{ edition.title }}</NuxtLink
                  ><span class="soft">, {{ edition.layerName }}</span></span
                >
              </div>
              <TallyDrawing
                still
                :strokes="smallTally(edition.strokes)"
                :cell="many ? 8 : 11"
                :tall="many ? 1.8 : 2.2"
                :label="edition.title"
              />
              <div class="figure">
                <strong
                  >{{ edition.goodHere }} good, {{ edition.left }} to pull<template v-if="edition.minutesLeft"
                    >, {{ formatDuration(edition.minutesLeft) }}</template
                  ></strong
                >
                <span class="soft"
                  ><template v-if="edition.goal > 0"
                    >{{ chanceWords(edition.chance, edition.chanceIsRough) }} chance of {{ edition.goal }} · </template
                  >{{ ago(edition.lastPullAt, now) }}</span
                >
              </div>
            </li>
          </ul>
        </section>
        <section v-if="floor.sessions.length + floor.bookings.length > 0" class="part" aria-labelledby="there">
          <div class="part-head"><h2 id="there">Who is where</h2></div>
          <ul v-if="floor.sessions.length > 0" class="there">
            <li v-for="one in floor.sessions" :key="one.stationId">
              <NuxtLink :to="`/stations/${one.stationId}`">{{ one.name }}</NuxtLink>
              {{ session.nameOf(one.by) }}
              <span :class="isLeftOpen(one.at, now) ? 'warn' : 'soft'">{{
                isLeftOpen(one.at, now) ? `left open since ${ago(one.at, now)}` : ago(one.at, now)
              }}</span>
            </li>
          </ul>
          <ul v-if="floor.bookings.length > 0" class="there booked">
            <li v-for="one in floor.bookings" :key="one.bookingId">
              <NuxtLink to="/day">{{ one.from }} to {{ one.until }}</NuxtLink>
              {{ one.place }}, {{ session.nameOf(one.personId)
              }}<span class="soft">{{ one.title ? `, ${one.title}` : '' }}{{ one.isNow ? ', now' : '' }}</span>
            </li>
          </ul>
        </section>
        <div class="beside">
          <section class="part" aria-labelledby="waiting">
            <div class="part-head"><h2 id="waiting">Waiting for a decision</h2></div>
            <ul v-if="floor.asks.length > 0" class="lines decisions">
              <li v-for="one in floor.asks" :key="`${one.editionId} ${one.at}`">
                <NuxtLink
                  :to="session.isStaff && one.courseId ? `/class/${one.courseId}` : `/editions/${one.editionId}/class`"
                  >{{ session.nameOf(one.by) }} {{ askWords(one.what, { layer: '', press: '' }) }}</NuxtLink
                >
                <span class="soft">{{ one.title }}, {{ ago(one.at, now) }}</span>
              </li>
            </ul>
            <p v-if="floor.decisions.length + floor.asks.length === 0" class="soft">Nothing waits.</p>
            <ul v-if="floor.decisions.length > 0" class="lines decisions">
              <li v-for="decision in floor.decisions" :key="decision.what">
                <NuxtLink :to="`/editions/${decision.editionId}/${decision.stop}`">{{ decision.what }}</NuxtLink>
                <span class="soft">{{ decision.why }}</span>
              </li>
            </ul>
          </section>
          <section class="part" aria-labelledby="short">
            <div class="part-head"><h2 id="short">Short</h2></div>
            <p v-if="floor.short.length === 0" class="soft">Paper and ink last for what is begun.</p>
            <ul v-else class="lines decisions">
              <li v-for="one in floor.short" :key="one.what">
                <NuxtLink :to="one.to">{{ one.what }}</NuxtLink>
                <span class="soft">{{ one.why }}</span>
              </li>
            </ul>
            <template v-if="floor.tasks.length + floor.tubs.length > 0">
              <div class="part-head drying"><h2>Dirty, broken or low</h2></div>
              <ul class="lines decisions">
                <li v-for="one in floor.tasks" :key="one.id">
                  <NuxtLink :to="`/stations/${one.stationId}`">{{ one.station }}: {{ one.what }}</NuxtLink>
                  <span class="soft"
                    >{{ one.ownerId ? `${session.nameOf(one.ownerId)} sees to it` : 'nobody sees to it yet' }},
                    {{ ago(one.at, now) }}</span
                  >
                </li>
                <li v-for="tub in floor.tubs" :key="tub.id">
                  <NuxtLink to="/ink">{{ tub.name }}: {{ tub.condition }}</NuxtLink>
                  <span class="soft">{{
                    tub.condition === 'skinned' ? 'lift the skin off before it becomes specks' : 'ink of another knife'
                  }}</span>
                </li>
              </ul>
            </template>
            <div class="part-head drying"><h2>Drying</h2></div>
            <p v-if="floor.drying.length === 0" class="soft">Nothing dries.</p>
            <ul v-else class="lines decisions">
              <li v-for="one in floor.drying" :key="one.editionId">
                <NuxtLink :to="`/editions/${one.editionId}/dry`">{{ one.title }}</NuxtLink>
                <span class="soft">{{ pluralise(one.sheets, 'sheet') }}</span>
              </li>
            </ul>
          </section>
        </div>
      </template>
    </template>
  </div>
</template>

<style scoped>
.first {
  margin-top: 10px;
  max-width: 64ch;
}
.running li {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr) 250px;
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
/* A room in full swing: every press on one screen. */
.many li {
  padding: 2px 0;
  grid-template-columns: 360px minmax(0, 1fr) 430px;
  min-height: 34px;
}
.many .place,
.many .figure {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
}
.many .place {
  flex-wrap: nowrap;
  white-space: nowrap;
  overflow: hidden;
}
.many .figure {
  justify-content: end;
  flex-wrap: nowrap;
  white-space: nowrap;
  font-size: 0.8rem;
}
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 0 40px;
}
.beside .part {
  border-top: 0;
  padding-top: 4px;
}
.there {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 32px;
}
.there a {
  font-weight: 600;
}
.there + .booked {
  margin-top: 8px;
}
.warn {
  color: var(--doubtful);
  font-weight: 600;
}
.drying {
  margin-top: 20px;
}
.decisions li {
  display: grid;
  gap: 2px;
}
.decisions a {
  font-weight: 600;
}
@media (max-width: 900px) {
  .running li,
  .many li,
  .beside {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
  .running .figure {
    text-align: left;
  }
  .many .figure,
  .many .place {
    flex-wrap: wrap;
    justify-content: start;
    white-space: normal;
  }
}
</style>
