<script setup lang="ts">
import { everywhere, screens } from '~/help/screens'

/** The keys and words of the screen one is at. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()
const help = computed(() => screens[String(route.name)])
const isBench = computed(() => route.name === 'bench-id')
const keys = computed(() => [...(help.value?.keys ?? []), ...(isBench.value ? everywhere.slice(0, 2) : everywhere)])
</script>

<template>
  <VDialog v-model="open" aria-label="Keys and words of this screen">
    <div class="dialog-sheet">
      <h2>This screen</h2>
      <p>{{ help?.says }}</p>
      <div class="halves">
        <dl aria-label="Keys">
          <div v-for="[key, does] in keys" :key="key">
            <dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ does }}</dd>
          </div>
        </dl>
        <dl v-if="help?.words" aria-label="Words">
          <div v-for="[word, means] in help.words" :key="word">
            <dt>{{ word }}</dt>
            <dd>{{ means }}</dd>
          </div>
        </dl>
      </div>
      <div class="buttons"><VBtn class="quiet" @click="open = false">Leave it</VBtn></div>
    </div>
  </VDialog>
</template>

<style scoped>
.dialog-sheet {
  max-height: 88vh;
  overflow-y: auto;
}
.halves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 10px 30px;
}
dl > div {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
kbd {
  border: 1px solid var(--faint);
  padding: 1px 7px;
  font-family: var(--sans);
  font-size: 0.82rem;
  font-weight: 400;
}
</style>
