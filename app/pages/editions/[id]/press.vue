<script setup lang="ts">
import { v7 } from 'uuid'
import { pressKinds } from '#core/stores/press/state'
import { setupInForce } from '#core/edition/layer'

const edition = useEdition()
const session = useSession()
const supplies = useSupplies()
const units = useUnits()
const { layerId, layer } = useLayerChoice()
const setting = useGiving()
const adding = useGiving()
onMounted(() => void supplies.load())

interface Form {
  pressId: string
  packing: { name: string; thickness: number | null }[]
  left: { turns: string; divisions: string }
  right: { turns: string; divisions: string }
  note: string
}
const showPress = ref(false)
const press = ref({ name: '', kind: 'roller bed' as const, divisions: '12' })
const setup = computed(() => (layer.value ? setupInForce(layer.value) : null))
const form = useFollowing(asSet, () => layerId.value)
const chosen = computed(() => supplies.presses.find((p) => p.id === form.value.pressId))
const hasScrews = computed(() => (chosen.value?.divisions ?? 0) > 0)
const stack = computed(() => form.value.packing.reduce((sum, piece) => sum + (piece.thickness || 0), 0))

function blank(): Form {
  return {
    pressId: '',
    packing: [{ name: '', thickness: null }],
    left: { turns: '0', divisions: '0' },
    right: { turns: '0', divisions: '0' },
    note: '',
  }
}

/** The setting in force, as it is typed. */
function asSet(): Form {
  const now = setup.value
  if (!now) return blank()
  const typed = (screw: { turns: number; divisions: number }) => ({
    turns: String(screw.turns),
    divisions: String(screw.divisions),
  })
  return {
    pressId: now.pressId,
    note: now.note,
    packing: now.packing.map((piece) => ({ name: piece.name, thickness: piece.thickness })),
    left: typed(now.left),
    right: typed(now.right),
  }
}

const screwWords = (screw: { turns: number; divisions: number }) =>
  `${screw.turns} ${screw.turns === 1 ? 'turn' : 'turns'}, ${screw.divisions} ${screw.divisions === 1 ? 'division' : 'divisions'}`
const thick = (packing: readonly { thickness: number }[]) => packing.reduce((sum, piece) => sum + piece.thickness, 0)
const block = computed(() => {
  const known = edition.state!.blocks.find(({ id }) => layer.value?.blocks.includes(id)) ?? edition.state!.blocks[0]
  return known ? { name: known.block.name, thickness: known.block.thickness } : null
})
const number = (text: string) => typedNumber(text, 0)

async function set() {
  if (!form.value.pressId) return void (setting.fault.value = 'Choose the press first, or add it.')
  const screw = (s: { turns: string; divisions: string }) => ({
    turns: number(s.turns),
    divisions: number(s.divisions),
  })
  await setting.giving(() =>
    edition.give('set-press', {
      layerId: layerId.value,
      pressId: form.value.pressId,
      note: form.value.note,
      packing: form.value.packing
        .filter((piece) => piece.name.trim() !== '')
        .map((piece) => ({ name: piece.name.trim(), thickness: piece.thickness ?? 0 })),
      left: screw(form.value.left),
      right: screw(form.value.right),
    }),
  )
}

