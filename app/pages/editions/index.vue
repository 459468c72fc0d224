<script setup lang="ts">
import { watchDebounced } from '~/composables/debounced'
import type { EditionsReply, EditionSummary } from '#shared/replies/replies'
import { ago, chanceWords } from '~/drawings/words'

useHead({ title: 'Editions · Ample Tally' })
const route = useRoute()
const router = useRouter()
const search = ref(String(route.query.search ?? ''))
const state = ref(String(route.query.state ?? ''))
const found = ref<EditionSummary[]>([])
const next = ref<string | null>(null)
const total = ref(0)
const loaded = ref(false)
const trouble = ref('')
const states = [
  { title: 'any', value: '' },
  ...['planned', 'proving', 'pulling', 'numbering', 'signing', 'closed'].map((word) => ({ title: word, value: word })),
]

async function load(after?: string) {
  const query = new URLSearchParams({
    ...(search.value && { search: search.value }),
    ...(state.value && { state: state.value }),
    ...(after && { after }),
  })
  try {
    const reply = await api<EditionsReply>(`/api/editions?${query}`)
    found.value = after ? [...found.value, ...reply.editions] : reply.editions
    next.value = reply.next
    total.value = reply.total
    trouble.value = ''
  } catch (error) {
    trouble.value = wordsOf(error)
  }
  loaded.value = true
}

onMounted(() => void load())
watchDebounced(
  [search, state],
  () => {
    void router.replace({
      query: { ...(search.value && { search: search.value }), ...(state.value && { state: state.value }) },
    })
    void load()
  },
  200,
)

function standing(edition: EditionSummary): string {
  if (edition.state === 'closed') return `${edition.signed} signed`
  if (edition.state === 'signing') return `${edition.signed} of ${edition.numbered} signed`
  if (edition.state === 'planned') return edition.goal === 0 ? 'open work' : `${edition.goal} wanted`
  return edition.state === 'numbering'
    ? `${edition.good} good, to curate`
    : `${edition.goodHere} good, ${edition.left} to pull`
}
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Editions</h1>
      <p class="told">{{ total }} {{ search || state ? 'found' : 'in the book' }}</p>
      <VBtn class="right" to="/editions/new">Start an edition</VBtn>
    </div>
    <div class="finding">
      <VTextField
        v-model="search"
        label="Title"
        placeholder="part of a title"
        clearable
        type="search"
        @click:clear="search = ''"
      />
      <VSelect v-model="state" label="State" :items="states" />
    </div>
    <TroubleLine :words="trouble" />
    <template v-if="loaded && found.length === 0 && !trouble">
      <p v-if="search || state" class="nothing">No edition fits. Shorten the title or choose any state.</p>
      <TeachStep v-else><NuxtLink to="/editions/new">Start the first one</NuxtLink></TeachStep>
    </template>
    <table v-if="found.length > 0" v-columns class="ruled">
      <thead>
        <tr>
          <th>Title</th>
          <th>State</th>
          <th>Artist</th>
          <th>Method</th>
          <th class="number">Wanted</th>
          <th class="number">Torn</th>
          <th>Standing</th>
          <th class="number">Chance</th>
          <th class="number">Changed</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="edition in found" :key="edition.id">
          <td>
            <NuxtLink :to="`/editions/${edition.id}`">{{ edition.title }}</NuxtLink><span
              v-if="edition.disputed > 0"
              class="trouble"
            >
              {{ edition.disputed }} disputed</span
            >
          </td>
          <td>{{ edition.state }}</td>
          <td>{{ edition.artist }}</td>
          <td>{{ edition.method }}</td>
          <td class="number">{{ edition.goal || 'open work' }}</td>
          <td class="number">{{ edition.made }}</td>
          <td>{{ standing(edition) }}</td>
          <td class="number">
            {{
              edition.state === 'pulling' && edition.goal > 0 ? chanceWords(edition.chance, edition.chanceIsRough) : ''
            }}
          </td>
          <td class="number soft">{{ ago(edition.changedAt) }}</td>
        </tr>
      </tbody>
    </table>
    <div v-if="next" class="buttons"><VBtn class="quiet" @click="load(next)">Show more</VBtn></div>
  </div>
</template>

<style scoped>
.finding {
  display: grid;
  grid-template-columns: minmax(0, 320px) 160px;
  gap: 24px;
  margin-bottom: 22px;
}
.nothing {
  padding: 24px 0;
}
@media (max-width: 900px) {
  table.ruled {
    display: block;
    overflow-x: auto;
  }
}
</style>
