<script setup lang="ts">
import { nearestCards } from '#core/press/cards'
import { type DrawerPiece, pressed } from '#core/press/drawer'

/** What lies in the drawer and in no other press, to be laid in; and which of it makes up a missing thickness. */
const props = defineProps<{ pieces: DrawerPiece[]; disabled?: boolean }>()
const emit = defineEmits<{ lay: [piece: DrawerPiece, count: number] }>()
const missing = defineModel<number | null>('missing', { required: true })
const units = useUnits()
const cards = computed(() => {
  if (missing.value === null || !(missing.value > 0)) return null
  const firm = props.pieces.filter(({ kind }) => kind !== 'felt' && kind !== 'blanket')
  return nearestCards(
    firm.map((piece) => ({ id: piece.id, name: piece.name, thickness: pressed(piece), count: piece.count })),
    missing.value,
  )
})
const setWords = computed(() =>
  (cards.value?.cards ?? []).map(({ count, name }) => (count > 1 ? `${count} × ${name}` : name)).join(', '),
)
function laySet() {
  for (const { id, count } of cards.value?.cards ?? []) {
    const piece = props.pieces.find((one) => one.id === id)
    if (piece) emit('lay', piece, count)
  }
  missing.value = null
}
</script>

<template>
  <div class="drawer">
    <h3>From the drawer</h3>
    <p v-if="pieces.length === 0" class="soft">
      The drawer is empty. <NuxtLink to="/presses">Measure the room’s packing once</NuxtLink>, and it is offered here.
    </p>
    <ul v-else class="pieces">
      <li v-for="piece in pieces" :key="piece.id">
        <button
          type="button"
          :disabled="disabled || piece.count === 0"
          :aria-label="`${piece.name} ${units.thickness(pressed(piece))}, ${piece.count} left: lay one in`"
          @click="emit('lay', piece, 1)"
        >
          {{ piece.name }} <span class="soft">{{ units.thickness(pressed(piece)) }}, {{ piece.count }} left</span>
        </button>
      </li>
    </ul>
    <p class="customs-line">
      For a missing
      <EditableValue
        v-model="missing"
        label="Missing thickness"
        kind="thickness"
        may-be-none
        :max="60"
        :words="missing === null ? 'thickness' : units.thickness(missing)"
        :disabled="disabled"
      />
      <template v-if="cards && setWords"
        >&#32;lay in <strong>{{ setWords }}</strong>, {{ units.thickness(cards.sum)
        }}<template v-if="Math.abs(cards.missing) >= 0.005"
          >, {{ units.thickness(Math.abs(cards.missing)) }} {{ cards.missing > 0 ? 'short' : 'over' }}</template
        >. <VBtn class="quiet" :disabled="disabled" @click="laySet">Lay them in</VBtn></template
      ><template v-else-if="cards">&#32;no card of the drawer comes nearer than none.</template
      ><template v-else>&#32;the drawer’s cards are reckoned.</template>
    </p>
  </div>
</template>

<style scoped>
h3 {
  margin: 18px 0 8px;
}
.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pieces button {
  border: 1px solid var(--rule);
  padding: 6px 12px;
  min-height: 36px;
  color: var(--green);
  font-size: 0.92rem;
}
.pieces button:disabled {
  color: var(--faint);
}
.customs-line {
  margin-top: 12px;
}
</style>
