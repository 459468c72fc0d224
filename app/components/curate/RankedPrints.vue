<script setup lang="ts">
import { inOrder } from '#core/edition/allocate'
import { historyOf } from '#core/edition/history'
import { resultOn } from '#core/edition/pull'
import { faultWord } from '#core/print/faults'

/** The prints that take numbers, in the order laid by hand: dragged, or moved with the arrow keys. */
const edition = useEdition()
const state = computed(() => edition.state!)
const order = computed(() => inOrder(state.value, 'hand'))
const rows = computed(() =>
  order.value.map((sheet, i) => {
    const faults = historyOf(state.value, sheet).pulls.flatMap((pull) => resultOn(state.value, pull, sheet).faults)
    return { id: sheet.id, place: i + 1, said: [...new Set(faults)].map(faultWord).join(', ') || 'nothing noted' }
  }),
)
const dragged = ref<number | null>(null)
const list = useTemplateRef<HTMLElement>('list')

async function move(from: number, to: number) {
  if (to < 0 || to >= order.value.length || from === to) return
  const sheetIds = order.value.map(({ id }) => id)
  const [moved] = sheetIds.splice(from, 1)
  sheetIds.splice(to, 0, moved!)
  await edition.tap('rank-prints', { sheetIds })
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('button')[to]?.focus()
}
function key(event: KeyboardEvent, from: number) {
  const by = { ArrowUp: -1, ArrowDown: 1, Home: -from, End: order.value.length - 1 - from }[event.key]
  if (by === undefined) return
  event.preventDefault()
  void move(from, from + by)
}
function drop(onto: number) {
  if (dragged.value !== null) void move(dragged.value, onto)
  dragged.value = null
}
</script>

<template>
  <ol ref="list" class="ranked">
    <li
      v-for="(row, i) in rows"
      :key="row.id"
      draggable="true"
      @dragstart="dragged = i"
      @dragover.prevent
      @drop.prevent="drop(i)"
    >
      <button
        type="button"
        :aria-label="`${row.place} sheet ${row.id}, of ${rows.length}: arrow keys move it`"
        @keydown="key($event, i)"
      >
        <b>{{ row.place }}</b> sheet {{ row.id }}
      </button>
      <span class="soft">{{ row.said }}</span>
    </li>
  </ol>
</template>

<style scoped>
.ranked {
  list-style: none;
  padding: 0;
  max-width: 460px;
  max-height: 420px;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  background: var(--sheet);
  cursor: grab;
}
button {
  min-height: 34px;
  padding: 2px 8px;
  text-align: left;
}
b {
  display: inline-block;
  min-width: 2.2em;
}
</style>
