import { computed, type Ref, shallowRef } from 'vue'
import { pullOf } from '#core/edition/pull'
import type { EditionState } from '#core/edition/state'
import type { Context } from '#core/ground/envelope'
import { foresee } from '#core/house/foresee'
import type { Refusal } from '#core/ground/refusal'
import type { StudioState } from '#core/stores/studio/state'
import type { CommandRequest } from '#shared/commands/envelope'

/**
 * Taps that the stored edition does not hold yet, shown on top of it. A tap is stored once it was answered or heard of; it
 * stays on top until the edition has come as far as the tap did, whichever of answer, live stream and reading is first.
 */
export function usePendingTaps(
  stored: Readonly<Ref<EditionState | null>>,
  studio: Readonly<Ref<StudioState>>,
  contextOf: (command: CommandRequest) => Context,
) {
  /** Oldest first. */
  const pending = shallowRef<readonly CommandRequest[]>([])
  /** How far the edition was with each that is stored: its `seq`. */
  const answered = shallowRef<ReadonlyMap<string, number>>(new Map())
  /** Commands that were shown here once, waiting or stored: each is taken up once. */
  const takenUp = new Set<string>()

  const foreseen = (state: EditionState, command: CommandRequest) =>
    foresee(state, new Map([['studio', studio.value]]), command, contextOf(command))

  /** The edition with every tap on it, stored or not. */
  const state = computed<EditionState | null>(() => {
    if (!stored.value) return null
    return pending.value.reduce((folded, command) => {
      const after = foreseen(folded, command)
      return 'state' in after ? after.state : folded
    }, stored.value)
  })
  const unsent = computed(() => pending.value.filter(({ commandId }) => !answered.value.has(commandId)).length)
  /** True once a pull is durable on the server. A value, since the store wraps what it does and this is asked for every stroke. */
  const isStored = computed(() => {
    const [known, onTheWay] = [stored.value, answered.value]
    return (pullId: string): boolean => onTheWay.has(pullId) || (known !== null && pullOf(known, pullId) !== undefined)
  })

  /** Another edition is on the table. */
  function clear(): void {
    pending.value = []
    answered.value = new Map()
    takenUp.clear()
  }

  /** @returns why it could only be refused, or null */
  function refusalOf(command: CommandRequest): Refusal | null {
    const after = foreseen(state.value!, command)
    return 'refusal' in after ? after.refusal : null
  }

  /** It will be shown by `add`, and by nothing else meanwhile. */
  function claim(commandId: string): void {
    takenUp.add(commandId)
  }

  function add(...commands: CommandRequest[]): void {
    if (commands.length === 0) return
    pending.value = [...pending.value, ...commands]
    settle()
  }

  /** Taps that another tab of this browser gave, or an earlier page. */
  function takeUp(waiting: readonly CommandRequest[]): void {
    const others = waiting.filter(({ commandId }) => !takenUp.has(commandId))
    for (const { commandId } of others) takenUp.add(commandId)
    add(...others)
  }

  function drop(commandId: string): void {
    pending.value = pending.value.filter((other) => other.commandId !== commandId)
  }

  /** A command was stored, with the edition at `seq`. */
  function storedAt(commandId: string, seq: number): void {
    takenUp.add(commandId)
    if (!pending.value.some((other) => other.commandId === commandId)) return
    answered.value = new Map([...answered.value, [commandId, seq]])
    settle()
  }

  /** Taps that the stored edition holds now are shown no more on top of it. */
  function settle(): void {
    const known = stored.value
    if (!known) return
    const isIn = (commandId: string) =>
      known.seq >= (answered.value.get(commandId) ?? Number.POSITIVE_INFINITY) || pullOf(known, commandId) !== undefined
    if (!pending.value.some(({ commandId }) => isIn(commandId))) return
    pending.value = pending.value.filter(({ commandId }) => !isIn(commandId))
    answered.value = new Map([...answered.value].filter(([commandId]) => !isIn(commandId)))
  }

  return { pending, state, unsent, isStored, clear, refusalOf, claim, add, takeUp, drop, storedAt, settle }
}
