<script setup lang="ts">
import { doerWords } from '#core/ground/envelope'
import { sheetLaidOut } from '#core/edition/finishing'
import { historyOf, kindOf } from '#core/edition/history'
import { layerOf } from '#core/edition/layer'
import { noteOf } from '#core/edition/proof-notes'
import { pullOf, resultOn } from '#core/edition/pull'
import type { Sheet } from '#core/edition/sheet'
import { batOf } from '#core/edition/standards'
import { faultWord } from '#core/print/faults'
import { date } from '~/format/days'

/** The print in front: its sheet with every fault where it was seen, what it went through, and the BAT beside it. */
const props = defineProps<{ sheet: Sheet; views: boolean }>()
const edition = useEdition()
const session = useSession()
const state = computed(() => edition.state!)
const laid = computed(
  () =>
    sheetLaidOut(state.value) ?? {
      sheet: { width: 300, height: 220 },
      images: [{ left: 40, top: 30, width: 220, height: 150 }],
      window: null,
    },
)
/** Of a piece that holds several, its own. */
const image = computed(
  () => laid.value.images[Math.max(0, props.sheet.together.indexOf(props.sheet.id))] ?? laid.value.images[0]!,
)
const thin = computed(() => Math.max(laid.value.sheet.width, laid.value.sheet.height) / 260)
const known = computed(() => historyOf(state.value, props.sheet))
const lines = computed(() =>
  known.value.pulls.map((pull) => {
    const { verdict, faults } = resultOn(state.value, pull, props.sheet)
    return {
      id: pull.pullId,
      layer: state.value.layers.length > 1 ? (layerOf(state.value, pull.layerId)?.name ?? '') : '',
      pull: `pull ${pull.ordinal}`,
      verdict,
      said: [faults.map(faultWord).join(', '), pull.rescued ?? '', pull.wetOnWet ? 'wet on wet' : '']
        .filter(Boolean)
        .join('; '),
      by: `${doerWords(pull, session.nameOf)}, ${date(pull.at)}`,
    }
  }),
)
const laidOn = computed(() =>
  state.value.layers.flatMap(({ id, name }) => (props.sheet.laid.includes(id) ? [`${name} laid on`] : [])),
)
const kind = computed(() => kindOf(state.value, known.value.pulls))
const seen = computed(() =>
  state.value.faultPlaces.filter(
    ({ pullId, fault }) =>
      known.value.pulls.some((pull) => pull.pullId === pullId) &&
      resultOn(state.value, pullOf(state.value, pullId)!, props.sheet).faults.includes(fault),
  ),
)
const bat = computed(() => batOf(state.value))
const batPicture = computed(() => (bat.value ? (noteOf(state.value, bat.value.pullId)?.pictureId ?? null) : null))
const drawn = computed(
  () =>
    `Sheet ${props.sheet.id}${seen.value.length > 0 ? `, with ${seen.value.map(({ fault }) => faultWord(fault)).join(' and ')} where it was seen` : ''}`,
)
</script>

<template>
  <div class="front">
    <figure>
      <svg
        :viewBox="`${-thin} ${-thin} ${laid.sheet.width + 2 * thin} ${laid.sheet.height + 2 * thin}`"
        role="img"
        :aria-label="drawn"
      >
        <rect class="paper" :width="laid.sheet.width" :height="laid.sheet.height" :stroke-width="thin" />
        <rect
          class="image"
          :x="image.left"
          :y="image.top"
          :width="image.width"
          :height="image.height"
          :stroke-width="thin"
        />
        <g v-for="(place, i) in seen" :key="i" class="fault">
          <circle :cx="image.left + place.x" :cy="image.top + place.y" :r="thin * 7" :stroke-width="thin * 1.6" />
          <text :x="image.left + place.x + thin * 10" :y="image.top + place.y + thin * 3" :font-size="thin * 11">
            {{ faultWord(place.fault) }}
          </text>
        </g>
      </svg>
      <figcaption>
        Sheet <b>{{ sheet.id }}</b>
        <template v-if="sheet.mark">, {{ sheet.mark.series }} {{ sheet.mark.number }}</template>
        <template v-else-if="sheet.bound !== 'edition'"
          >, set aside for {{ sheet.bound === 'archive' ? 'the archive' : sheet.bound }}</template
        >
      </figcaption>
    </figure>
    <figure>
      <img v-if="batPicture" :src="`/api/pictures/${batPicture}`" alt="The BAT" />
      <div v-else class="none soft">{{ bat ? 'no picture of the BAT was kept' : 'no BAT is approved' }}</div>
      <figcaption>
        {{ bat ? `The BAT, pull ${pullOf(state, bat.pullId)?.ordinal ?? ''}` : 'Nothing to hold it against' }}
      </figcaption>
    </figure>
    <div class="told">
      <p v-if="known.mixedBefore" class="soft">
        One of the stack that came mixed to {{ known.mixedBefore.name }}: what was pulled before may be another sheet’s.
      </p>
      <ul>
        <li v-for="line in lines" :key="line.id">
          <strong v-if="line.layer">{{ line.layer }}</strong> {{ line.pull }}
          <span :class="`is-${line.verdict}`">{{ line.verdict }}</span>{{ line.said ? `: ${line.said}` : '' }}
          <span class="soft">{{ line.by }}</span>
        </li>
        <li v-for="words in laidOn" :key="words">{{ words }}</li>
      </ul>
      <p v-if="kind">{{ kind }}</p>
      <p v-if="sheet.curated">
        Curated {{ sheet.curated.verdict }}, {{ sheet.curated.mark
        }}{{ sheet.curated.reason ? `: ${sheet.curated.reason}` : '' }}
      </p>
      <template v-if="views">
        <p v-for="view in sheet.views" :key="view.by">
          {{ session.nameOf(view.by) }}: {{ view.verdict }}{{ view.note ? `, ${view.note}` : '' }}
        </p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.front {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px 22px;
  align-items: start;
}
figure svg,
figure img,
.none {
  display: block;
  width: 100%;
  max-height: 190px;
  object-fit: contain;
  object-position: left top;
}
.none {
  border: 1px dashed var(--rule);
  min-height: 60px;
  padding: 16px;
}
.paper {
  fill: var(--sheet);
  stroke: var(--rule);
}
.image {
  fill: #d9d2c2;
  stroke: none;
}
.fault circle {
  fill: none;
  stroke: var(--reject);
}
.fault text {
  fill: var(--ink);
}
figcaption {
  margin-top: 6px;
}
.told {
  grid-column: 1 / -1;
  min-height: 72px;
}
.told ul {
  list-style: none;
  padding: 0;
}
.is-doubtful {
  color: var(--doubtful);
  font-weight: 600;
}
.is-reject {
  color: var(--reject);
  font-weight: 600;
}
@media (max-width: 560px) {
  .front {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
