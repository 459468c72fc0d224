import { computed, type Ref, ref, watch } from 'vue'
import type { Layer } from '#core/edition/layer'
import { type Sheet, sheetOf } from '#core/edition/sheet'
import { sheetWords } from '#core/edition/sheet-words'
import { isDryFor, isWaiting, laidWith, mayTake, nextSheet, stackFor } from '#core/edition/stack'
import type { EditionState } from '#core/edition/state'
import type { HandOut } from '#shared/replies/replies'

/**
 * Which sheet is laid next at a station.
 * @param handOut sheets kept for this station, and for others
 */
export function useBenchStack(
  state: Readonly<Ref<EditionState | null>>,
  layer: Readonly<Ref<Layer | undefined>>,
  handOut: Readonly<Ref<HandOut | null>>,
) {
  /** Another sheet than the next was laid: from there on, in the order the stack had then. */
  const fromSheet = ref<number | null>(null)
  const wentTo = ref<number[]>([])
  /** In open work a piece that stays under the block, impression after impression. */
  const staying = ref<number | null>(null)
  watch(
    () => layer.value?.id,
    () => (fromSheet.value = staying.value = null),
  )

  const stack = computed(() => (state.value && layer.value ? stackFor(state.value, layer.value) : []))
  /** The sheet this station takes next: the first of those handed to it that is still there, else the next that no other holds. */
  const sheet = computed(() => {
    if (!state.value || !layer.value) return undefined
    if (staying.value !== null && mayTake(state.value, layer.value, staying.value))
      return sheetOf(state.value, staying.value)
    const after = fromSheet.value === null ? undefined : nextFrom(fromSheet.value)
    if (after) return after
    const { sheetIds, heldByOthers } = handOut.value ?? { sheetIds: [], heldByOthers: [] }
    const handed = sheetIds.find((id) => isWaiting(state.value!, layer.value!, id))
    if (handed !== undefined) return sheetOf(state.value, handed)
    return nextSheet(state.value, layer.value, new Set(heldByOthers)) ?? stack.value[0]
  })
  /** The sheet a printer went to, and the ones that come after it in the stack until its end. */
  function nextFrom(id: number): Sheet | undefined {
    const at = stack.value.findIndex((one) => one.id === id)
    if (at >= 0) return stack.value[at]
    // It has been printed: on with what came after it in the stack as it was then.
    const place = wentTo.value.indexOf(id)
    const waits = new Set(stack.value.map((one) => one.id))
    const next = wentTo.value.slice(place + 1).find((one) => waits.has(one))
    return next === undefined || !state.value ? undefined : sheetOf(state.value, next)
  }
  /** Go to another sheet of the stack. @returns why that cannot be, or nothing */
  function goTo(id: number): string {
    const wanted = state.value && sheetOf(state.value, id)
    if (!state.value || !layer.value || !wanted) return `There is no sheet ${id} in this edition.`
    if (!mayTake(state.value, layer.value, id))
      return `Sheet ${id} does not wait for ${layer.value.name}: ${sheetWords(state.value, wanted)}.`
    // An image of its piece at another station holds the whole piece.
    const held = new Set(handOut.value?.heldByOthers ?? [])
    if (held.has(id) || wanted.together.some((other) => held.has(other))) return `Sheet ${id} lies at another station.`
    // One that does not wait takes one impression more, and stays until another is taken.
    staying.value = isWaiting(state.value, layer.value, id) ? null : id
    wentTo.value = stack.value.map((one) => one.id)
    fromSheet.value = id
    return ''
  }
  /** What the next pull prints: that sheet, and what is locked up beside it on the same piece of paper. */
  const lay = computed(() =>
    sheet.value && state.value && layer.value ? laidWith(state.value, layer.value, sheet.value) : [],
  )
  const undried = computed(() =>
    state.value && layer.value
      ? stack.value.filter((s) => !isDryFor(state.value!, s, layer.value!)).map((s) => s.id)
      : [],
  )

  return { stack, sheet, goTo, lay, undried }
}
