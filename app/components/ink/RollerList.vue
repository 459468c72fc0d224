<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { v7 } from 'uuid'
import { rollerFit } from '#core/ink/roller'
import type { Roller } from '#core/ink/roller'

/** The hand rollers of the room. */
const session = useSession()
const supplies = useSupplies()
const lastUse = useLastUse()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const rollers = computed(() => [...supplies.rollers].sort((a, b) => a.width - b.width))
const form = ref<{ name: string; width: number | null; diameter: number | null }>({
  name: '',
  width: null,
  diameter: null,
})

async function add() {
  const { name, width, diameter } = form.value
  if (
    await giving(() =>
      session.give('set-roller', studio.of(), {
        id: v7(),
        name: name.trim(),
        width: width ?? 0,
        diameter: diameter ?? 0,
      }),
    )
  ) {
    form.value = { name: '', width: null, diameter: null }
  }
}
const retire = (roller: Roller) => giving(() => session.give('retire-roller', studio.of(), { id: roller.id }))
</script>

<template>
  <div>
    <ul v-if="rollers.length > 0" class="lines">
      <li v-for="roller in rollers" :key="roller.id" class="roller">
        <svg :viewBox="`0 0 340 30`" aria-hidden="true">
          <rect x="0" y="4" :width="Math.min(300, roller.width)" height="22" />
          <path :d="`M${Math.min(300, roller.width)},15 h24`" />
        </svg>
        <div>
          <strong>{{ roller.name }}</strong>
          <p class="soft">
            {{ units.length(roller.width) }} wide, {{ units.length(roller.diameter) }} thick; goes round in
            {{ units.length(rollerFit(roller, 0, 0).circumference)
            }}<template v-if="lastUse.ofRoller(roller.id)">; {{ lastUse.ofRoller(roller.id) }}</template>
          </p>
        </div>
        <button type="button" class="plain" :aria-label="`Retire ${roller.name}`" @click="retire(roller)">
          Retire
        </button>
      </li>
    </ul>
    <p v-else class="soft">
      No roller yet. Say which the room has, and each layer can tell whether one covers its block.
    </p>
    <form @submit.prevent="add">
      <div class="fields">
        <VTextField v-model="form.name" label="Roller" placeholder="large soft" /><LengthField
          v-model="form.width"
          label="Its width"
        /><LengthField v-model="form.diameter" label="Its thickness" /><VBtn type="submit" class="quiet" :loading="busy"
          >Add the roller</VBtn
        >
      </div>
      <TroubleLine :words="fault" />
    </form>
  </div>
</template>

<style scoped>
.roller {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) auto;
  gap: 20px;
  align-items: center;
}
svg {
  width: 220px;
  height: 20px;
}
rect {
  fill: var(--ink);
}
path {
  stroke: var(--ink);
  stroke-width: 5;
}
.plain {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.9rem;
}
form {
  margin-top: 16px;
}
.fields {
  align-items: end;
}
</style>
