<script setup lang="ts">
import type { Layer } from '#core/edition/layer'
import { factors, type Growth, misfit, mostBlankPasses, settlingFault } from '#core/register/growth'

/** How the paper is got ready for a layer: blank passes that settle it, and how much it grew between two marks. */
const props = defineProps<{ layer: Layer; image: { width: number; height: number }; disabled: boolean }>()
const edition = useEdition()
const units = useUnits()
const { fault, giving } = useGiving()
const copy = <Value,>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
const form = useFollowing(
  () => copy(props.layer.settling),
  () => props.layer.id,
)
const cannot = computed(() => settlingFault(form.value))
const percent = (factor: number) => `${factor > 1 ? '+' : ''}${((factor - 1) * 100).toFixed(2)} %`
const grown = computed(() => factors(props.layer.settling.growth).map(percent))
/** Layers printed on paper of another size: what that costs in register. */
const missing = computed(() =>
  edition
    .state!.layers.filter(({ id }) => id !== props.layer.id)
    .map((other) => ({
      name: other.name,
      far: Math.max(...misfit(props.image, other.settling.growth, props.layer.settling.growth)),
    }))
    .filter(({ far }) => far >= 0.1),
)

const keep = () =>
  cannot.value === null &&
  giving(() => edition.give('settle-paper', { layerId: props.layer.id, settling: copy(form.value) }))

/** Marks over most of the sheet say more than marks close together. */
function measure() {
  const sheet = edition.state!.register?.register.sheet ?? { width: 300, height: 230 }
  const marks = (side: number) => ({ before: Math.round(side * 0.8), after: Math.round(side * 0.8) })
  form.value.growth = { width: marks(sheet.width), height: marks(sheet.height) }
}
function forget() {
  form.value.growth = null
  void keep()
}
const sides: { key: keyof Growth; words: string }[] = [
  { key: 'width', words: 'along the width' },
  { key: 'height', words: 'along the height' },
]
</script>

<template>
  <div class="customs">
    <p>
      For {{ layer.name }} each sheet goes through the press blank
      <EditableValue
        v-model="form.passes"
        label="Blank passes"
        :max="mostBlankPasses"
        unit="times"
        :words="form.passes === 0 ? 'not at all' : form.passes === 1 ? 'once' : `${form.passes} times`"
        :disabled="disabled"
        @kept="keep"
      />
      before it is printed.
      <template v-if="form.growth">
        Between two marks the sheet measured<template v-for="(side, i) in sides" :key="side.key"
          >{{ i > 0 ? ';' : '' }} {{ side.words }}
          <EditableValue
            v-model="form.growth[side.key].before"
            :label="`Between the marks ${side.words}, as torn`"
            kind="thickness"
            :max="5000"
            :words="units.thickness(form.growth[side.key].before)"
            :disabled="disabled"
            @kept="keep"
          />
          as torn,
          <EditableValue
            v-model="form.growth[side.key].after"
            :label="`Between the marks ${side.words}, when it is printed`"
            kind="thickness"
            :max="5000"
            :words="units.thickness(form.growth[side.key].after)"
            :disabled="disabled"
            @kept="keep"
          />
          when it is printed</template
        >. <button v-if="!disabled" type="button" class="link" @click="forget">Take it as torn</button></template
      >
      <button v-else-if="!disabled" type="button" class="link" @click="measure">
        It was measured before and after
      </button>
    </p>
    <p v-if="cannot" class="trouble" role="alert">{{ cannot.message }}</p>
    <p v-else-if="layer.settling.growth">
      The jig of {{ layer.name }} is drawn {{ grown[0] }} wide and {{ grown[1] }} high; the block keeps its size.
    </p>
    <p v-for="other in missing" :key="other.name">
      Against {{ other.name }} it is out by {{ units.thickness(other.far) }} at the far edge of the image. Get the paper
      ready the same way for both.
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
