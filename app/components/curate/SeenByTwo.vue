<script setup lang="ts">
import { standingVerdict } from '#core/edition/places'
import { printsToSee } from '#core/edition/questions'
import { type Verdict, verdicts } from '#core/print/verdicts'
import { pluralise } from '#core/units/pluralise'

/** What those who looked each for themselves agree on, and where they differ. */
const edition = useEdition()
const session = useSession()
const emit = defineEmits<{ look: [sheetId: number] }>()
const state = computed(() => edition.state!)
const seen = computed(() => printsToSee(state.value).filter(({ views, mark }) => views.length > 1 && !mark))
const isAlike = (views: { verdict: Verdict }[]) => new Set(views.map(({ verdict }) => verdict)).size === 1
const differing = computed(() => seen.value.filter(({ views }) => !isAlike(views)))
const agreed = computed(() =>
  verdicts
    .map((verdict) => ({
      verdict,
      sheets: seen.value.filter(
        ({ views, curated }) => isAlike(views) && views[0]!.verdict === verdict && curated?.verdict !== verdict,
      ),
    }))
    .filter(({ sheets }) => sheets.length > 0),
)
/** Where they see it otherwise than it was judged at the press, that is the reason. */
async function settle(verdict: Verdict, ids: number[]) {
  const changed = ids.filter((id) => standingVerdict(state.value, state.value.sheets[id - 1]!) !== verdict)
  const same = ids.filter((id) => !changed.includes(id))
  if (same.length > 0) await edition.tap('curate-run', { sheetIds: same, verdict, reason: '' })
  if (changed.length > 0)
    await edition.tap('curate-run', { sheetIds: changed, verdict, reason: 'all who looked at it agree' })
}
</script>

<template>
  <section v-if="seen.length > 0" class="part">
    <div class="part-head"><h2>Seen by several</h2></div>
    <ul class="lines">
      <li v-for="{ verdict, sheets } in agreed" :key="verdict" class="agreed">
        {{ pluralise(sheets.length, 'print') }} all call {{ verdict }}
        <VBtn
          class="quiet"
          @click="
            settle(
              verdict,
              sheets.map(({ id }) => id),
            )
          "
          >So it is</VBtn
        >
      </li>
      <li v-for="sheet in differing" :key="sheet.id">
        <button type="button" class="link" @click="emit('look', sheet.id)">Sheet {{ sheet.id }}</button>:
        {{
          sheet.views
            .map(({ by, verdict, note }) => `${session.nameOf(by)} ${verdict}${note ? ` (${note})` : ''}`)
            .join(', ')
        }}
      </li>
    </ul>
    <p v-if="agreed.length === 0 && differing.length === 0" class="soft">Everything they agree on is settled.</p>
  </section>
</template>

<style scoped>
.agreed {
  display: flex;
  gap: 18px;
  align-items: center;
}
</style>
