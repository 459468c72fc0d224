<script setup lang="ts">
import { studio } from '#core/stores/studio/stream'
import { pluralise } from '#core/units/pluralise'
import {
  pastEditionColumns,
  type PastEdition,
  type PastEditionRow,
  readPastEdition,
  readPastEditions,
  type ReadRows,
} from '#core/plan/past-editions'
import { readPastRecords } from '#core/plan/past-records'
import { type Method, methods } from '#core/plan/plan'
import { type Work, works } from '#core/plan/work'

/** Editions from before the ledger, typed or imported as totals, so that plans need not start from a guess. */
const props = defineProps<{ past: readonly PastEdition[] }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const { busy, fault, giving, refuse } = useGiving()
const blank = () => ({
  title: '',
  method: 'single' as Method,
  work: 'press' as Work,
  passed: '',
  rejected: '',
  finished: '',
  lost: '',
})
const form = ref(blank())
const draft = useDraft('past edition', form)
const read = ref<ReadRows | null>(null)
const said = ref('')
/** The files were edition records, and faults are told by file. */
const isRecords = ref(false)
const withdrawing = ref<{ id: string; reason: string } | null>(null)
const mostBytes = 1024 * 1024

async function give(editions: PastEditionRow[]): Promise<boolean> {
  said.value = ''
  const done = await giving(() => session.give('add-past-editions', studio.of(), { editions }))
  if (done) {
    said.value = `${editions.length} ${editions.length === 1 ? 'edition is' : 'editions are'} in the book.`
    emit('done')
  }
  return done
}

async function type() {
  const row = readPastEdition(form.value)
  if ('fault' in row) return refuse(row.fault)
  if (await give([row])) {
    form.value = blank()
    draft.done()
  }
}

async function choose(files: File[]) {
  const [file] = files
  if (!file) return
  fault.value = said.value = ''
  read.value = null
  isRecords.value = files.every(({ name }) => name.toLowerCase().endsWith('.json'))
  if (files.some(({ size }) => size > mostBytes))
    return refuse('A file has more than 1 MB. Cut a table into smaller ones; a record has less.')
  if (isRecords.value) {
    read.value = readPastRecords(await Promise.all(files.map((one) => one.text())))
    return
  }
  if (files.length > 1) return refuse('Hand in one CSV at a time, or edition records (JSON) together.')
  const { default: Papa } = await import('papaparse')
  const text = (await file.text()).replace(/^\uFEFF/, '')
  // Spreadsheets write commas, semicolons or tabs, so the delimiter is found from the file.
  const parsed = Papa.parse<string[]>(text.trimEnd(), { delimitersToGuess: [',', ';', '\t'] })
  read.value = readPastEditions(text.trim() === '' ? [] : parsed.data.map((fields, i) => ({ line: i + 1, fields })))
}

async function importRows() {
  if (await give(read.value!.rows)) read.value = null
}

async function withdraw() {
  if (await giving(() => session.give('withdraw-past-edition', studio.of(), withdrawing.value!))) {
    withdrawing.value = null
    emit('done')
  }
}

const template = () =>
  download(`${pastEditionColumns.join(',')}\nOld Pier,single,press,96,4,30,1\n`, 'text/csv', 'past-editions.csv')
const pulls = computed(() => props.past.reduce((sum, edition) => sum + edition.passed + edition.rejected, 0))
</script>

<template>
  <div>
    <p class="soft">
      Totals only: they move the pass rates that plans start from and never become pulls. {{ past.length }}
      {{ past.length === 1 ? 'edition' : 'editions' }} with {{ pluralise(pulls, 'pull') }}
      {{ past.length === 1 ? 'is' : 'are' }} in the book.
    </p>
    <table v-if="past.length > 0" v-columns class="ruled">
      <thead>
        <tr>
          <th>Title</th>
          <th>Method</th>
          <th>Printed</th>
          <th class="number">Passed</th>
          <th class="number">Rejected</th>
          <th class="number">Finished</th>
          <th class="number">Lost after</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="edition in past" :key="edition.id">
          <td>{{ edition.title }}</td>
          <td>{{ edition.method }}</td>
          <td>{{ edition.work }}</td>
          <td class="number">{{ edition.passed }}</td>
          <td class="number">{{ edition.rejected }}</td>
          <td class="number">{{ edition.finished }}</td>
          <td class="number">{{ edition.lost }}</td>
          <td class="number">
            <button
              type="button"
              class="take"
              :aria-label="`Take out ${edition.title}`"
              @click="withdrawing = { id: edition.id, reason: '' }"
            >
              Take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="withdrawing" class="fields" @submit.prevent="withdraw">
      <VTextField v-model="withdrawing.reason" class="wide" label="Why these totals no longer count" />
      <div class="buttons">
        <VBtn type="submit" :loading="busy">Take them out</VBtn
        ><VBtn class="quiet" @click="withdrawing = null">Leave them</VBtn>
      </div>
    </form>
    <form @submit.prevent="type">
      <div class="fields past">
        <VTextField v-model="form.title" label="A past edition" placeholder="title" /><VSelect
          v-model="form.method"
          label="Method"
          :items="[...methods]"
        /><VSelect v-model="form.work" label="Printed" :items="[...works]" />
        <VTextField v-model="form.passed" label="Pulls passed" inputmode="numeric" /><VTextField
          v-model="form.rejected"
          label="Pulls rejected"
          inputmode="numeric"
        /><VTextField v-model="form.finished" label="Prints finished" inputmode="numeric" /><VTextField
          v-model="form.lost"
          label="Lost after pulling"
          inputmode="numeric"
        />
      </div>
      <div class="buttons">
        <VBtn type="submit" class="quiet" :loading="busy">Add it</VBtn
        ><FileChoice
          label="or a CSV file, or edition records"
          accept=".csv,text/csv,.json"
          multiple
          @chosen="choose"
        /><button type="button" class="take" @click="template">an example to fill</button>
      </div>
    </form>
    <TroubleLine :words="fault" />
    <p v-if="said" role="status">{{ said }}</p>
    <div v-if="read" class="read">
      <p>
        <strong>{{ read.rows.length }}</strong> {{ read.rows.length === 1 ? 'row' : 'rows' }} can be read<template
          v-if="read.faults.length > 0"
          >, {{ read.faults.length }} cannot</template
        >.
      </p>
      <ul v-if="read.faults.length > 0" class="lines">
        <li v-for="wrong in read.faults" :key="wrong.line" class="trouble">
          {{ isRecords ? 'File' : 'Line' }} {{ wrong.line }}: {{ wrong.message }}
        </li>
      </ul>
      <div class="buttons">
        <VBtn v-if="read.rows.length > 0" :loading="busy" @click="importRows">{{
          read.faults.length > 0 ? `Import the ${read.rows.length} good rows` : `Import ${read.rows.length}`
        }}</VBtn><VBtn class="quiet" @click="read = null">Import none</VBtn>
      </div>
    </div>
  </div>
</template>

<style scoped>
.past {
  margin-top: 14px;
}
table.ruled {
  margin-top: 12px;
}
.take {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
}
.read {
  margin-top: 14px;
}
@media (max-width: 900px) {
  table.ruled {
    display: block;
    overflow-x: auto;
  }
}
</style>
