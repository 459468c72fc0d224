<script setup lang="ts">
import { awaitingNumbers } from '#core/edition/stack'
import { anySigned } from '#core/edition/sheet'
import { signingList } from '#core/edition/pencil'

/** Numbers, signatures, and what goes wrong with either. */
const edition = useEdition()
const state = computed(() => edition.state!)
const numbered = computed(() => signingList(state.value).length)
const waiting = computed(() => awaitingNumbers(state.value).length)
const isOpen = computed(() => state.value.closedAt === null)
</script>

<template>
  <div>
    <GiveNumbers v-if="isOpen && (waiting > 0 || numbered === 0)" />
    <SigningDesk v-if="numbered > 0" />
    <OutsideMarks v-if="numbered > 0" />
    <GoneWrong v-if="numbered > 0 && isOpen" />
    <AmendSize v-if="anySigned(state) && isOpen" />
  </div>
</template>
