<script setup lang="ts">
import { labOfHex } from '#core/ink/colour'
import type { Match } from '#core/ink/match'
import { mixOf } from '#core/ink/kubelka-munk'
import { reflectanceOf } from '#core/ink/reconstruct'
import { pigmentOf } from '#core/ink/shelf'
import { pluralise } from '#core/units/pluralise'

/** Find the mix of tubs at hand that comes nearest a wanted colour; it runs beside the page and can be stopped. */
const props = defineProps<{ paper: string; film: number }>()
const emit = defineEmits<{ take: [recipe: { source: string; share: number }[]] }>()
const supplies = useSupplies()
const wanted = ref('#7a8f6a')
const share = ref<number | null>(null)
const found = ref<{ miss: number; hex: string; parts: { source: string; name: string; share: number }[] }[] | null>(
  null,
)
let worker: Worker | null = null
const tubs = computed(() =>
  supplies.tubs
    .filter((tub) => tub.left > 0 && tub.nature !== 'oil' && tub.nature !== 'drier')
    .flatMap((tub) => {
      const pigment = pigmentOf(tub)
      return pigment ? [{ tub, pigment, tinting: tub.tinting }] : []
    }),
)
onUnmounted(() => worker?.terminate())

function match() {
  stop()
  found.value = null
  share.value = 0
  const given = tubs.value.slice(0, 24)
  worker = new Worker(new URL('../../workers/match.worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('message', ({ data }: MessageEvent<{ done: number; all: number } | { found: Match[] }>) => {
    if ('done' in data) {
      share.value = data.done / data.all
      return
    }
    found.value = data.found.slice(0, 4).map((one) => ({
      miss: one.miss,
      hex: filmHex(
        mixOf(
          one.tubs.map((tub, i) => ({
            mass: one.shares[i]!,
            tinting: given[tub]!.tinting,
            pigment: given[tub]!.pigment,
          })),
        ),
        props.paper,
        props.film,
      ),
      parts: one.tubs
        .map((tub, i) => ({ source: `tub:${given[tub]!.tub.id}`, name: given[tub]!.tub.name, share: one.shares[i]! }))
        .sort((a, b) => b.share - a.share),
    }))
    stop()
  })
  worker.postMessage({
    wanted: labOfHex(wanted.value),
    paper: reflectanceOf(props.paper),
    thickness: props.film,
    tubs: given.map(({ pigment, tinting }) => ({
      pigment: { k: Float64Array.from(pigment.k), s: Float64Array.from(pigment.s) },
      tinting,
    })),
  })
}

function stop() {
  worker?.terminate()
  worker = null
  share.value = null
}
</script>

<template>
  <div>
    <div class="ask">
      <label class="soft">Wanted colour <input v-model="wanted" type="color" aria-label="Wanted colour" /></label>
      <VBtn class="quiet" :disabled="tubs.length === 0 || share !== null" @click="match"
        >Match it from {{ pluralise(tubs.length, 'ink') }}</VBtn
      >
      <template v-if="share !== null"
        ><progress :value="share" max="1" aria-label="Mixes tried" />
        <VBtn class="quiet" @click="stop">Stop</VBtn></template
      >
    </div>
    <ul v-if="found" class="lines">
      <li v-for="(one, i) in found" :key="i" class="found">
        <svg width="72" height="34" role="img" :aria-label="`Wanted ${wanted}, predicted ${one.hex}`">
          <rect width="36" height="34" :fill="wanted" />
          <rect x="36" width="36" height="34" :fill="one.hex" />
        </svg>
        <div>
          {{ one.parts.map((part) => `${part.name} ${(part.share * 100).toFixed(1)} %`).join(', ') }}<br /><span
            class="soft"
            >{{
              one.miss < 1
                ? 'no difference to be seen'
                : one.miss < 3
                  ? 'a slight difference'
                  : one.miss < 8
                    ? 'a plain difference'
                    : 'far off: these inks do not reach it'
            }}, ΔE {{ one.miss.toFixed(1) }}</span
          >
        </div>
        <VBtn class="quiet" :aria-label="`Take recipe ${i + 1}`" @click="emit('take', one.parts)">Take it</VBtn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: center;
  margin-bottom: 12px;
}
.ask label {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 0.9rem;
}
.ask input {
  width: 64px;
  height: 40px;
  border: 1px solid var(--rule);
  padding: 2px;
  background: var(--sheet);
}
progress {
  accent-color: var(--green);
  width: 160px;
}
.found {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr) auto;
  gap: 16px;
  align-items: center;
  font-size: 0.92rem;
}
</style>
