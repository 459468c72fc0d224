<script setup lang="ts">
import { inkSigns, rollUpDefaults, routineWords } from '#core/ink/roll-up'
import { narrowestFor, rollerFit } from '#core/ink/roller'
import type { Layer } from '#core/edition/layer'

/** How a layer is rolled up, kept the same for every impression; whether the roller fits; what each zone takes. */
const props = defineProps<{ layer: Layer; block: { width: number; height: number } | null }>()
const edition = useEdition()
const supplies = useSupplies()
const units = useUnits()
const { busy, fault, giving } = useGiving()
const percentOf = (share: number | null | undefined) => (share == null ? '' : String(Math.round(share * 1000) / 10))
const standing = () => {
  const kept = props.layer.rollUp ?? rollUpDefaults
  const shareOf = (zoneId: string) => kept.zones.find((one) => one.zoneId === zoneId)
  return {
    ...kept,
    rollerId: kept.roller?.id ?? '',
    slab: String(Math.round(kept.slabArea / 100)),
    open: kept.openMinutes == null ? '' : String(kept.openMinutes),
    shares: Object.fromEntries(
      props.layer.zones.map(({ id }) => [
        id,
        { inked: percentOf(shareOf(id)?.inkedShare), wiped: percentOf(shareOf(id)?.wipedShare || null) },
      ]),
    ),
  }
}
const form = useFollowing(standing)
const draft = useDraft(`rolling ${props.layer.id}`, form, standing)
const across = computed(() => (props.block ? Math.min(props.block.width, props.block.height) : null))
const along = computed(() => (props.block ? Math.max(props.block.width, props.block.height) : null))
const roller = computed(
  () =>
    supplies.rollers.find((known) => known.id === form.value.rollerId) ??
    (form.value.roller?.id === form.value.rollerId ? form.value.roller : null),
)
const fit = computed(() =>
  roller.value && across.value !== null ? rollerFit(roller.value, across.value, along.value!) : null,
)
const better = computed(() => (across.value === null ? null : narrowestFor(supplies.rollers, across.value)))
const rollUp = computed(() => {
  const { shares, slab, charges, passes, directions, wiping, masks, dabbing, touching, sessions, chores, open } =
    form.value
  return {
    directions,
    wiping,
    masks,
    dabbing,
    touching,
    roller: roller.value && {
      id: roller.value.id,
      name: roller.value.name,
      width: roller.value.width,
      diameter: roller.value.diameter,
    },
    slabArea: (typedNumber(slab) || 0) * 100,
    charges: Number(charges),
    passes: Number(passes),
    sessions: Number(sessions),
    openMinutes: open.trim() === '' ? null : typedNumber(open),
    chores: chores.map((chore) => ({ every: Number(chore.every), what: chore.what.trim() })),
    zones: Object.entries(shares).map(([zoneId, { inked, wiped }]) => ({
      zoneId,
      inkedShare: inked.trim() === '' ? null : typedNumber(inked) / 100,
      wipedShare: wiped.trim() === '' ? 0 : typedNumber(wiped) / 100,
    })),
  }
})
async function save() {
  if (await giving(() => edition.give('set-roll-up', { layerId: props.layer.id, rollUp: rollUp.value }))) draft.done()
}
</script>

