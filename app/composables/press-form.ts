import { computed, ref, type Ref } from 'vue'
import { type Layer, type PressSetup, setupInForce } from '#core/edition/layer'
import { pressed, toHand, type DrawerPiece } from '#core/press/drawer'
import { pressWays } from '#core/press/kinds'
import { type Packing, type ScrewSetting, stackHeight } from '#core/press/stack'
import { setUpFor, setUpSteps } from '#core/run/set-up'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'
import { useFollowing } from './following'
import { sameContent } from './same'

/** How far the gap is set below the stack, as a rule, until this press's own proofs say otherwise, mm. */
const usualNip = 0.3
/** A sheet of paper takes up about a millimetre for every 600 g/m²: a guess until somebody measures it. */
const gramsAMillimetre = 600

interface Form {
  pressId: string
  packing: Packing[]
  sheet: number | null
  nip: number
  /** What the screws were really set to; null as reckoned. */
  left: ScrewSetting | null
  right: ScrewSetting | null
  note: string
}

/** The set-up of a layer as it is tried on the page: the stack, what it asks of the press, and what was really set. */
export function usePressForm(layer: Ref<Layer | undefined>) {
  const edition = useEdition()
  const supplies = useSupplies()
  const setup = computed(() => (layer.value ? setupInForce(layer.value) : null))
  const block = computed(() => {
    const { blocks } = edition.state!
    const known = blocks.find(({ id }) => layer.value?.blocks.includes(id)) ?? blocks[0]
    return known ? { name: known.block.name, thickness: known.block.thickness } : null
  })
  const guessedSheet = computed(() => {
    const lot = supplies.lots.find(({ id }) => id === edition.state!.piece?.lotId)
    return lot ? Math.round((lot.weight / gramsAMillimetre) * 100) / 100 : null
  })

  const asOf = (kept: ReturnType<typeof setupInForce>): Form => ({
    pressId: kept?.pressId ?? (supplies.presses.length === 1 ? supplies.presses[0]!.id : ''),
    packing: kept?.packing.map((piece) => ({ ...piece })) ?? [],
    sheet: kept?.sheet ?? null,
    nip: kept?.nip ?? usualNip,
    left: kept?.left ?? null,
    right: kept?.right ?? null,
    note: kept?.note ?? '',
  })
  const standing = () => asOf(setup.value)
  const form = useFollowing(standing, () => layer.value?.id)
  /** What was kept is shown as it was kept. */
  function kept(): void {
    form.value = standing()
  }
  const isChanged = computed(() => setup.value === null || !sameContent(form.value, standing()))
  /** “As for the second layer”: its packing, paper and gap; the screws are reckoned for this block. */
  function takeFrom(other: Layer): void {
    form.value = { ...asOf(setupInForce(other)), left: null, right: null }
  }

  /** Exactly as it was set once; what it is now is kept until it is set. */
  function takeBack(setup: PressSetup): void {
    form.value = asOf(setup)
  }

  const press = computed(() => supplies.presses.find(({ id }) => id === form.value.pressId) ?? null)
  const stack = computed(() => ({
    packing: form.value.packing,
    block: block.value,
    sheet: form.value.sheet ?? guessedSheet.value,
  }))
  const height = computed(() => stackHeight(stack.value))
  const answer = computed(() => (press.value ? setUpFor(press.value, stack.value, form.value.nip) : null))
  const steps = computed(() =>
    press.value && answer.value?.kind === 'screws' ? setUpSteps(press.value, answer.value, stack.value) : [],
  )
  const hasScrews = computed(() => press.value !== null && pressWays[press.value.kind].sets === 'screws')
  const reckoned = computed<ScrewSetting>(() =>
    answer.value?.kind === 'screws'
      ? { turns: answer.value.answer.turns, divisions: answer.value.answer.divisions }
      : { turns: 0, divisions: 0 },
  )
  const screws = computed(() => ({
    left: form.value.left ?? reckoned.value,
    right: form.value.right ?? reckoned.value,
  }))

  /** What lies in the drawer and not in another press; what this form holds is counted as taken. */
  const drawer = computed(() => {
    const elsewhere = supplies.presses.flatMap(({ id, standing: use }) =>
      use && id !== form.value.pressId ? [use.setting] : [],
    )
    return toHand(supplies.drawer, [...elsewhere, form.value])
  })
  function layIn(piece: DrawerPiece, count = 1): void {
    const known = form.value.packing.find(({ pieceId }) => pieceId === piece.id)
    if (known) known.count += count
    else form.value.packing.push({ name: piece.name, thickness: pressed(piece), pieceId: piece.id, count })
    changed()
  }
  function takeOut(at: number): void {
    const piece = form.value.packing[at]
    if (!piece) return
    if (piece.count > 1) piece.count -= 1
    else form.value.packing.splice(at, 1)
    changed()
  }
  function move(from: number, to: number): void {
    const { packing } = form.value
    if (to < 0 || to >= packing.length) return
    packing.splice(to, 0, ...packing.splice(from, 1))
  }
  /** Another stack asks for other screws: what was set for the one before does not hold. */
  function changed(): void {
    form.value.left = null
    form.value.right = null
  }

  const data = () => ({
    pressId: form.value.pressId,
    ...stack.value,
    packing: form.value.packing.map((piece) => ({ ...piece })),
    nip: hasScrews.value ? form.value.nip : null,
    left: { ...screws.value.left },
    right: { ...screws.value.right },
    note: form.value.note,
  })

  /** What the packing lacks of a thickness one was told or felt, mm. */
  const missing = ref<number | null>(null)

  return {
    setup,
    block,
    guessedSheet,
    form,
    isChanged,
    kept,
    takeFrom,
    takeBack,
    press,
    stack,
    height,
    answer,
    steps,
    hasScrews,
    reckoned,
    screws,
    drawer,
    layIn,
    takeOut,
    move,
    changed,
    data,
    missing,
  }
}
