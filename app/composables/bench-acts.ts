import { instantAt } from '#core/time/instant'
import { computed, ref } from 'vue'
import { gateObjection } from '#core/edition/gates'
import { imageOf } from '#core/edition/fault-places'
import type { EditionState } from '#core/edition/state'
import type { Grade } from '#core/press/dial-in'
import type { AdjustmentKind, PullKind, Rescue, Verdict } from '#core/print/verdicts'
import { useEdition } from '~/stores/edition'
import { useSession } from '~/stores/session'
import type { useBench } from './bench'
import type { useFeedback } from './feedback'

/** The panels of the bench, one at a time. */
export type BenchPanel = 'none' | 'faults' | 'where' | 'adjust' | 'ask' | 'more' | 'sheet' | 'pedal'

/**
 * What each key and touch bar of a station does, and what it says when it can do nothing.
 * Touches that follow one another quickly wait their turn: whether one of them can do anything is asked when it is its turn,
 * since the one before may have pulled the proof it is about or taken the last sheet.
 */
export function useBenchActs(bench: ReturnType<typeof useBench>, feedback: ReturnType<typeof useFeedback>) {
  const edition = useEdition()
  const session = useSession()
  const panel = ref<BenchPanel>('none')
  /** Why the key that was pressed last did nothing. */
  const why = ref('')

  const isWet = computed(() => bench.undried.value.length > 0 && !bench.wetOnWet.value)
  /** What keeps everything from being done here, in words; empty when nothing does. */
  const shut = computed(() => {
    if (!edition.state) return 'The edition is not here yet.'
    if (edition.state.closedAt) return 'This edition is closed.'
    return edition.isTheirs ? '' : 'You look on: ask to be named on this edition to print it.'
  })
  /** What keeps a pull from being given now. Proofs and warm-up need neither paper nor a dry layer. */
  const hindrance = computed(() => shut.value || (edition.state ? ofPull(edition.state) : ''))
  function ofPull(state: EditionState): string {
    if (bench.layer.value?.withoutPull) return 'This layer is laid on without a press: count its sheets under Pull.'
    if (bench.layer.value?.cutFurther) return 'The block is cut further; this layer takes no more pulls.'
    if (state.made === 0) return 'No paper is torn yet. Proofs go on newsprint.'
    if (bench.sheet.value === undefined) return 'No sheet waits for this layer.'
    return isWet.value ? 'Nobody has said the layer beneath is dry.' : gateBefore(state, true)
  }

  /** What the class's assignment asks for first. */
  function gateBefore(state: EditionState, onSheet: boolean): string {
    const layer = bench.layer.value
    const person = session.person
    if (!layer || !person) return ''
    const asker = { personId: person.id, role: person.role, occurredAt: instantAt(Date.now()), zone: session.zone }
    return gateObjection(state, layer, { sheetIds: onSheet ? [1] : [] }, edition.studio, asker)?.message ?? ''
  }

  let turn: Promise<unknown> = Promise.resolve()
  function inTurn<Result>(act: () => Promise<Result>): Promise<Result> {
    const result = turn.then(act)
    turn = result.catch(() => undefined)
    return result
  }

  /** A key that can do nothing says why, where the eye is. */
  function nothing(reason: string): void {
    why.value = reason
    feedback.give('nothing')
  }

  /** Do it when its turn comes, unless something keeps it from being done then. */
  const unless = (reason: () => string, act: () => Promise<unknown>) =>
    inTurn(async () => {
      const found = reason()
      if (found !== '') return nothing(found)
      why.value = ''
      await act()
    })

  const verdict = (given: Verdict) =>
    unless(
      () => hindrance.value,
      async () => {
        panel.value = 'none'
        if (!(await bench.pull('pull', given))) return
        feedback.give(given)
        if (given !== 'good') panel.value = 'faults'
      },
    )
  const other = (kind: Exclude<PullKind, 'pull'>) =>
    unless(
      () => shut.value || gateBefore(edition.state!, kind === 'proof' && bench.onGoodPaper.value),
      async () => {
        panel.value = 'none'
        if (await bench.pull(kind)) feedback.give('good')
      },
    )
  const adjust = (kind: AdjustmentKind) =>
    unless(
      () => shut.value,
      async () => {
        panel.value = 'none'
        await bench.adjust(kind)
      },
    )
  const takeBack = () =>
    unless(
      () =>
        bench.last.value || bench.lastAdjustment.value ? shut.value : 'There is nothing to take back on this layer.',
      bench.takeBack,
    )
  const bringBack = () =>
    unless(() => (bench.lastVoided.value ? shut.value : 'Nothing was taken back here.'), bench.bringBack)
  const approve = () =>
    unless(() => (bench.last.value?.kind === 'proof' ? shut.value : 'The last pull is no proof.'), bench.approve)
  const nothingPulled = () => (bench.last.value ? shut.value : 'Nothing is pulled on this layer yet.')
  const rescue = (how: Rescue) => unless(nothingPulled, () => bench.rescue(how))
  /** Ink against the standard; only a pull of the edition is held against it. */
  const grade = (given: Grade | null) =>
    unless(
      () => (bench.last.value?.kind === 'pull' ? shut.value : 'Nothing is pulled yet that could be graded.'),
      () => bench.grade(given),
    )
  const judgeSheet = (sheetId: number, given: Verdict) => unless(nothingPulled, () => bench.judgeSheet(sheetId, given))
  const nameFault = (key: string) => unless(nothingPulled, () => bench.nameFault(key))
  /** Where the fault named last is, as shares of the image. */
  const placeFault = (across: number, down: number) =>
    unless(nothingPulled, async () => {
      const image = edition.state && imageOf(edition.state)
      const { pullId, faults } = bench.last.value!
      const fault = faults.at(-1)
      if (!image || !fault) return
      await edition.tap('place-fault', {
        pullId,
        fault,
        x: Math.round(across * image.width),
        y: Math.round(down * image.height),
      })
      panel.value = 'none'
    })
  const goTo = (id: number) =>
    inTurn(async () => {
      const found = shut.value || bench.goTo(id)
      if (found) return nothing(found)
      rest()
    })
  const declareDry = () => unless(() => shut.value, bench.declareDry)

  /** Staff are called at once; what it is about can be said after. */
  const call = () =>
    unless(
      () => shut.value,
      async () => {
        panel.value = 'ask'
        await edition.tap('ask', { what: 'help', layerId: null, pressId: null, words: '' })
      },
    )

  function toggle(name: BenchPanel): void {
    panel.value = panel.value === name ? 'none' : name
    why.value = ''
  }
  function rest(): void {
    panel.value = 'none'
    why.value = ''
  }

  return {
    panel,
    why,
    isWet,
    shut,
    hindrance,
    nothing,
    verdict,
    other,
    adjust,
    takeBack,
    bringBack,
    approve,
    rescue,
    grade,
    nameFault,
    judgeSheet,
    placeFault,
    goTo,
    declareDry,
    call,
    toggle,
    rest,
  }
}
