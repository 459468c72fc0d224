<script setup lang="ts">
/** What the room gives out in open formats: all of it as one file, and its tables. */
const session = useSession()
const sure = useSure()
const tables = ['editions', 'sheets', 'impressions', 'stock']

/** The browser fetches it by itself, as large as it may be; the PIN is asked before. */
async function fetchRoom() {
  if (!(await sure.ask())) return
  downloadFrom('/api/studio-file', fileName(session.session?.studio.name ?? '', 'studio.jsonl'))
}
</script>

<template>
  <div>
    <p class="soft">
      Tables for any spreadsheet (CSV):
      <template v-for="(name, i) in tables" :key="name"
        ><template v-if="i > 0"> · </template><a :href="`/api/tables/${name}.csv`" download>{{ name }}.csv</a></template
      >
    </p>
    <template v-if="session.isManager">
      <p class="soft">
        The studio file is the whole room: every event, everyone’s name, every picture; no PINs. An empty pressroom
        takes it at its set-up, and what is changed or missing in it is told before anything is taken.
      </p>
      <div class="buttons"><VBtn class="quiet" @click="fetchRoom">Write the studio file</VBtn></div>
    </template>
  </div>
</template>
