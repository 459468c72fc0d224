<script setup lang="ts">
import { readingWords } from '#core/press/screws'
import { packingHeight } from '#core/press/stack'
import type { UsesReply } from '#shared/replies/replies'
import { ago } from '~/drawings/words'

/** What was set on a press, newest first; found again by edition, layer, block, packing, paper, ink or note. */
const props = defineProps<{ pressId: string }>()
const session = useSession()
const units = useUnits()
const search = ref('')
const uses = ref<UsesReply['uses'] | null>(null)
const trouble = ref('')
let asked = 0

async function load() {
  const turn = ++asked
  try {
    const reply = await api<UsesReply>(`/api/presses/${props.pressId}/uses?search=${encodeURIComponent(search.value)}`)
    // A slower answer to an older question is not shown over a newer one.
    if (turn === asked) uses.value = reply.uses
    trouble.value = ''
  } catch (error) {
    if (turn === asked) trouble.value = wordsOf(error)
  }
}
onMounted(load)
watchDebounced([search], () => void load(), 200)
</script>

<template>
  <div>
    <div class="fields">
      <VTextField
        v-model="search"
        class="wide"
        label="Find a set-up"
        placeholder="edition, block, thickness, paper, ink"
      />
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="uses?.length === 0" class="soft">
      {{ search ? 'No set-up has these words.' : 'Nobody has set up this press yet.' }}
    </p>
    <ul v-else class="lines">
      <li v-for="use in uses ?? []" :key="use.position" class="use">
        <span
          ><NuxtLink :to="`/editions/${use.editionStream.slice('edition:'.length)}/press?layer=${use.layerId}`">{{
            use.title
          }}</NuxtLink
          >, {{ use.layerName }}</span
        >
        <span
          ><template v-if="use.setting.left.turns || use.setting.left.divisions"
            >left {{ readingWords(use.setting.left) }}, right {{ readingWords(use.setting.right) }};
          </template>
          <template v-if="use.setting.block"
            >{{ use.setting.block.name }} {{ units.thickness(use.setting.block.thickness) }}, </template
          >{{ units.thickness(packingHeight(use.setting.packing)) }} of packing</span
        >
        <span class="soft">{{ session.nameOf(use.by) }}, {{ ago(use.at) }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.use {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr) auto;
  gap: 4px 24px;
  font-size: 0.95rem;
}
@media (max-width: 900px) {
  .use {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
