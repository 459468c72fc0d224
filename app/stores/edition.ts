import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { countEdition, figures } from '#core/edition/count'
import type { EditionState } from '#core/edition/state'
import { stops } from '#core/edition/stops'
import { edition as editionStream } from '#core/edition/stream'
import { isNamed } from '#core/edition/who'
import type { Ref } from '#core/ground/act'
import type { Context } from '#core/ground/envelope'
import { isStaff } from '#core/ground/who'
import {
  type CommandData,
  type EditionCommandType,
  guarded,
  type KindOf,
  type Seen,
  type TapType,
} from '#core/house/acts'
import { agree, pluralise } from '#core/units/pluralise'
import type { CommandRequest } from '#shared/commands/envelope'
import type { HandOut } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import { usePendingTaps } from '~/live/pending-taps'
import { useStoredEdition } from '~/live/stored-edition'
import { sealed } from '~/outbox/tap-seal'
import { useOutbox } from './outbox'
import { useSession } from './session'

/** The edition on the table: what the server has stored, and on top of it the taps that are still on their way. */
export const useEdition = defineStore('edition', () => {
  const session = useSession()
  const outbox = useOutbox()
  const { id, stream, stored, studio, record, problem, ...reading } = useStoredEdition(
    ({ commandId, seq }) => taps.storedAt(commandId, seq),
    () => taps.settle(),
  )
  const taps = usePendingTaps(stored, studio, contextOf)
  const { state, unsent } = taps
  const handOut = ref<HandOut | null>(null)
  /** How often a sheet was asked for: the last answer counts. */
  let asked = 0
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

  const count = computed(() => (state.value ? countEdition(state.value) : null))
  const at = computed(() => (state.value ? figures(state.value) : null))
  const strip = computed(() => (state.value ? stops(state.value) : []))
  /** True for staff and for whoever is named on the edition; others look on. */
  const isTheirs = computed(() => {
    const { person } = session
    return !!state.value && !!person && (isStaff(person.role) || isNamed(state.value, person.id))
  })

  async function open(editionId: string): Promise<void> {
    if (id.value !== editionId) {
      handOut.value = null
      asked += 1
      message.value = ''
      taps.clear()
    }
    const opening = reading.open(editionId)
    takeWaiting()
    await opening
  }

  const takeWaiting = () => taps.takeUp(outbox.waiting.filter((waiting) => waiting.stream === stream.value))
  watch(() => outbox.waiting, takeWaiting)

  outbox.onAnswer((command, result) => {
    if (command.stream !== stream.value) return
    if ('error' in result) {
      taps.drop(command.commandId)
      message.value = result.error.message
      return
    }
    if (result.reply.handOut) handOut.value = result.reply.handOut
    if (result.reply.disputed) message.value = `Stored as disputed: ${result.reply.disputed}`
    taps.storedAt(command.commandId, result.reply.seq)
  })

  /**
   * A tap: on disk first, then shown, then sent. What could only be refused is not sent, and the reason is shown.
   * @returns the command's id, or null when it was refused here
   */
  async function tap<T extends TapType>(type: T, data: CommandData<T>): Promise<string | null> {
    if (!state.value) return null
    const command = sealed(session.envelope(state.value.stream, type, data))
    const refusal = taps.refusalOf(command)
    if (refusal) {
      message.value = refusal.message
      return null
    }
    message.value = ''
    taps.claim(command.commandId)
    await outbox.put(command)
    taps.add(command)
    return command.commandId
  }

  /** One's own taps still on their way must not make one's next step look stale. */
  async function ownTapsStored(): Promise<void> {
    if (taps.pending.value.length === 0) return
    for (let tries = 0; unsent.value > 0; tries++) {
      if (tries === 100)
        throw new ApiError(0, {
          code: 'unsent',
          message: `${pluralise(unsent.value, 'tap')} ${agree(unsent.value, 'is', 'are')} not stored yet${outbox.hindrance ? `: ${outbox.hindrance}` : '.'} Do this again when they are.`,
        })
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
    if (taps.pending.value.length > 0) await reading.load()
  }

  /**
   * Do something and wait for the ledger: for forms.
   * @throws ApiError with the words to show
   */
  async function give<T extends EditionCommandType>(type: T, data: CommandData<T>): Promise<void> {
    await ownTapsStored()
    // Which acts are guarded and that all are done to an edition is known of each, but not of all at once.
    const target = editionStream.of(id.value) as Ref<EditionState> as Ref<EditionState, KindOf<T>>
    const seen = (guarded.has(type) ? [stored.value?.seq ?? 0] : []) as Seen<T>
    const { seq } = await session.give(type, target, data, ...seen)
    // Others' events stand before it, and are not here yet.
    if ((stored.value?.seq ?? 0) < seq) await reading.load()
  }

  /**
   * Ask for this station's next sheet; without the server the stack's own order serves.
   * @param inHand sheets that lie here already, and stay
   */
  async function askForSheet(layerId: string, inHand: readonly number[] = []): Promise<void> {
    const turn = ++asked
    const answer = await api<HandOut>(`/api/editions/${id.value}/hand-out`, 'POST', {
      layerId,
      device: session.station,
      inHand,
    }).catch(() => (inHand.length > 0 ? handOut.value : null))
    // Another layer or edition may have been gone to meanwhile.
    if (turn === asked) handOut.value = answer
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
    pending: taps.pending,
    unsent,
    handOut,
    problem,
    message,
    open,
    fetchStored: reading.load,
    isStored: taps.isStored,
    tap,
    give,
    askForSheet,
  }
})
