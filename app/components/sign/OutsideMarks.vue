<script setup lang="ts">
import { outsideMarks } from '#core/edition/pencil'
import { pluralise } from '#core/units/pluralise'

/** Sheets that are no part of the edition, and the mark each gets, so that nobody takes it for a print. */
const edition = useEdition()
const state = computed(() => edition.state!)
const rows = computed(() => {
  const by = new Map<string, { ids: number[]; open: number[] }>()
  for (const { sheet, mark } of outsideMarks(state.value)) {
    const row = by.get(mark) ?? { ids: [], open: [] }
    row.ids.push(sheet.id)
    if (!sheet.isMarked) row.open.push(sheet.id)
    by.set(mark, row)
  }
  return [...by].map(([mark, row]) => ({ mark, ...row }))
})
const mayMark = computed(() => edition.isTheirs && !state.value.closedAt)
</script>

<template>
  <section v-if="rows.length > 0" class="part">
    <div class="part-head">
      <h2>Outside the edition</h2>
      <p>each with a mark of its own, so that none is taken for a print</p>
    </div>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>Mark</th>
          <th>Sheets</th>
          <th>Done</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.mark">
          <td :class="{ pencilled: row.mark !== 'struck through' }">{{ row.mark }}</td>
          <td>{{ row.ids.join(', ') }}</td>
          <td>
            <VBtn
              v-if="row.open.length > 0 && mayMark"
              class="quiet"
              @click="edition.tap('mark-outside', { sheetIds: row.open })"
              >{{ pluralise(row.open.length, 'sheet') }} {{ row.open.length === 1 ? 'carries' : 'carry' }} it</VBtn
            >
            <template v-else>{{ row.ids.length - row.open.length }} of {{ row.ids.length }}</template>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
