import { computed, ref } from 'vue'
import { correct, fractionsOf, weightsOf } from '#core/ink/recipe'
import { componentWarnings } from '#core/ink/mix-check'
import type { Poured } from '#core/ink/component'
import type { InkFamily } from '#core/ink/family'
import { grams } from '~/drawings/words'

/** One line of a recipe: an ink of the store, a left-over, or something named; how much of it, and what was poured. */
export interface RecipeRow {
  source: string
  name: string
  amount: string
  poured: number
}
export type RecipeMode = 'parts' | 'percent' | 'grams'
export interface MixForm {
  name: string
  family: InkFamily
  mode: RecipeMode
  total: string
  rows: RecipeRow[]
  paper: string
  film: number
}

export const blankMix = (): MixForm => ({
  name: '',
  family: 'oil',
  mode: 'parts',
  total: '60',
  rows: [
    { source: '', name: '', amount: '', poured: 0 },
    { source: '', name: '', amount: '', poured: 0 },
  ],
  paper: usualPaper,
  film: usualFilm,
})

const toMg = (grams: number) => Math.round(grams * 1000)

/** The tub and the left-over a line names; `tub:<id>`, `batch:<id>`, or free text. */
export function sourceOf(row: Pick<RecipeRow, 'source'>): Pick<Poured, 'tubId' | 'batchId'> {
  const [kind, id] = row.source.split(':')
  return { tubId: kind === 'tub' ? id! : null, batchId: kind === 'batch' ? id! : null }
}

/** What a recipe comes to: shares, weights to pour, what was over-poured, its colour and warnings. */
export function useMixing() {
  const supplies = useSupplies()
  const { mixed, shelf } = useShelf()
  const form = ref(blankMix())

  const nameOf = (row: RecipeRow) => {
    const { tubId, batchId } = sourceOf(row)
    return (
      supplies.tubs.find((tub) => tub.id === tubId)?.name ??
      supplies.batches.find((batch) => batch.id === batchId)?.name ??
      row.name.trim()
    )
  }
  const used = computed(() => form.value.rows.filter((row) => nameOf(row) !== ''))
  const amounts = computed(() => used.value.map((row) => typedNumber(row.amount)))
  const odd = computed(() => {
    const i = amounts.value.findIndex((amount, j) =>
      Number.isNaN(amount) ? used.value[j]!.amount.trim() !== '' : amount < 0,
    )
    return i < 0
      ? ''
      : `“${used.value[i]!.amount}” for ${nameOf(used.value[i]!)} is no share. Give a number of zero or more, for instance 2,5.`
  })
  const clean = computed(() => amounts.value.map((amount) => (amount >= 0 ? amount : 0)))
  const fractions = computed(() =>
    clean.value.some((amount) => amount > 0) ? fractionsOf(clean.value) : clean.value.map(() => 0),
  )
  const sum = computed(() => clean.value.reduce((a, b) => a + b, 0))
  const total = computed(() =>
    form.value.mode === 'grams' ? toMg(sum.value) : Math.max(0, toMg(typedNumber(form.value.total) || 0)),
  )
  const targets = computed(() => weightsOf(fractions.value, total.value))
  const poured = computed(() => used.value.map((row) => row.poured))
  const pouredSum = computed(() => poured.value.reduce((a, b) => a + b, 0))

  /** What is still to be poured so that the mix comes out right, whatever was over-poured. */
  const correction = computed(() => (sum.value > 0 ? correct(poured.value, fractions.value, total.value) : null))
  const over = computed(
    () => correction.value && 'total' in correction.value && correction.value.total > total.value + 100,
  )
  const toPour = computed(() =>
    correction.value && 'add' in correction.value ? correction.value.add.map(Math.round) : targets.value,
  )

  const components = computed<Poured[]>(() =>
    used.value.map((row, i) => ({ ...sourceOf(row), name: nameOf(row), milligrams: targets.value[i]! })),
  )
  const weighed = computed<Poured[]>(() =>
    used.value
      .map((row) => ({ ...sourceOf(row), name: nameOf(row), milligrams: row.poured }))
      .filter((component) => component.milligrams > 0),
  )
  const wanted = computed(() => mixed(components.value))
  const made = computed(() => (weighed.value.length > 0 ? mixed(weighed.value) : null))

  const warnings = computed(() =>
    componentWarnings(form.value.family, components.value, shelf.value).concat(
      used.value.flatMap((row, i) => {
        const tub = supplies.tubs.find((known) => known.id === sourceOf(row).tubId)
        if (!tub) return []
        const notes =
          tub.condition === 'clean'
            ? []
            : [
                `${tub.name} is marked ${tub.condition}: ${tub.condition === 'skinned' ? 'lift the skin off whole, or specks will print' : 'take from a clean part with a clean knife'}.`,
              ]
        return toPour.value[i]! > tub.left
          ? [
              ...notes,
              `The book has ${grams(tub.left)} of ${tub.name}; this takes ${grams(toPour.value[i]!)}. Weigh the tub, or open another.`,
            ]
          : notes
      }),
    ),
  )

  return {
    form,
    used,
    nameOf,
    odd,
    fractions,
    sum,
    total,
    targets,
    poured,
    pouredSum,
    correction,
    over,
    toPour,
    components,
    weighed,
    wanted,
    made,
    warnings,
  }
}