async function addPress() {
  const id = v7()
  if (
    await adding.giving(() =>
      session.give(`press:${id}`, 'add-press', { ...press.value, divisions: number(press.value.divisions) }),
    )
  ) {
    showPress.value = false
    await supplies.load()
    form.value.pressId = id
  }
}
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <div class="part-head">
        <h2>The press for {{ layer?.name }}</h2>
        <p>each pull keeps the setting that was in force</p>
      </div>
      <template v-if="setup">
        <p class="sentence">
          <strong>{{ setup.pressName }}</strong><template v-if="setup.packing.length > 0"
            >, {{ units.thickness(thick(setup.packing)) }} of packing</template
          >, left {{ screwWords(setup.left) }}, right {{ screwWords(setup.right) }}.
        </p>
        <SandwichDrawing :packing="setup.packing" :block="block" :press="setup.pressName" />
        <p v-if="setup.note" class="soft">{{ setup.note }}</p>
      </template>
      <TeachStep v-else />
    </section>
    <FoldedPart
      :key="layerId"
      :title="setup ? 'Set it anew' : 'The setting'"
      words="packing and screws, from each one’s own zero"
      :missing="setup === null"
    >
      <OpenForm @submit.prevent="set">
        <div class="fields">
          <VSelect
            v-model="form.pressId"
            class="wide"
            label="Press"
            placeholder="choose"
            :items="supplies.presses.map((p) => ({ value: p.id, title: `${p.name}, ${p.kind}` }))"
            no-data-text="No press in the room yet"
          />
        </div>
        <h3>Packing, from the sheet outwards</h3>
        <div v-for="(piece, i) in form.packing" :key="i" class="packing">
          <VTextField v-model="piece.name" :label="`Piece ${i + 1}`" placeholder="card, felt, blanket …" />
          <LengthField v-model="piece.thickness" label="Thickness" fine />
          <VBtn class="quiet" :aria-label="`Take out piece ${i + 1}`" @click="form.packing.splice(i, 1)">Take out</VBtn>
        </div>
        <div class="buttons">
          <VBtn class="quiet" @click="form.packing.push({ name: '', thickness: null })">One more piece</VBtn
          ><span class="soft">{{ units.thickness(stack) }} in all</span>
        </div>
        <template v-if="hasScrews">
          <h3>Screws, from each one’s own zero</h3>
          <div class="fields">
            <VTextField v-model="form.left.turns" label="Left" inputmode="numeric" suffix="turns" /><VTextField
              v-model="form.left.divisions"
              label="Left"
              inputmode="decimal"
              :suffix="`of ${chosen!.divisions} divisions`"
            />
            <VTextField v-model="form.right.turns" label="Right" inputmode="numeric" suffix="turns" /><VTextField
              v-model="form.right.divisions"
              label="Right"
              inputmode="decimal"
              :suffix="`of ${chosen!.divisions} divisions`"
            />
          </div>
        </template>
        <VTextField
          v-model="form.note"
          class="apart"
          label="Note"
          placeholder="what worked, what lay on the bed at zero"
        />
        <p v-if="setting.fault.value" class="trouble" role="alert">{{ setting.fault.value }}</p>
        <div class="buttons">
          <VBtn type="submit" :loading="setting.busy.value">Set the press</VBtn
          ><VBtn class="quiet" @click="showPress = !showPress">{{
            showPress ? 'Leave the new press' : 'Add a press'
          }}</VBtn>
        </div>
        <p class="soft care">
          Hands, sleeves and hair clear of rollers and levers; one person works the press. The studio’s own rules and
          trained staff come first.
        </p>
      </OpenForm>
    </FoldedPart>
    <section v-if="showPress" class="part">
      <div class="part-head"><h2>A press in the room</h2></div>
      <OpenForm @submit.prevent="addPress">
        <div class="fields">
          <VTextField
            v-model="press.name"
            label="Name"
            placeholder="as people call it"
            :error-messages="adding.field.value === 'name' ? adding.fault.value : undefined"
          />
          <VSelect v-model="press.kind" label="Kind" :items="[...pressKinds]" />
          <VTextField
            v-model="press.divisions"
            label="Divisions on a turn"
            inputmode="numeric"
            hint="0 when it has no screws"
            persistent-hint
          />
        </div>
        <p v-if="adding.fault.value" class="trouble" role="alert">{{ adding.fault.value }}</p>
        <div class="buttons"><VBtn type="submit" :loading="adding.busy.value">Add the press</VBtn></div>
      </OpenForm>
    </section>
  </div>
</template>

<style scoped>
.standing {
  margin-bottom: 16px;
}
h3 {
  margin: 22px 0 8px;
}
.packing {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px auto;
  gap: 20px;
  align-items: end;
  max-width: 560px;
  margin-bottom: 10px;
}
.care {
  font-size: 0.85rem;
  margin-top: 16px;
  max-width: 60ch;
}
</style>
