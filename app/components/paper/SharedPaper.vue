<script setup lang="ts">
import { piecesTogether, undivided } from '#core/edition/lock-up'
import { pieceWord } from '#core/edition/sheet'
import { imagesOn, mostImages } from '#core/paper/piece'
import { pluralise } from '#core/units/pluralise'

/** Pieces of paper that hold several images: said while they are blank, undone by cutting them apart. */
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
/** Asked about only where the piece is planned for several images. */
const planned = computed(() => (state.value.piece ? imagesOn(state.value.piece.images) : 1))
const isPlanned = computed(() => planned.value > 1)
const images = ref(Math.max(2, planned.value))
const alone = computed(() => undivided(state.value))
const pieces = computed(() => piecesTogether(state.value))
const locked = computed(() => !!state.value.closedAt || !edition.isTheirs)
const share = () =>
  giving(() => edition.give('share-piece', { sheetIds: alone.value.map(({ id }) => id), images: images.value }))
const cut = () => giving(() => edition.give('cut-apart', { sheetIds: pieces.value.map(([first]) => first!.id) }))
</script>

<template>
  <div v-if="!locked && (pieces.length > 0 || (alone.length > 0 && isPlanned))" class="customs">
    <p v-if="pieces.length > 0">
      {{ pluralise(pieces.length, 'piece') }} of paper {{ pieces.length === 1 ? 'holds' : 'hold' }} several images,
      sheets
      {{
        pieces
          .slice(0, 3)
          .map(([first]) => pieceWord(first!))
          .join(', ')
      }}{{ pieces.length > 3 ? ' …' : '' }}.
      <button type="button" class="link" :disabled="busy" @click="cut">They are cut apart</button>
    </p>
    <p v-if="alone.length > 0 && isPlanned">
      {{ pluralise(alone.length, 'blank piece') }} {{ alone.length === 1 ? 'holds' : 'hold' }} one image each; they are
      to hold
      <EditableValue
        v-model="images"
        label="Images to a piece"
        :min="2"
        :max="mostImages"
        unit="images"
        :words="pluralise(images, 'image')"
      />.
      <button type="button" class="link" :disabled="busy" @click="share">So they are</button>
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
