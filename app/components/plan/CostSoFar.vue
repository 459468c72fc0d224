<script setup lang="ts">
import { figures } from '#core/edition/count'
import { isNamed } from '#core/edition/who'
import type { EditionCostReply } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** What the edition has cost so far, and a good print of it, beside what the plan says. */
const props = defineProps<{
  /** What a good print costs by the plan, or null while that is not known. */
  planned: number | null
}>()
const edition = useEdition()
const session = useSession()
const { fault, giving } = useGiving()
const cost = shallowRef<EditionCostReply | null>(null)
const isShown = computed(() => session.isStaff || isNamed(edition.state!, session.person?.id ?? ''))
const good = computed(() => figures(edition.state!).good)
const money = (amount: number) => `${edition.studio.currency} ${amount.toFixed(2)}`
const each = computed(() => (cost.value && good.value > 0 ? cost.value.cents / 100 / good.value : null))
onMounted(() =>
  giving(async () => {
    if (!isShown.value) return
    cost.value = await api<EditionCostReply>(`/api/editions/${edition.id}/cost`)
  }),
)
</script>

<template>
  <div v-if="isShown">
    <p v-if="cost">
      So far <strong>{{ money(cost.cents / 100) }}</strong>{{
        cost.byKind.length > 0
          ? `: ${cost.byKind.map(({ kind, cents }) => `${kind} ${money(cents / 100)}`).join(', ')}`
          : ', since nothing was taken for it yet'
      }}.
      <template v-if="each !== null"
        >That is <strong>{{ money(each) }}</strong> for each of {{ pluralise(good, 'good print') }},
        {{
          props.planned === null
            ? 'with no figure of the plan to hold against it yet'
            : `against ${money(props.planned)} planned`
        }}.</template
      >
      <template v-else>No print is good through every layer yet.</template>
      <span v-if="cost.unpriced > 0" class="soft">
        {{ pluralise(cost.unpriced, 'line stands', 'lines stand') }} with nothing, since no price was known.</span
      >
    </p>
    <TroubleLine :words="fault" />
  </div>
</template>
