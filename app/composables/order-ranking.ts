import { onUnmounted, ref } from 'vue'
import { labOfHex } from '#core/ink/colour'
import type { RankedOrder, Wish } from '#core/ink/overprint'
import { reflectanceOf } from '#core/ink/reconstruct'
import type { OverprintWish } from '#core/ink/roll-up'
import type { useOverprintFilms } from './overprint-films'

/** White on which a layer's own colour is judged. */
export const trueWhite = '#f7f6f2'
const shownAtMost = 6

/** All orders of the films, ranked beside the page by how near they come to what was wished. */
export function useOrderRanking({ form, laid, groups, keyOf }: ReturnType<typeof useOverprintFilms>) {
  const ranked = ref<RankedOrder[] | null>(null)
  const ranking = ref(false)
  let worker: Worker | null = null
  onUnmounted(() => worker?.terminate())

  /** The zones of a layer come in one pull: an order that parts them cannot be printed. */
  const together = (order: number[]) =>
    order.every(
      (film, i) =>
        i === 0 ||
        groups.value[film] === groups.value[order[i - 1]!] ||
        !order.slice(0, i).some((before) => groups.value[before] === groups.value[film]),
    )

  const bit = (key: string) => laid.value.findIndex(({ row }) => keyOf(row) === key)
  function asked(wish: OverprintWish): Wish {
    const layers = wish.layers.reduce((bits, key) => bits | (1 << bit(key)), 0)
    if (wish.keep === 'paper') return { layers, keep: 'paper' }
    if (wish.keep === 'colour') return { layers, keep: 'colour', colour: labOfHex(wish.colour!) }
    return { layers, keep: 'layer', layer: bit(wish.layerId!) }
  }

  function rank(): void {
    worker?.terminate()
    worker = new Worker(new URL('../workers/order.worker.ts', import.meta.url), { type: 'module' })
    ranking.value = true
    worker.addEventListener('message', ({ data }: MessageEvent<RankedOrder[]>) => {
      ranked.value = data.filter(({ order }) => together(order)).slice(0, shownAtMost)
      ranking.value = false
    })
    worker.postMessage({
      paper: reflectanceOf(form.value.paper),
      white: reflectanceOf(trueWhite),
      films: laid.value.map(({ mix, row }) => ({
        pigment: { k: Float64Array.from(mix.pigment.k), s: Float64Array.from(mix.pigment.s) },
        thickness: row.thickness,
      })),
      wishes: form.value.wishes.filter((wish) => wish.layers.every((key) => bit(key) >= 0)).map(asked),
    })
  }

  return { ranked, ranking, rank }
}
