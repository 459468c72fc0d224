<script setup lang="ts">
import { careAt } from '#core/care/cards'
import { setupInForce } from '#core/edition/layer'
import { sectionOf } from '#core/edition/section'
import { edgeDoubt, edgeFault, pinsUnknown } from '#core/press/edges'
import { hasRoller } from '#core/press/kinds'
import { readingWords } from '#core/press/screws'
import { pluralise } from '#core/units/pluralise'
import { setUpsOf } from '#core/run/set-ups'
import type { ScrewSetting } from '#core/press/stack'

const edition = useEdition()
const supplies = useSupplies()
const units = useUnits()
const { layerId, layer } = useLayerChoice()
const setting = useGiving()

const pressForm = usePressForm(layer)
const { setup, block, guessedSheet, form, isChanged, press, height, answer, steps, hasScrews, screws } = pressForm
const { drawer, missing, reckoned } = pressForm
const presses = computed(() => supplies.presses.map(({ id, name }) => ({ value: id, title: name })))
/** Layers whose set-up can be taken over. */
const others = computed(() =>
  edition.state!.layers.filter((other) => other.id !== layerId.value && setupInForce(other) !== null),
)
const told = computed(() => setUpsOf(edition.state!, layerId.value))
/** A gap that the proofs recommend comes with the way here. */
const wanted = Number(useRoute().query.gap)
if (wanted > 0) {
  form.value.nip = wanted
  pressForm.changed()
}
/** Nothing was set on the press after this. */
const stands = computed(() => {
  const last = press.value?.last
  return !isChanged.value && last?.editionStream === edition.state!.stream && last.layerId === layerId.value
})
const section = computed(() =>
  sectionOf(edition.state!, supplies.drawer, { packing: form.value.packing, block: block.value }),
)
const edge = computed(() => (press.value ? edgeFault(press.value.kind, section.value) : null))
const doubt = computed(() => (press.value ? edgeDoubt(press.value.kind, section.value) : null))
const pinsAsked = computed(() => press.value !== null && pinsUnknown(press.value.kind, section.value))
const book = computed(() => edition.state!.blocks.find((one) => one.block.name === block.value?.name))
const disabled = computed(() => !!edition.state!.closedAt || !edition.isTheirs)

/** One screw, as it was really set: what is reckoned until somebody says otherwise. */
const screw = (side: 'left' | 'right', part: 'turns' | 'divisions') =>
  computed({
    get: () => screws.value[side][part],
    set: (value: number) => {
      form.value[side] = { ...screws.value[side], [part]: value }
    },
  })
const leftTurns = screw('left', 'turns')
const leftDivisions = screw('left', 'divisions')
const rightTurns = screw('right', 'turns')
const rightDivisions = screw('right', 'divisions')
const asReckoned = computed(() => form.value.left === null && form.value.right === null)

function readIn(left: ScrewSetting, right: ScrewSetting) {
  form.value.left = left
  form.value.right = right
}

async function set() {
  if (!form.value.pressId) return setting.refuse('Choose the press first, or add it under Presses.')
  const set = { layerId: layerId.value, ...pressForm.data() }
  if (!(await setting.giving(() => edition.give('set-press', set)))) return
  pressForm.kept()
}
</script>

