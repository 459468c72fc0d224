import { type CommandData } from '#core/house/acts'
import { computed, ref, watch } from 'vue'
import { type Sheet, sheetOf } from '#core/edition/sheet'
import { sheetWords } from '#core/edition/sheet-words'
import { isDryFor, isWaiting, laidWith, mayTake, nextSheet, stackFor } from '#core/edition/stack'
import type { Pull } from '#core/edition/pull'
import { standardOf } from '#core/edition/standards'
import type { Grade } from '#core/press/dial-in'
import type { AdjustmentKind, ProofKind, PullKind, Rescue, Verdict } from '#core/print/verdicts'
import { useEdition } from '~/stores/edition'
import { useSession } from '~/stores/session'
import { useLayerChoice } from './layer-choice'

/** What a station at the press can do, each in one action; `useBenchActs` gives them one after another. */
export function useBench(wantedLayer: string) {
  const edition = useEdition()
  const session = useSession()
  const { layerId, layer } = useLayerChoice(wantedLayer)
  /** Proofs and warm-up on an edition sheet instead of newsprint. */
  const onGoodPaper = ref(false)
  const wetOnWet = ref(false)
  const proofKind = ref<ProofKind>('WP')

  /** Another sheet than the next was laid: from there on, in the order the stack had then. */
  const fromSheet = ref<number | null>(null)
  const wentTo = ref<number[]>([])
  /** In open work a piece that stays under the block, impression after impression. */
  const staying = ref<number | null>(null)
  watch(layerId, () => (fromSheet.value = staying.value = null))

  const stack = computed(() => (edition.state && layer.value ? stackFor(edition.state, layer.value) : []))
  /** The sheet this station takes next: the first of those handed to it that is still there, else the next that no other holds. */
  const sheet = computed(() => {
    if (!edition.state || !layer.value) return undefined
    if (staying.value !== null && mayTake(edition.state, layer.value, staying.value))
      return sheetOf(edition.state, staying.value)
    const after = fromSheet.value === null ? undefined : nextFrom(fromSheet.value)
    if (after) return after
    const { sheetIds, heldByOthers } = edition.handOut ?? { sheetIds: [], heldByOthers: [] }
    const handed = sheetIds.find((id) => isWaiting(edition.state!, layer.value!, id))
    if (handed !== undefined) return sheetOf(edition.state, handed)
    return nextSheet(edition.state, layer.value, new Set(heldByOthers)) ?? stack.value[0]
  })
  /** The sheet a printer went to, and the ones that come after it in the stack until its end. */
  function nextFrom(id: number): Sheet | undefined {
    const at = stack.value.findIndex((one) => one.id === id)
    if (at >= 0) return stack.value[at]
    // It has been printed: on with what came after it in the stack as it was then.
    const place = wentTo.value.indexOf(id)
    const waits = new Set(stack.value.map((one) => one.id))
    const next = wentTo.value.slice(place + 1).find((one) => waits.has(one))
    return next === undefined || !edition.state ? undefined : sheetOf(edition.state, next)
  }
  /** Go to another sheet of the stack. @returns why that cannot be, or nothing */
  function goTo(id: number): string {
    const state = edition.state
    const wanted = state && sheetOf(state, id)
    if (!state || !layer.value || !wanted) return `There is no sheet ${id} in this edition.`
    if (!mayTake(state, layer.value, id))
      return `Sheet ${id} does not wait for ${layer.value.name}: ${sheetWords(state, wanted)}.`
    // An image of its piece at another station holds the whole piece.
    const held = new Set(edition.handOut?.heldByOthers ?? [])
    if (held.has(id) || wanted.together.some((other) => held.has(other))) return `Sheet ${id} lies at another station.`
    // One that does not wait takes one impression more, and stays until another is taken.
    staying.value = isWaiting(state, layer.value, id) ? null : id
    wentTo.value = stack.value.map((one) => one.id)
    fromSheet.value = id
    return ''
  }
  /** What the next pull prints: that sheet, and what is locked up beside it on the same piece of paper. */
  const lay = computed(() =>
    sheet.value && edition.state && layer.value ? laidWith(edition.state, layer.value, sheet.value) : [],
  )
  const undried = computed(() =>
    edition.state && layer.value
      ? stack.value.filter((s) => !isDryFor(edition.state!, s, layer.value!)).map((s) => s.id)
      : [],
  )

  const mine = computed(() =>
    (edition.state?.pulls ?? []).filter((pull) => pull.by === session.person?.id && pull.layerId === layerId.value),
  )
  const counts = (pull: Pull) => !pull.voided && pull.disputed === null && pull.layerId === layerId.value
  /** The pull that is talked about here: the newest of this person, else of anyone. */
  const last = computed(() => mine.value.findLast(counts) ?? (edition.state?.pulls ?? []).findLast(counts))
  const lastVoided = computed(() => mine.value.findLast((pull) => pull.voided && pull.disputed === null))

  function data(kind: PullKind, verdict: Verdict): CommandData<'pull'> {
    const takesSheet = kind === 'pull' || onGoodPaper.value
    return {
      layerId: layerId.value,
      kind,
      proofKind: kind === 'proof' ? proofKind.value : null,
      verdict,
      sheetIds: takesSheet ? lay.value.map(({ id }) => id) : [],
      faults: [],
      rescued: null,
      wetOnWet: wetOnWet.value,
      setupSeq: layer.value?.setups.at(-1)?.seq ?? 0,
      batchIds: layer.value?.zones.map((zone) => zone.batchId).filter((id): id is string => id !== null) ?? [],
    }
  }

  const pull = (kind: PullKind, verdict: Verdict = 'good') => edition.tap('pull', data(kind, verdict))

  const nameFault = async (key: string) => {
    const pulled = last.value
    if (!pulled) return
    const faults = pulled.faults.includes(key)
      ? pulled.faults.filter((other) => other !== key)
      : [...pulled.faults, key]
    // Where its sheets were told apart, the fault belongs to those that are not good.
    const apart = pulled.apart.filter(({ verdict }) => verdict !== 'good')
    for (const { sheetId, verdict } of apart)
      await edition.tap('judge-sheet', { pullId: pulled.pullId, sheetId, verdict, faults })
    if (apart.length > 0) return
    await edition.tap('judge-pull', {
      pullId: pulled.pullId,
      verdict: pulled.verdict,
      faults,
      rescued: pulled.rescued,
      reason: '',
    })
  }

  /** Of several sheets that the last pull printed, one came out otherwise. */
  const judgeSheet = async (sheetId: number, verdict: Verdict) => {
    const pulled = last.value
    if (!pulled) return
    const faults = verdict === 'good' ? [] : pulled.faults
    await edition.tap('judge-sheet', { pullId: pulled.pullId, sheetId, verdict, faults })
  }

  const rescue = async (how: Rescue) => {
    const pulled = last.value
    if (pulled)
      await edition.tap('judge-pull', {
        pullId: pulled.pullId,
        verdict: pulled.verdict,
        faults: pulled.faults,
        rescued: pulled.rescued === how ? null : how,
        reason: '',
      })
  }

  const grade = async (given: Grade | null) => {
    if (last.value) await edition.tap('grade-pull', { pullId: last.value.pullId, grade: given })
  }

  const adjust = (kind: AdjustmentKind) => edition.tap('adjust', { layerId: layerId.value, kind, note: '' })

  /** The newest adjustment of this layer. */
  const lastAdjustment = computed(() =>
    edition.state?.adjustments.findLast((one) => !one.voided && one.layerId === layerId.value),
  )

  /** Undo: the newest adjustment or pull here, whichever came last. */
  const takeBack = async () => {
    const adjustment = lastAdjustment.value
    if (adjustment && adjustment.afterPull >= (last.value?.ordinal ?? 0))
      return void (await edition.tap('void-adjustment', { adjustmentId: adjustment.id }))
    if (last.value) await edition.tap('void-pull', { pullId: last.value.pullId, reason: 'taken back at the bench' })
  }

  const bringBack = async () => {
    if (lastVoided.value) await edition.tap('restore-pull', { pullId: lastVoided.value.pullId })
  }

  const approve = async () => {
    const { state } = edition
    const proof = last.value
    if (state && proof)
      await edition.tap('approve-proof', {
        pullId: proof.pullId,
        layerId: proof.layerId,
        reason: standardOf(state, proof.layerId) ? 'a later proof was better' : '',
      })
  }

  const declareDry = async () => {
    const at = edition.state!.layers.findIndex((l) => l.id === layerId.value)
    const beneath = edition.state!.layers[at - 1]
    if (beneath) await edition.tap('declare-dry', { layerId: beneath.id, sheetIds: undried.value })
  }

  return {
    layerId,
    layer,
    onGoodPaper,
    wetOnWet,
    proofKind,
    stack,
    sheet,
    lay,
    goTo,
    undried,
    last,
    lastAdjustment,
    lastVoided,
    pull,
    nameFault,
    judgeSheet,
    rescue,
    grade,
    adjust,
    takeBack,
    bringBack,
    approve,
    declareDry,
  }
}
