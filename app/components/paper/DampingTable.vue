<script setup lang="ts">
import { dampingTimetable } from '#core/paper/damping'

/** When which sheets go into the bath, drain and are blotted, paced to the pulls. */
const form = ref({ sheets: '20', handful: '4', soak: '20', drain: '5', blot: '10', pace: '4', first: '10:00' })
useDraft('damping', form)
const table = computed(() => {
  const { sheets, handful, soak, drain, blot, pace } = form.value
  try {
    return {
      lines: dampingTimetable(typedNumber(sheets), typedNumber(handful), {
        soak: typedNumber(soak),
        drain: typedNumber(drain),
        blot: typedNumber(blot),
        pace: typedNumber(pace),
      }),
      fault: '',
    }
  } catch (error) {
    return { lines: [], fault: (error as Error).message }
  }
})
const at = (minute: number) => {
  const [h, m] = form.value.first.split(':').map(Number)
  const total = ((((h ?? 0) * 60 + (m ?? 0) + Math.round(minute)) % 1440) + 1440) % 1440
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`
}
const print = () => window.print()
</script>

<template>
  <div>
    <div class="fields no-print">
      <VTextField v-model="form.sheets" label="Sheets to damp" inputmode="numeric" /><VTextField
        v-model="form.handful"
        label="Put in together"
        inputmode="numeric"
        suffix="sheets"
      />
      <VTextField v-model="form.soak" label="Soak" inputmode="decimal" suffix="min" /><VTextField
        v-model="form.drain"
        label="Drain"
        inputmode="decimal"
        suffix="min"
      /><VTextField v-model="form.blot" label="Between blotters" inputmode="decimal" suffix="min" />
      <VTextField v-model="form.pace" label="A pull every" inputmode="decimal" suffix="min" /><VTextField
        v-model="form.first"
        label="First pull at"
        type="time"
      />
    </div>
    <p v-if="table.fault" class="trouble" role="alert">{{ table.fault }}</p>
    <table v-else v-columns class="ruled times">
      <thead>
        <tr>
          <th>At</th>
          <th>Sheets</th>
          <th>Go</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in table.lines" :key="i">
          <td>{{ at(line.minute) }}</td>
          <td>{{ line.from === line.to ? line.from : `${line.from} to ${line.to}` }}</td>
          <td>{{ line.act }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft hint">
      Soaking times are a start; the paper’s maker and a test sheet say better. Damp every sheet of an edition the same
      way, and dry them flat.
    </p>
    <div class="buttons no-print"><VBtn class="quiet" @click="print">Print the timetable</VBtn></div>
  </div>
</template>

<style scoped>
.times {
  max-width: 460px;
  margin-top: 16px;
}
.hint {
  font-size: 0.85rem;
  margin-top: 10px;
}
</style>