<template>
  <div>
    <LayerPicker v-model="layerId" :layers="edition.state!.layers" />
    <section class="part">
      <TeachStep v-if="supplies.presses.length === 0"
        ><NuxtLink to="/presses">Add the room’s first press</NuxtLink></TeachStep
      >
      <template v-else>
        <p class="sentence">
          At
          <EditableValue
            v-model="form.pressId"
            label="Press"
            kind="choice"
            :options="[{ value: '', title: 'no press yet' }, ...presses]"
            :words="press?.name ?? 'no press yet'"
            :disabled="disabled"
            @kept="pressForm.changed()"
          />, on a sheet
          <EditableValue
            v-model="form.sheet"
            label="Thickness of the sheet"
            kind="thickness"
            may-be-none
            :max="10"
            :words="
              form.sheet !== null
                ? units.thickness(form.sheet)
                : guessedSheet !== null
                  ? `about ${units.thickness(guessedSheet)}`
                  : 'not measured yet'
            "
            :disabled="disabled"
            @kept="pressForm.changed()"
          />
          thick<template v-if="hasScrews"
            >, the gap
            <EditableValue
              v-model="form.nip"
              label="Gap below the stack"
              kind="thickness"
              :max="20"
              :words="units.thickness(form.nip)"
              :disabled="disabled"
              @kept="pressForm.changed()"
            />
            below the stack</template
          >.
        </p>
        <div class="set">
          <div>
            <SandwichDrawing
              :packing="form.packing"
              :block="block"
              :press="press?.name ?? ''"
              :roller="press !== null && hasRoller(press.kind)"
              :editable="!disabled"
              @move="pressForm.move"
              @take="pressForm.takeOut"
            />
            <p v-if="!block" class="soft">
              The block is not described yet. <NuxtLink :to="`/editions/${edition.id}/block`">Describe it</NuxtLink>,
              and its thickness counts.
            </p>
          </div>
          <SetUpAnswer :answer="answer" :steps="steps" :screws="screws" :height="height" :stands="stands" />
        </div>
        <p v-if="edge" class="trouble" role="alert">{{ edge }}</p>
        <p v-else-if="pinsAsked" class="soft">
          The registration has pins, and nobody said how high they stand:
          <NuxtLink :to="`/editions/${edition.id}/register`">say it</NuxtLink> before they go under a roller.
        </p>
        <p v-if="!edge && doubt" class="soft">{{ doubt }}</p>
        <PlatenLevel
          v-if="press && (press.kind === 'platen' || press.kind === 'clamshell') && press.bed && book"
          :block="book.block"
          :picture-id="book.states.findLast(({ pictureId }) => pictureId)?.pictureId ?? null"
          :bed="press.bed"
        />
        <PackingDrawer v-model:missing="missing" :pieces="drawer" :disabled="disabled" @lay="pressForm.layIn" />
        <div class="customs">
          <p v-if="hasScrews">
            {{ asReckoned ? 'It is set as reckoned' : 'It was really set to' }}: left
            <EditableValue
              v-model="leftTurns"
              label="Left turns"
              :max="60"
              unit="turns"
              :words="readingWords({ turns: leftTurns, divisions: 0 })"
              :disabled="disabled"
            />
            and
            <EditableValue
              v-model="leftDivisions"
              label="Left divisions"
              kind="decimal"
              :max="400"
              unit="divisions"
              :words="`${leftDivisions} divisions`"
              :disabled="disabled"
            />, right
            <EditableValue
              v-model="rightTurns"
              label="Right turns"
              :max="60"
              unit="turns"
              :words="readingWords({ turns: rightTurns, divisions: 0 })"
              :disabled="disabled"
            />
            and
            <EditableValue
              v-model="rightDivisions"
              label="Right divisions"
              kind="decimal"
              :max="400"
              unit="divisions"
              :words="`${rightDivisions} divisions`"
              :disabled="disabled"
            />.
            <button
              v-if="!asReckoned && answer?.kind === 'screws'"
              type="button"
              class="link"
              @click="pressForm.changed()"
            >
              As reckoned instead
            </button>
          </p>
          <PressGauge
            v-if="press && answer?.kind === 'screws'"
            :press-id="press.id"
            :screws="answer.screws"
            :backlash="press.backlash"
            :wanted="{ left: reckoned, right: reckoned }"
            :disabled="disabled"
            @read="readIn"
          />
          <p>
            Noted:
            <EditableValue
              v-model="form.note"
              label="Note"
              kind="text"
              :longest="500"
              :words="form.note || 'nothing yet'"
              :disabled="disabled"
            />
          </p>
        </div>
        <TroubleLine :words="setting.fault.value" />
        <div class="buttons">
          <VBtn :disabled="disabled || !isChanged" :loading="setting.busy.value" @click="set">Set the press</VBtn>
          <VBtn
            v-for="other in others"
            :key="other.id"
            class="quiet"
            :disabled="disabled"
            @click="pressForm.takeFrom(other)"
            >As for {{ other.name }}</VBtn
          >
        </div>
        <p v-if="setup && !isChanged" class="soft">Each pull keeps the setting that was in force.</p>
      </template>
      <CareNotes v-if="press" :cards="careAt(press.kind)" class="care" />
    </section>
    <section v-if="told.length > 1" class="part">
      <div class="part-head">
        <h2>Side by side</h2>
        <p>what changed since the good ones</p>
      </div>
      <ul class="lines">
        <li v-for="one in told" :key="one.seq" class="old">
          <span
            ><strong>{{ one.isInForce ? 'now' : one.setup.pressName }}</strong
            ><template v-if="one.setup.left.turns || one.setup.left.divisions"
              >, left {{ readingWords(one.setup.left) }}, right {{ readingWords(one.setup.right) }}</template
            ><template v-if="one.setup.nip !== null">, gap {{ units.thickness(one.setup.nip) }}</template>
            <span class="soft">
              {{ one.setup.packing.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)).join(', ') }}
              {{ one.setup.note }}</span
            ></span
          >
          <span>{{ one.good }} good, {{ one.doubtful }} doubtful, {{ pluralise(one.rejects, 'reject') }}</span>
          <span v-if="!one.isInForce" class="soft"
            >since then: {{ one.since.length > 0 ? one.since.join('; ') : 'nothing' }}</span
          >
          <button
            v-if="!one.isInForce && !disabled"
            type="button"
            class="link"
            :aria-label="`Set it as it was: ${readingWords(one.setup.left)}`"
            @click="pressForm.takeBack(one.setup)"
          >
            As it was
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.set {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 20px 36px;
  margin-top: 14px;
}
.customs {
  margin-top: 16px;
}
.old {
  font-size: 0.95rem;
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) 190px minmax(0, 1fr) auto;
  gap: 4px 22px;
}
.care {
  margin-top: 16px;
}
@media (max-width: 900px) {
  .set,
  .old {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
