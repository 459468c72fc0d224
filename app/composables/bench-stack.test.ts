import { describe, expect, it } from 'vitest'
import { computed, nextTick, ref, shallowRef } from 'vue'
import { PressTable } from '../../tests/fixtures/press-table'
import type { EditionState } from '#core/edition/state'
import type { HandOut } from '#shared/replies/replies'
import { useBenchStack } from './bench-stack'

/** A station at six torn sheets, with what the server keeps for it and for others. */
function station(table = new PressTable().tear(6)) {
  const state = shallowRef<EditionState | null>(table.edition)
  const layerId = ref(table.layer)
  const handOut = ref<HandOut | null>(null)
  const layer = computed(() => state.value?.layers.find(({ id }) => id === layerId.value))
  const bench = useBenchStack(state, layer, handOut)
  return {
    table,
    bench,
    handOut,
    layerId,
    next: () => bench.sheet.value?.id,
    /** What others or this station did is here. */
    see: () => (state.value = table.edition),
  }
}

describe('the next sheet of a station', () => {
  it('is the first that was handed to it, and without the server the first of the stack', () => {
    const { handOut, next } = station()
    expect(next()).toBe(1)
    handOut.value = { sheetIds: [4, 5], heldByOthers: [1] }
    expect(next()).toBe(4)
  })

  it('is none that another station took or holds meanwhile', () => {
    const { table, handOut, next, see } = station()
    handOut.value = { sheetIds: [2, 3], heldByOthers: [1] }
    table.pull(2)
    see()
    expect(next()).toBe(3)
    table.pull(3)
    see()
    expect(next()).toBe(4)
  })

  it('is never one that was pulled a moment ago, while the server’s next word is on its way', () => {
    const { table, handOut, next, see } = station()
    const offered: (number | undefined)[] = []
    handOut.value = { sheetIds: [1, 2, 3], heldByOthers: [] }
    for (const sheet of [1, 2, 3, 4]) {
      offered.push(next())
      table.pull(sheet)
      see()
    }
    expect(offered).toEqual([1, 2, 3, 4])
  })

  it('is the one a printer went to, then what came after it', () => {
    const { table, bench, next, see } = station()
    expect(bench.goTo(4)).toBe('')
    expect(next()).toBe(4)
    table.pull(4)
    see()
    expect(next()).toBe(5)
  })

  it('that lies at another station or does not wait is refused in words', () => {
    const { table, bench, handOut, next, see } = station()
    handOut.value = { sheetIds: [1], heldByOthers: [3] }
    expect(bench.goTo(3)).toBe('Sheet 3 lies at another station.')
    expect(bench.goTo(99)).toBe('There is no sheet 99 in this edition.')
    table.pull(2)
    see()
    expect(bench.goTo(2)).toContain('does not wait for')
    expect(next()).toBe(1)
  })

  it('is of the layer at hand: gone to in one layer is forgotten in another', async () => {
    const { bench, layerId, next } = station()
    bench.goTo(4)
    const first = layerId.value
    layerId.value = 'none'
    await nextTick()
    expect(next()).toBeUndefined()
    layerId.value = first
    expect(next()).toBe(1)
  })
})
