<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { v7 } from 'uuid'
import { type DrawerPiece, inUse, pieceKinds } from '#core/press/drawer'

/** The packing drawer of the room: measured once, counted, and offered at every press. */
const session = useSession()
const supplies = useSupplies()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const kinds = pieceKinds.map((kind) => ({ value: kind, title: kind }))
const blank = (): DrawerPiece => ({
  id: v7(),
  name: '',
  kind: 'card',
  thickness: 0,
  squeezed: null,
  count: 1,
  length: null,
})
const form = ref(blank())
const edited = ref(false)
const used = computed(() => inUse(supplies.presses.flatMap(({ standing }) => (standing ? [standing.setting] : []))))
const pieces = computed(() =>
  [...supplies.drawer].sort((a, b) => a.kind.localeCompare(b.kind) || a.thickness - b.thickness),
)
const givesWay = computed(() => form.value.kind === 'felt' || form.value.kind === 'blanket')

function edit(piece: DrawerPiece) {
  form.value = { ...piece }
  edited.value = true
}
function leave() {
  form.value = blank()
  edited.value = false
}
async function keep() {
  const piece = { ...form.value, squeezed: givesWay.value ? form.value.squeezed : null }
  if (!(await giving(() => session.give('set-packing', studio.of(), piece)))) return
  leave()
}
const retire = ({ id }: DrawerPiece) => giving(() => session.give('retire-packing', studio.of(), { id }))
</script>

<template>
  <div>
    <ul v-if="pieces.length > 0" class="lines">
      <li v-for="piece in pieces" :key="piece.id" class="piece">
        <svg width="70" height="26" aria-hidden="true">
          <rect
            x="0"
            :y="24 - Math.min(22, 2 + 6 * piece.thickness)"
            width="70"
            :height="Math.min(22, 2 + 6 * piece.thickness)"
          />
        </svg>
        <span
          ><strong>{{ piece.name }}</strong> <span class="soft">{{ piece.kind }}</span></span
        >
        <span
          >{{ units.thickness(piece.thickness)
          }}<span v-if="piece.squeezed !== null" class="soft">, {{ units.thickness(piece.squeezed) }} squeezed</span
          ><span v-if="piece.length !== null" class="soft">, {{ units.length(piece.length) }} long</span></span
        >
        <span
          >{{ piece.count
          }}<span v-if="used.get(piece.id)" class="soft">, {{ used.get(piece.id) }} in presses</span></span
        >
        <span v-if="session.isStaff || session.person?.role === 'member'" class="acts"
          ><button type="button" :aria-label="`Measure anew: ${piece.name}`" @click="edit(piece)">Measure anew</button
          ><button type="button" :aria-label="`Take out: ${piece.name}`" @click="retire(piece)">Take out</button></span
        >
      </li>
    </ul>
    <p v-else class="soft">
      Nothing is in the drawer yet. Measure what the room packs its presses with, one piece of each.
    </p>
    <ActForm
      v-if="session.isStaff || session.person?.role === 'member'"
      :button="edited ? 'Keep the measures' : 'Put it in the drawer'"
      quiet
      :busy="busy"
      :fault="fault"
      @give="keep"
    >
      <p class="customs-line">
        {{ edited ? 'Measured anew:' : 'Into the drawer:' }}
        <EditableValue v-model="form.count" label="How many" :max="1000" :words="String(form.count)" /> ×
        <EditableValue
          v-model="form.name"
          label="Name of the packing"
          kind="text"
          :longest="60"
          :words="form.name || 'what it is called'"
        />, a
        <EditableValue v-model="form.kind" label="Kind of packing" kind="choice" :options="kinds" :words="form.kind" />,
        <EditableValue
          v-model="form.thickness"
          label="Thickness of one"
          kind="thickness"
          :max="60"
          :words="form.thickness > 0 ? units.thickness(form.thickness) : 'not measured'"
        />
        thick<template v-if="givesWay"
          >,
          <EditableValue
            v-model="form.squeezed"
            label="Squeezed"
            kind="thickness"
            may-be-none
            :max="60"
            :words="form.squeezed === null ? 'not measured' : units.thickness(form.squeezed)"
          />
          when squeezed</template
        >,
        <EditableValue
          v-model="form.length"
          label="Length along the bed"
          kind="thickness"
          may-be-none
          :max="5000"
          :words="form.length === null ? 'covering the bed' : `${units.length(form.length)} long`"
        />.
      </p>
      <template #beside><VBtn v-if="edited" class="quiet" @click="leave">Leave it</VBtn></template>
    </ActForm>
  </div>
</template>

<style scoped>
.piece {
  display: grid;
  grid-template-columns: 70px minmax(0, 1.4fr) minmax(0, 1.4fr) minmax(0, 1fr) auto;
  gap: 18px;
  align-items: center;
  font-size: 0.95rem;
}
rect {
  fill: #d9d2c2;
  stroke: var(--ink);
  stroke-width: 0.6;
}
.acts {
  display: flex;
  gap: 14px;
}
.acts button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.88rem;
}
.customs-line {
  margin-top: 16px;
  line-height: 1.7;
}
@media (max-width: 900px) {
  .piece {
    grid-template-columns: 70px minmax(0, 1fr);
  }
}
</style>
