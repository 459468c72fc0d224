import { pluralise } from '../units/pluralise'
import { minuteOf } from '../time/instant'
import { figures } from '../edition/count'
import { type Layer, setupInForce } from '../edition/layer'
import { imagesAPiece, pullsFor } from '../edition/lock-up'
import { isLive, newestPulls } from '../edition/pull'
import type { EditionState } from '../edition/state'
import { tallied } from '../edition/tally'
import { streamId } from '../ground/envelope'
import { proofsOfLayer } from '../plan/pass-rate'
import { noRates } from '../plan/defaults'
import { goal } from '../plan/plan'
import type { ShopRecord } from '../plan/shop-record'
import { stackOf } from '../run/outlook'
import { pace, pacePulls } from '../run/pace'
import { type DryingAround, type DryingLag, dryingLag, quarters } from './drying-lag'
import { finishingTasks } from './finishing-tasks'
import { guesses, longestSession } from './guesses'
import { type BookedTime, rounded, sessionsFor } from './sessions'
import { type EditionTask, personResource, pressResource, type TaskKind, type Wait } from './task'

/** What is known beside the edition itself. */
export interface Around extends DryingAround {
  /** Now, in minutes since 1970. */
  now: number
  /** The longest time the room is open in one go, minutes. */
  longestOpen: number
  /** The end of the day it is due, in minutes since 1970, or null. */
  due: number | null
  /** Sheets to start while none is torn. */
  toStart: number
  /** Presses it may be printed at, the one to take while none was set first. */
  pressIds: readonly string[]
  /** Bookings still to come that are for it, each with the layer they name. */
  booked: readonly (BookedTime & { layerId: string | null })[]
  record: ShopRecord
  /** Pieces that the racks hold: no run is planned that they cannot; null where none are described. */
  places: number | null
}

const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** “Second layer”, as it is said. */
export function layerWords(number: number, of: number): string {
  if (of === 1) return 'The layer'
  const word = ordinals[number - 1] ?? `${number}th`
  return `${word[0]!.toUpperCase()}${word.slice(1)} layer`
}

/** What a layer is called by while it is planned and not added. */
export const plannedLayer = (number: number): string => `layer ${number}`

/** What is still to be done for an edition, each with what must be over before it (models.md, M17). */
export function editionTasks(state: EditionState, around: Around): EditionTask[] {
  return new EditionTasks(state, around).all()
}

/** Tasks of one edition as they are gathered, each behind the one before. */
class EditionTasks {
  private readonly tasks: EditionTask[] = []
  private readonly id: string
  private readonly person: string[]
  private readonly most: number
  /** What the next task waits for. */
  private after: Wait[] = []
  private notBefore: number | null = null
  private beginBy: number | null = null

  constructor(
    private readonly state: EditionState,
    private readonly around: Around,
  ) {
    this.id = streamId(state.stream)
    const personId = state.printerIds[0] ?? state.artistId
    this.person = personId === null || personId === undefined ? [] : [personResource(personId)]
    this.most = Math.min(longestSession, around.longestOpen)
  }

  all(): EditionTask[] {
    const { state } = this
    if (state.plan === null || state.closedAt !== null) return []
    this.prepare()
    this.print()
    this.finish()
    const last = this.tasks.at(-1)
    if (last) last.due = this.around.due
    return this.tasks
  }

  private add(
    key: string,
    kind: TaskKind,
    what: string,
    minutes: number,
    more: Partial<EditionTask> = {},
  ): EditionTask {
    const task: EditionTask = {
      id: `${this.id} ${key}`,
      editionId: this.id,
      kind,
      what,
      minutes: rounded(minutes),
      resources: this.person,
      after: this.after,
      due: null,
      notBefore: this.notBefore,
      beginBy: this.beginBy,
      at: null,
      layerId: null,
      bookingId: null,
      sheets: 0,
      dries: 0,
      isGuessed: true,
      ...more,
    }
    this.tasks.push(task)
    this.after = [{ taskId: task.id, lag: 0, within: null, dries: false }]
    this.notBefore = null
    this.beginBy = null
    return task
  }

