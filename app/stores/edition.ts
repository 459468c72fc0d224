import { agree, pluralise } from '#core/units/pluralise'
import { type CommandData, type EditionCommandType, guarded, type TapType } from '#core/house/acts'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { countEdition, figures } from '#core/edition/count'
import { evolve } from '#core/house/streams'
import { isNewer } from '#core/house/upcast'
import { broughtUpToDate } from '#core/edition/older-copy'
import type { EditionState } from '#core/edition/state'
import { pullOf } from '#core/edition/pull'
import { foresee } from '#core/house/foresee'
import type { Context, LedgerEvent } from '#core/ground/envelope'
import { noRecord, type ShopRecord } from '#core/plan/shop-record'
import { type StudioState, emptyStudio } from '#core/stores/studio/state'
import { stops } from '#core/edition/stops'
import { isNamed } from '#core/edition/who'
import { isStaff } from '#core/ground/who'
import type { CommandRequest } from '#shared/commands/envelope'
import type { EditionReply, HandOut } from '#shared/replies/replies'
import { api, ApiError, wordsOf } from '~/composables/api'
import { useSeldom } from '~/composables/seldom'
import { sealed } from '~/outbox/tap-seal'
import { dropEvents, eventsSince, keepCopy, keepEvent, readCopy } from '~/outbox/kept'
import { useLive } from './live'
import { useOutbox } from './outbox'
import { useSession } from './session'

const catchUpAfter = 1_500

