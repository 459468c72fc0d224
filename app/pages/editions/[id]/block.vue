<script setup lang="ts">
import { percent } from '~/drawings/words'

const edition = useEdition()
const open = ref<{ what: 'new' | 'change' | 'state' | 'exposure' | 'share'; blockId: string } | null>(
  edition.state!.blocks.length === 0 ? { what: 'new', blockId: '' } : null,
)
const toggle = (what: 'change' | 'state' | 'exposure' | 'share', blockId: string) => {
  open.value = open.value?.what === what && open.value.blockId === blockId ? null : { what, blockId }
}
const isOpen = (what: string, blockId: string) => open.value?.what === what && open.value.blockId === blockId
</script>

<template>
  <div>
    <section v-for="known in edition.state!.blocks" :key="known.id" class="part">
      <div class="part-head">
        <h2>{{ known.block.name }}</h2>
      </div>
      <BlockView :known="known" />
      <BlockKept :block-id="known.id" :name="known.block.name" />
      <div v-if="!edition.state!.closedAt" class="buttons">
        <VBtn class="quiet" @click="toggle('state', known.id)">Record a state</VBtn>
        <VBtn class="quiet" @click="toggle('change', known.id)">Change {{ known.block.name }}</VBtn>
        <VBtn class="quiet" @click="toggle('share', known.id)"
          >Inked share{{ known.inkedShare ? `, ${percent(known.inkedShare.share)}` : '' }}</VBtn
        >
        <VBtn v-if="known.block.kind === 'photopolymer'" class="quiet" @click="toggle('exposure', known.id)"
          >Exposure and step test</VBtn
        >
      </div>
      <div v-if="isOpen('state', known.id)" class="apart"><StateForm :block-id="known.id" @done="open = null" /></div>
      <div v-if="isOpen('share', known.id)" class="apart">
        <InkedShare :key="known.id" :block="known" @done="open = null" />
      </div>
      <div v-if="isOpen('change', known.id)" class="apart">
        <BlockForm :known="known" :image="null" @done="open = null" />
      </div>
      <div v-if="isOpen('exposure', known.id)" class="apart"><ExposureForm :block="known" /></div>
    </section>
    <section class="part">
      <TeachStep v-if="edition.state!.blocks.length === 0" />
      <template v-if="open?.what === 'new'">
        <div class="part-head">
          <h2>{{ edition.state!.blocks.length === 0 ? 'The block' : 'One more block' }}</h2>
          <p>its place on the sheet comes with the registration sheet</p>
        </div>
        <BlockForm :image="edition.state!.piece?.image ?? null" @done="open = null" />
      </template>
      <div v-else-if="!edition.state!.closedAt" class="buttons">
        <VBtn @click="open = { what: 'new', blockId: '' }">{{
          edition.state!.blocks.length === 0 ? 'Describe the block' : 'One more block'
        }}</VBtn><VBtn class="quiet" :to="`/editions/${edition.id}/register`">Registration sheet</VBtn>
      </div>
      <UseKept v-if="!edition.state!.closedAt && edition.isTheirs" />
    </section>
  </div>
</template>