  /** The next task waits so long by the clock after the one before. */
  private dryFor({ wait: lag, latest: within }: DryingLag, first: EditionTask | undefined): void {
    this.after = this.after.map((one) => ({ ...one, lag, dries: true }))
    // What was pulled first hardens first.
    if (first && within !== null) this.after.push({ taskId: first.id, lag: 0, within, dries: false })
  }

  /** Longer work is parted into what goes into a day. */
  private parted(key: string, kind: TaskKind, what: string, minutes: number): void {
    const parts = Math.max(1, Math.ceil(minutes / this.most))
    for (let i = 0; i < parts; i++)
      this.add(
        `${key} ${i}`,
        kind,
        parts === 1 ? what : `${what}, ${i + 1} of ${parts}`,
        Math.min(this.most, minutes / parts),
      )
  }

  private prepare(): void {
    const { state, around } = this
    if (state.blocks.length === 0 && state.pulls.length === 0)
      this.parted('block', 'block', 'Prepare the block', guesses.block)
    if (state.made > 0 || around.toStart === 0) return
    const { begin, sheet } = guesses.tearing
    this.parted('tear', 'tear', `Tear ${pluralise(around.toStart, 'sheet')}`, begin + sheet * around.toStart)
  }

  private print(): void {
    const { state, around } = this
    const stack = stackOf(state)
    const all = stack.layers.length
    let waiting = state.made === 0 ? around.toStart : 0
    let unnamed = around.booked.filter(({ layerId }) => layerId === null)
    for (const [i, { waiting: here, isPulled, isBegun, proofed }] of stack.layers.entries()) {
      waiting += here
      const layer = state.layers[i]
      const name = layerWords(i + 1, all)
      if (waiting > 0 && !isPulled)
        this.parted(`lay ${i}`, 'lay', `${name}, laid on ${pluralise(waiting, 'sheet')}`, guesses.lay * waiting)
      if (waiting > 0 && isPulled) {
        const named = around.booked.filter(
          ({ layerId }) => layerId !== null && (layerId === layer?.id || layerId === plannedLayer(i + 1)),
        )
        // Time that names no layer goes to the one that comes next.
        const booked = [...named, ...unnamed]
        unnamed = []
        const proofs = isBegun ? 0 : Math.max(0, proofsOfLayer(i + 1, around.record) - proofed)
        this.pull(i, name, layer, waiting, proofs, booked)
      }
      this.dry(i, waiting > 0)
      if (waiting + (stack.layers[i + 1]?.waiting ?? 0) > 0) this.cut(i, all)
    }
  }

  private pull(
    i: number,
    name: string,
    layer: Layer | undefined,
    sheets: number,
    proofs: number,
    booked: readonly BookedTime[],
  ): void {
    const { state, around } = this
    const pulls = layer ? pullsFor(state, layer, sheets) : sheets
    const piecesAPull = sheets / pulls / imagesAPiece(state)
    const shown = layer ? this.paceOf(layer) : null
    const setup = layer ? setupInForce(layer) : null
    const pressId = setup?.pressId ?? around.pressIds[0]
    const sessions = sessionsFor({
      pulls,
      minutesPerPull: shown ?? (state.plan!.rates.minutesPerPull || noRates.minutesPerPull),
      proving: proofs * guesses.proof,
      isSetUp: setup !== null && layer !== undefined && tallied(state, `pulled ${layer.id}`) > 0,
      most: this.most,
      mostPulls: around.places === null ? null : Math.max(1, Math.floor(around.places / piecesAPull)),
      booked,
    })
    for (const [n, { minutes, at, bookingId, pulls: held }] of sessions.entries())
      this.add(
        `layer ${i + 1} session ${n + 1}`,
        'pull',
        `${name}, ${held} ${held === 1 ? 'pull' : 'pulls'}`,
        minutes,
        {
          minutes,
          at,
          bookingId,
          layerId: layer?.id ?? plannedLayer(i + 1),
          sheets: Math.ceil(held * piecesAPull),
          resources: pressId === undefined ? this.person : [pressResource(pressId), ...this.person],
          isGuessed: shown === null,
        },
      )
  }