/** The edition on the table: what the server has stored, and on top of it the taps that are still on their way. */
export const useEdition = defineStore('edition', () => {
  const session = useSession()
  const outbox = useOutbox()
  const live = useLive()

  const id = ref('')
  const stored = shallowRef<EditionState | null>(null)
  const studio = shallowRef<StudioState>(emptyStudio())
  /** The shop's past pulls without this edition's, for its pass rates. */
  const record = shallowRef<ShopRecord>(noRecord)
  /** Taps not yet seen in the stored state, oldest first. */
  const pending = shallowRef<CommandRequest[]>([])
  /** Answered, but the stored state here has not caught up yet: the edition's `seq` with each. */
  const answered = shallowRef<ReadonlyMap<string, number>>(new Map())
  /** Commands that were shown here once, waiting or stored: each is taken up once. */
  const takenUp = new Set<string>()
  const handOut = ref<HandOut | null>(null)
  const problem = ref('')
  const message = ref('')

  function contextOf(command: CommandRequest): Context {
    return {
      personId: command.by,
      role: session.roleOf(command.by),
      commandId: command.commandId,
      occurredAt: command.occurredAt,
      zone: session.zone,
    }
  }

  /** The edition with every tap on it, stored or not. */
  const state = computed<EditionState | null>(() => {
    if (!stored.value) return null
    return pending.value.reduce((folded, command) => {
      const foreseen = foresee(folded, new Map([['studio', studio.value]]), command, contextOf(command))
      return 'state' in foreseen ? foreseen.state : folded
    }, stored.value)
  })

  const count = computed(() => (state.value ? countEdition(state.value) : null))
  const at = computed(() => (state.value ? figures(state.value) : null))
  const strip = computed(() => (state.value ? stops(state.value) : []))
  /** True for staff and for whoever is named on the edition; others look on. */
  const isTheirs = computed(() => {
    const { person } = session
    return !!state.value && !!person && (isStaff(person.role) || isNamed(state.value, person.id))
  })
  const unsent = computed(() => pending.value.filter((command) => !answered.value.has(command.commandId)).length)

  /** True once a pull is durable on the server. A value, since the store wraps what it does and this is asked for every stroke. */
  const isStored = computed(() => {
    const [known, onTheWay] = [stored.value, answered.value]
    return (pullId: string): boolean => onTheWay.has(pullId) || (known !== null && pullOf(known, pullId) !== undefined)
  })

  async function open(editionId: string): Promise<void> {
    if (id.value !== editionId) {
      id.value = editionId
      stored.value = null
      handOut.value = null
      message.value = ''
    }
    pending.value = []
    takenUp.clear()
    takeWaiting()
    await fetchStored()
  }

  /** Taps of this edition that another tab of this browser gave. */
  function takeWaiting(): void {
    const others = outbox.waiting.filter((one) => one.stream === `edition:${id.value}` && !takenUp.has(one.commandId))
    for (const { commandId } of others) takenUp.add(commandId)
    if (others.length > 0) pending.value = [...pending.value, ...others]
  }
  watch(() => outbox.waiting, takeWaiting)

  async function fetchStored(): Promise<void> {
    const wanted = id.value
    try {
      const reply = await api<EditionReply>(`/api/editions/${wanted}`)
      if (wanted !== id.value) return
      problem.value = ''
      studio.value = reply.studio
      record.value = reply.record
      take(reply.state)
      live.follow(reply.position)
    } catch (error) {
      if (!(error instanceof ApiError) || !error.unreachable) {
        problem.value = wordsOf(error)
        return
      }
      const copy = await readCopy<{ state: EditionState; studio: StudioState; record?: ShopRecord; position: number }>(
        `edition:${wanted}`,
      )
      if (!copy) {
        problem.value = 'The server cannot be reached, and this browser has no copy of this edition yet.'
        return
      }
      if (stored.value) return
      // A copy kept by an older program may know less.
      studio.value = { ...emptyStudio(), ...copy.studio }
      record.value = { ...noRecord, ...copy.record }
      const since = await eventsSince(copy.state.stream)
      stored.value = since.reduce(
        (state, event) => (event.seq === state.seq + 1 ? evolve(state, event) : state),
        broughtUpToDate(copy.state),
      )
      const known = new Set(since.map(({ commandId }) => commandId))
      leaveOut((commandId) => known.has(commandId))
      live.follow(copy.position)
    }
  }

  function take(next: EditionState): void {
    if (stored.value && next.seq < stored.value.seq) return
    stored.value = next
    // What was fetched may be older than an answer: a tap stays on top of it until the state that holds it is here.
    const isIn = (commandId: string) => next.seq >= (answered.value.get(commandId) ?? Number.POSITIVE_INFINITY)
    leaveOut(isIn)
    answered.value = new Map([...answered.value].filter(([commandId]) => !isIn(commandId)))
    copying.soon(id.value)
  }

  /** Taps that the stored state holds are shown no more on top of it. */
  function leaveOut(isIn: (commandId: string) => boolean): void {
    const held = stored.value!
    pending.value = pending.value.filter(({ commandId }) => !isIn(commandId) && pullOf(held, commandId) === undefined)
  }

  function onStored(event: LedgerEvent): void {
    session.seenStored(event.commandId)
    takenUp.add(event.commandId)
    if (event.stream === 'studio') followStudio(event)
    const current = stored.value
    if (!current || event.stream !== current.stream || event.seq <= current.seq) return
    if (event.seq > current.seq + 1) return void fetchStored()
    stored.value = evolve(current, event)
    void keepEvent(event)
    pending.value = pending.value.filter((command) => command.commandId !== event.commandId)
    copying.soon(id.value)
  }

  /** Customs and leaves bear on what may be done here. */
  function followStudio(event: LedgerEvent): void {
    if (event.seq <= studio.value.seq) return
    if (event.seq > studio.value.seq + 1) return void fetchStored()
    studio.value = evolve(studio.value, event)
  }

  /** What an answer says was stored, when it follows on from what is here. */
  function takeEvents(events: readonly LedgerEvent[]): void {
    for (const event of events) if (event.seq === (stored.value?.seq ?? 0) + 1 && !isNewer(event)) onStored(event)
  }

  const copying = useSeldom(() => void keepNow())
  async function keepNow(): Promise<void> {
    const state = stored.value
    if (!state) return
    const copy = { state, studio: studio.value, record: record.value, position: live.position }
    if (await keepCopy(state.stream, copy)) await dropEvents(state.stream, state.seq)
  }

  live.listen(
    onStored,
    () => void fetchStored(),
    // It was named to us otherwise: what is seen of it is another.
    (stream) => void (stream === `edition:${id.value}` && fetchStored()),
  )

  outbox.onAnswer((command, result) => {
    if (command.stream !== `edition:${id.value}`) return
    if ('error' in result) {
      pending.value = pending.value.filter((other) => other.commandId !== command.commandId)
      message.value = result.error.message
      return
    }
    if (result.reply.handOut) handOut.value = result.reply.handOut
    if (result.reply.disputed) message.value = `Stored as disputed: ${result.reply.disputed}`
    if ((stored.value?.seq ?? 0) >= result.reply.seq) {
      pending.value = pending.value.filter((other) => other.commandId !== command.commandId)
      return
    }
    takeEvents(result.reply.events)
    if ((stored.value?.seq ?? 0) >= result.reply.seq) return
    answered.value = new Map([...answered.value, [command.commandId, result.reply.seq]])
    setTimeout(() => {
      if ((stored.value?.seq ?? 0) < result.reply.seq) void fetchStored()
    }, catchUpAfter)
  })

  /**
   * A tap: on disk first, then shown, then sent. What could only be refused is not sent, and the reason is shown.
   * @returns the command's id, or null when it was refused here
   */
  async function tap<T extends TapType>(type: T, data: CommandData<T>): Promise<string | null> {
    const now = state.value
    if (!now) return null
    const command = sealed(session.envelope(now.stream, type, data))
    const foreseen = foresee(now, new Map([['studio', studio.value]]), command, contextOf(command))
    if ('refusal' in foreseen) {
      message.value = foreseen.refusal.message
      return null
    }
    message.value = ''
    takenUp.add(command.commandId)
    await outbox.put(command)
    pending.value = [...pending.value, command]
    return command.commandId
  }

  /** One's own taps still on their way must not make one's next step look stale. */
  async function ownTapsStored(): Promise<void> {
    if (pending.value.length === 0) return
    for (let tries = 0; unsent.value > 0; tries++) {
      if (tries === 100)
        throw new ApiError(0, {
          code: 'unsent',
          message: `${pluralise(unsent.value, 'tap')} ${agree(unsent.value, 'is', 'are')} not stored yet${outbox.hindrance ? `: ${outbox.hindrance}` : '.'} Do this again when they are.`,
        })
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
    await fetchStored()
  }

  /**
   * Do something and wait for the ledger: for forms.
   * @throws ApiError with the words to show
   */
  async function give<T extends EditionCommandType>(type: T, data: CommandData<T>): Promise<void> {
    await ownTapsStored()
    const reply = await session.give(
      `edition:${id.value}`,
      type,
      data,
      guarded.has(type) ? stored.value?.seq : undefined,
    )
    takeEvents(reply.events)
    if ((stored.value?.seq ?? 0) < reply.seq) await fetchStored()
  }

  /** Ask for this station's next sheet; without the server the stack's own order serves. */
  async function askForSheet(layerId: string): Promise<void> {
    handOut.value = await api<HandOut>(`/api/editions/${id.value}/hand-out`, 'POST', {
      layerId,
      device: session.station,
    }).catch(() => null)
  }

  return {
    id,
    state,
    stored,
    studio,
    record,
    count,
    at,
    strip,
    isTheirs,
    pending,
    unsent,
    handOut,
    problem,
    message,
    open,
    fetchStored,
    isStored,
    tap,
    give,
    askForSheet,
  }
})