<template>
  <OpenForm @submit.prevent="save">
    <p class="routine">{{ routineWords(rollUp) }}</p>
    <div class="fields">
      <VSelect
        v-model="form.rollerId"
        class="wide"
        label="Roller"
        clearable
        :items="
          supplies.rollers.map((known) => ({
            value: known.id,
            title: `${known.name}, ${units.length(known.width)} wide`,
          }))
        "
        no-data-text="No roller yet: add the room’s under Ink slab"
      />
      <VTextField v-model="form.charges" label="Charges" inputmode="numeric" /><VTextField
        v-model="form.passes"
        label="Passes a charge"
        inputmode="numeric"
      />
      <VTextField v-model="form.directions" label="Directions" /><VTextField
        v-model="form.wiping"
        label="Wipe"
        placeholder="what, where"
      /><VTextField v-model="form.masks" label="Mask" /><VTextField v-model="form.dabbing" label="Dab off" /><VTextField
        v-model="form.touching"
        label="Touch in"
      />
      <VTextField v-model="form.slab" label="Slab rolled out" inputmode="decimal" suffix="cm²" /><VTextField
        v-model="form.sessions"
        label="Sessions, each with a wash-up"
        inputmode="numeric"
      /><VTextField
        v-model="form.open"
        label="Open on the slab, by its label"
        placeholder="as it says"
        inputmode="decimal"
        suffix="min"
      />
    </div>
    <template v-if="fit && roller">
      <p v-if="fit.laps.length > 0" class="warning">
        {{ roller.name }} is narrower than the block: laps will show {{ fit.laps.map(units.length).join(', ') }} from
        the start edge.<template v-if="better"> {{ better.name }} would cover it.</template>
      </p>
      <p v-else-if="!fit.covers" class="warning">
        {{ roller.name }} covers the block, but without 10 mm on each side its edges may print.<template
          v-if="better && better.id !== roller.id"
        >
          {{ better.name }} has room.</template
        >
      </p>
      <p v-if="fit.steps.length > 0" class="warning">
        It goes round once in {{ units.length(fit.circumference) }}: a step may show
        {{ fit.steps.map(units.length).join(', ') }} along the block. Recharge and begin from the other end, or cross
        it.
      </p>
      <p v-if="fit.covers && fit.steps.length === 0" class="fits">
        {{ roller.name }} covers the block and does not run dry on it.
      </p>
    </template>
    <p v-else-if="better" class="soft">
      {{ better.name }} is the narrowest that covers this block with 10 mm on each side.
    </p>
    <div v-for="zone in layer.zones.filter(({ id }) => form.shares[id])" :key="zone.id" class="fields zone">
      <p>
        <strong>{{ zone.name }}</strong>
      </p>
      <VTextField
        v-model="form.shares[zone.id]!.inked"
        :label="`Inked, ${zone.name}`"
        placeholder="as the block"
        inputmode="decimal"
        suffix="%"
      /><VTextField
        v-model="form.shares[zone.id]!.wiped"
        :label="`Wiped, ${zone.name}`"
        inputmode="decimal"
        suffix="%"
      />
    </div>
    <div v-for="(chore, i) in form.chores" :key="i" class="fields zone">
      <VTextField v-model="chore.what" label="Chore" placeholder="clear the slab’s rim" /><VTextField
        v-model="chore.every"
        label="Every so many pulls"
        inputmode="numeric"
      /><VBtn class="quiet" :aria-label="`Drop chore ${i + 1}`" @click="form.chores.splice(i, 1)">Drop</VBtn>
    </div>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Keep the routine</VBtn
      ><VBtn class="quiet" @click="form.chores.push({ every: 10, what: '' })">One more chore</VBtn>
    </div>
    <dl class="signs">
      <div>
        <dt>right</dt>
        <dd>{{ inkSigns.right }}</dd>
      </div>
      <div>
        <dt>too much</dt>
        <dd>{{ inkSigns.much }}</dd>
      </div>
      <div>
        <dt>too little</dt>
        <dd>{{ inkSigns.little }}</dd>
      </div>
    </dl>
  </OpenForm>
</template>

<style scoped>
.routine {
  font-family: var(--serif);
  font-size: 1.05rem;
  padding-bottom: 12px;
}
.warning {
  color: var(--doubtful);
  font-weight: 600;
  font-size: 0.92rem;
  padding-top: 8px;
}
.fits {
  color: var(--green);
  font-weight: 600;
  padding-top: 8px;
}
.zone {
  align-items: end;
  margin-top: 8px;
}
.signs {
  margin-top: 18px;
  font-size: 0.9rem;
}
.signs > div {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  gap: 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.signs dt {
  color: var(--soft);
}
.signs dd {
  margin: 0;
  max-width: 70ch;
}
</style>