  private paceOf(layer: Layer): number | null {
    const timed = newestPulls(
      this.state,
      pacePulls,
      (pull) => pull.layerId === layer.id && isLive(pull) && pull.kind === 'pull',
    )
    return pace(timed.map((pull) => Date.parse(pull.at)))
  }

  /** What comes next waits until a layer is fit to be printed on, at the slow end; after the last one, to be stacked. */
  private dry(i: number, isPulled: boolean): void {
    const { state } = this
    const layer = state.layers[i]
    const lag = dryingLag(state, i, this.around)
    if (isPulled) {
      const runs = this.tasks.filter(
        ({ sheets, layerId }) => sheets > 0 && layerId === (layer?.id ?? plannedLayer(i + 1)),
      )
      for (const run of runs) run.dries = lag.racked
      return this.dryFor(lag, runs[0])
    }
    const last = layer && newestPulls(state, 1, (pull) => pull.layerId === layer.id && isLive(pull))[0]
    if (!last || tallied(state, 'is drying') === 0) return
    this.notBefore = Math.max(this.notBefore ?? 0, quarters(minuteOf(last.at) + lag.wait))
    if (lag.latest !== null) this.beginBy = minuteOf(last.at) + lag.latest
  }

  /** A reduction block is cut while its layer dries. */
  private cut(i: number, all: number): void {
    const { state } = this
    if (state.plan!.method !== 'reduction' || i + 1 >= all || state.layers[i]?.cutFurther) return
    const [before] = this.after
    const waits = this.after
    const { notBefore, beginBy } = this
    this.after = before ? [{ ...before, lag: 0, within: null, dries: false }] : []
    this.notBefore = this.beginBy = null
    this.parted(`cut ${i + 1}`, 'cut', `Cut the block for the ${ordinals[i + 1] ?? 'next'} layer`, guesses.cutFurther)
    this.after = [...this.after, ...waits]
    this.notBefore = notBefore
    this.beginBy = beginBy
  }

  private finish(): void {
    const { state } = this
    const wanted = goal(state.plan!)
    if (wanted === 0) return
    const { alive, signed } = figures(state)
    const prints = state.made === 0 ? wanted : Math.min(alive, Math.ceil(wanted / 0.97))
    const printed = { after: this.after, notBefore: this.notBefore }
    const batches: Wait[] = []
    for (const { key, what, minutes, isGuessed, afterKeys, wait, waitAfter } of finishingTasks(
      state,
      prints,
      this.most,
    )) {
      const earlier = afterKeys.map((one) => ({
        taskId: `${this.id} ${one}`,
        lag: wait,
        within: null,
        dries: wait > 0,
      }))
      // Every batch waits for its own last colour; before the first of them for the press.
      const { id } = this.add(key, 'finish', what, minutes, {
        isGuessed,
        ...(earlier.length > 0 ? { after: earlier } : printed),
      })
      batches.push({ taskId: id, lag: waitAfter, within: null, dries: waitAfter > 0 })
    }
    this.after = [...printed.after, ...batches]
    if (batches.length === 0) this.notBefore = printed.notBefore
    const curated = tallied(state, 'curated good')
    if (curated < Math.min(prints, wanted))
      this.parted('curate', 'curate', `Curate ${pluralise(prints, 'print')}`, guesses.curate * prints)
    const signer = state.artistId === null ? this.person : [personResource(state.artistId)]
    if (signed < wanted)
      this.add(
        'sign',
        'sign',
        `Number and sign ${wanted - signed}`,
        Math.min(this.most, guesses.sign * (wanted - signed)),
        {
          resources: signer,
        },
      )
  }
}
