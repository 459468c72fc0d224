import { computed, type Ref } from 'vue'
import type { Pull } from '#core/edition/pull'
import { standardOf } from '#core/edition/standards'
import type { Grade } from '#core/press/dial-in'
import type { Rescue, Verdict } from '#core/print/verdicts'
import { useEdition } from '~/stores/edition'
import { useSession } from '~/stores/session'

/** The pull that came last at a station, and what is said of it or taken back. */
export function useBenchLast(layerId: Readonly<Ref<string>>) {
  const edition = useEdition()
  const session = useSession()
  const mine = computed(() =>
    (edition.state?.pulls ?? []).filter((pull) => pull.by === session.person?.id && pull.layerId === layerId.value),
  )
  const counts = (pull: Pull) => !pull.voided && pull.disputed === null && pull.layerId === layerId.value
  /** The pull that is talked about here: the newest of this person, else of anyone. */
  const last = computed(() => mine.value.findLast(counts) ?? (edition.state?.pulls ?? []).findLast(counts))
  const lastVoided = computed(() => mine.value.findLast((pull) => pull.voided && pull.disputed === null))

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

  /** The newest adjustment of this layer. */
  const lastAdjustment = computed(() =>
    edition.state?.adjustments.findLast((one) => !one.voided && one.layerId === layerId.value),
  )

  /** Undo: the newest adjustment or pull here, whichever came last. */
  const takeBack = async () => {
    const adjustment = lastAdjustment.value
    if (adjustment && adjustment.afterPull >= (last.value?.ordinal ?? 0))
      await edition.tap('void-adjustment', { adjustmentId: adjustment.id })
    else if (last.value)
      await edition.tap('void-pull', { pullId: last.value.pullId, reason: 'taken back at the bench' })
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

  return { last, lastAdjustment, lastVoided, nameFault, judgeSheet, rescue, grade, takeBack, bringBack, approve }
}
