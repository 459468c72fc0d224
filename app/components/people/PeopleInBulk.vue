<script setup lang="ts">
import { type PeopleList, peopleList } from '#core/office/people-list'
import { rowsCsv } from '~/drawings/tables-csv'
import { pluralise } from '#core/units/pluralise'

/** People as a table, out and in: what a list would change is shown first, and each new person gets a first PIN. */
const session = useSession()
const { busy, fault, giving } = useGiving()
const list = shallowRef<PeopleList | null>(null)
const done = ref(0)
const left = ref<string[]>([])
/** First PINs of those who were added; shown once. */
const pins = ref<{ name: string; pin: string }[]>([])
let isStopped = false

const out = () =>
  giving(async () => {
    const rows = session.people.map(({ name, role, active }) => ({ name, role, here: active ? 'yes' : 'left' }))
    download(await rowsCsv(rows), 'text/csv', 'people.csv')
  })

async function read([file]: File[]) {
  if (!file) return
  pins.value = []
  left.value = []
  await giving(async () => {
    const { default: Papa } = await import('papaparse')
    const { data, meta } = Papa.parse<Record<string, string>>(await file.text(), {
      header: true,
      skipEmptyLines: 'greedy',
      transformHeader: (heading) => heading.trim().toLowerCase(),
    })
    if (!meta.fields?.includes('name'))
      throw new Error(
        'The list needs a heading “name”; “role” and “here” may stand beside it. Take the room’s own list as a pattern.',
      )
    list.value = peopleList(data, session.people)
  })
}

/** Six figures that nobody guesses; each is changed when it is first used. */
const firstPin = () => String(crypto.getRandomValues(new Uint32Array(1))[0]! % 1_000_000).padStart(6, '0')

async function take() {
  const { added, changed } = list.value!
  isStopped = false
  done.value = 0
  left.value = []
  await giving(async () => {
    for (const { name, role } of added) {
      if (isStopped) break
      const pin = firstPin()
      await tried(
        name,
        () => api('/api/people', 'POST', { name, role, secret: pin }),
        () => pins.value.push({ name, pin }),
      )
    }
    for (const { id, name, role, active } of changed) {
      if (isStopped) break
      await tried(name, () => api(`/api/people/${id}`, 'PUT', { name, role, active }))
    }
    await session.loadPeople()
    list.value = null
  })
}

/** One that is refused keeps the others not out. */
async function tried(name: string, act: () => Promise<unknown>, after: () => void = () => {}) {
  try {
    await act()
    after()
    done.value++
  } catch (error) {
    left.value.push(`${name}: ${wordsOf(error)}`)
  }
}
const isNothing = computed(() => list.value !== null && list.value.added.length + list.value.changed.length === 0)
</script>

<template>
  <div>
    <div class="buttons">
      <VBtn class="quiet" @click="out">The list as CSV</VBtn>
      <FileChoice label="A list of people (CSV: name, role, here)" accept=".csv,text/csv" @chosen="read" />
    </div>
    <TroubleLine :words="fault" />
    <template v-if="list">
      <p>
        {{ pluralise(list.added.length, 'person', 'people') }} to add, {{ list.changed.length }} to change,
        {{ list.same }} as before<template v-if="list.faults.length > 0"
          >; {{ pluralise(list.faults.length, 'row stays', 'rows stay') }} out</template
        >.
      </p>
      <ul v-if="list.faults.length > 0" class="faults">
        <li v-for="one in list.faults" :key="one.row">Row {{ one.row }}: {{ one.words }}</li>
      </ul>
      <ul v-if="list.changed.length > 0" class="soft">
        <li v-for="one in list.changed" :key="one.id">
          {{ one.name }}: {{ one.role }}, {{ one.active ? 'here' : 'left' }}
        </li>
      </ul>
      <div class="buttons">
        <VBtn v-if="!isNothing" :loading="busy" @click="take">Take it over</VBtn>
        <VBtn v-if="busy" class="quiet" @click="isStopped = true">Stop</VBtn>
        <VBtn v-else class="quiet" @click="list = null">Leave it</VBtn>
        <span v-if="busy" class="soft" role="status">{{ done }} done</span>
      </div>
    </template>
    <ul v-if="left.length > 0" class="faults" role="alert">
      <li v-for="one in left" :key="one">{{ one }}</li>
    </ul>
    <template v-if="pins.length > 0">
      <p role="status">
        {{ pluralise(pins.length, 'person', 'people') }} added. These first PINs are shown once: give each their own, it
        is changed when it is first used.
      </p>
      <table v-columns class="ruled pins">
        <thead>
          <tr>
            <th>Name</th>
            <th>First PIN</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in pins" :key="one.name">
            <td>{{ one.name }}</td>
            <td>{{ one.pin }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.faults {
  color: var(--reject);
}
.pins {
  max-width: 420px;
}
</style>
