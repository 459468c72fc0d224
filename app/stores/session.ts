import { instantAt } from '#core/time/instant'
import type { Folded, Ref } from '#core/ground/act'
import { isStaff as staffed } from '#core/ground/who'
import type { CommandData, KindOf, Seen } from '#core/house/acts'
import type { RequestType } from '#shared/commands/requests'
import { defineStore } from 'pinia'
import { v4, v7 } from 'uuid'
import { computed, ref, watch } from 'vue'
import type { SentEvent, Role } from '#core/ground/envelope'
import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply, PeopleReply, PersonReply, SessionReply } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import { keepAnswered } from '~/outbox/answered'
import { copiesAreOf, keepCopy, readCopy } from '~/outbox/kept'
import { holdTapKey } from '~/outbox/tap-seal'
import { hereZone } from '#core/time/zone'
import { keepRoomTime, keepRoomZone } from '~/format/room-zone'
import { useSure } from './sure'

/** This tab's name among the stations of its browser; it lasts through reloads. */
function tabName(): string {
  const known = sessionStorage.getItem('tab')
  if (known) return known
  const fresh = v4().slice(0, 8)
  sessionStorage.setItem('tab', fresh)
  return fresh
}

/** What a page knows of who is here: all that the server said but the key, which is kept elsewhere. */
type SessionHere = Omit<SessionReply, 'tapKey' | 'now'>

/** Who is here, and the envelope that every command of theirs travels in. */
export const useSession = defineStore('session', () => {
  const tab = tabName()
  const session = ref<SessionHere | null>(null)
  const people = ref<PersonReply[]>([])
  const sure = useSure()
  /**
   * Requests of which nobody knows whether they were stored: the answer was lost. Pressed again they keep their id, so
   * that they are carried out once. Given twice in any other way, the same act is two acts.
   */
  const unsure = new Map<string, CommandRequest>()

  const listeners = new Set<(events: readonly SentEvent[]) => void>()

  const person = computed(() => session.value?.person ?? null)
  /** Which ledger this is; a copy kept by an older program does not say. */
  const lineage = computed(() => (session.value as Partial<SessionHere> | null)?.lineage?.id ?? '')
  /** Whose clock and calendar the room goes by. */
  const zone = computed(() => session.value?.zone ?? hereZone())
  watch(zone, keepRoomZone, { immediate: true, flush: 'sync' })
  /** Where taps of this tab are given: the browser as the server knows it, and the tab. */
  const station = computed(() => `${session.value?.device ?? 'unknown'}~${tab}`)

  async function load(): Promise<void> {
    try {
      await take(await api<SessionReply>('/api/session'))
    } catch (error) {
      // A dead server must not keep a printer from the bench: the last session known here stands until it is back.
      if (!(error instanceof ApiError) || !error.unreachable) throw error
      session.value = (await readCopy<SessionHere>('session')) ?? null
    }
  }

  async function loadPeople(): Promise<void> {
    const { people: told } = await api<PeopleReply>('/api/people')
    // At the door only names are told; who may do what comes with the sign-in.
    people.value = told.map((one) => ({ role: 'member' as const, active: true, ...one }))
    await keepCopy('people', JSON.parse(JSON.stringify(people.value)))
  }

  /** Another's pages go first; then the name and the key change in one step, so that no tap has one without the other. */
  async function take({ tapKey, now, ...reply }: SessionReply): Promise<void> {
    keepRoomTime(now)
    if (reply.person) await copiesAreOf(reply.person.id)
    holdTapKey(tapKey)
    keep(reply)
  }

  function keep(here: SessionHere): void {
    session.value = here
    void keepCopy('session', JSON.parse(JSON.stringify(here)))
  }

  /** @param own true on a device of the person's own, which does not go idle */
  async function signIn(personId: string, secret: string, own = false): Promise<void> {
    await take(await api<SessionReply>('/api/session', 'POST', { personId, secret, own }))
    void loadPeople().catch(() => undefined)
  }

  /**
   * @param idle true when nobody touched the station for long
   * @param waiting true when taps wait here: they stay this person's
   */
  async function signOut(idle = false, waiting = false): Promise<void> {
    // Nobody is there any more: what seals this person's taps goes also while the server is away.
    if (idle) beNobody()
    await api('/api/session', 'DELETE', { idle, waiting })
    beNobody()
  }

  function beNobody(): void {
    holdTapKey(null)
    if (session.value) keep({ ...session.value, person: null, mustChange: false })
  }

  async function setUp(form: object): Promise<void> {
    await take(await api<SessionReply>('/api/setup', 'POST', form))
  }

  /** A pressroom from a studio file that was read: its manager opens it. */
  async function takeStudioFile(form: object): Promise<void> {
    await take(await api<SessionReply>('/api/bringing-in/take', 'POST', form))
  }

  async function setOwnSecret(before: string, secret: string): Promise<void> {
    await api(`/api/people/${person.value!.id}/secret`, 'PUT', { before, secret })
    if (session.value) keep({ ...session.value, mustChange: false })
  }

  const isManager = computed(() => person.value?.role === 'manager')
  const isStaff = computed(() => !!person.value && staffed(person.value.role))

  /** Name of a person. A value, since the store wraps what it does and this is asked for every stroke. */
  const nameOf = computed(() => {
    const names = new Map(people.value.map((known) => [known.id, known.name]))
    return (id: string): string => names.get(id) ?? 'someone'
  })

  /** What someone may do here; of someone this page has not heard of, what a member may. */
  function roleOf(id: string): Role {
    return (person.value?.id === id ? person.value : people.value.find((known) => known.id === id))?.role ?? 'member'
  }

  /** Wrap what is to be done with who, when, where and an id of its own. */
  function envelope(stream: string, type: string, data: object, expectedSeq?: number): CommandRequest {
    return {
      commandId: v7(),
      device: station.value,
      by: person.value?.id ?? 'nobody',
      occurredAt: instantAt(Date.now()),
      type,
      stream,
      data,
      ...(expectedSeq === undefined ? {} : { expectedSeq }),
    }
  }

  /**
   * Do something now and wait for the answer: for forms, where a refusal belongs beside the field.
   * @param target a stream of the act's kind
   * @param seen of a guarded act, the `seq` of what the person looked at
   * @throws ApiError with the words to show
   */
  async function give<T extends RequestType>(
    type: T,
    target: Ref<Folded, KindOf<T>>,
    data: CommandData<T>,
    ...seen: Seen<T>
  ): Promise<CommandReply> {
    const key = JSON.stringify([target.name, type, data, ...seen])
    const command = unsure.get(key) ?? envelope(target.name, type, data as object, ...seen)
    // While this pressing is under way the next is another.
    unsure.delete(key)
    try {
      const reply = await send(command)
      void keepAnswered({ command, position: reply.position, lineage: lineage.value })
      for (const listener of listeners) listener(reply.events)
      return reply
    } catch (error) {
      if (error instanceof ApiError && (error.unreachable || error.status >= 500)) unsure.set(key, command)
      throw error
    }
  }

  /** Send it; where the server asks for the secret again, the person is asked, and it is sent once more. */
  async function send(command: CommandRequest): Promise<CommandReply> {
    try {
      return await api<CommandReply>('/api/commands', 'POST', command)
    } catch (error) {
      if (!(error instanceof ApiError) || error.reply.code !== 'give-secret-again') throw error
      if (await sure.ask()) return await api<CommandReply>('/api/commands', 'POST', command)
      throw new ApiError(403, { code: 'left', message: 'Nothing was done: the PIN was not given.' })
    }
  }

  /** Hear the events of one's own acts, of whatever stream. */
  function onAnswer(listener: (events: readonly SentEvent[]) => void): void {
    listeners.add(listener)
  }

  /** A command was stored after all: given again, it is another. */
  function seenStored(commandId: string): void {
    for (const [key, command] of unsure) if (command.commandId === commandId) unsure.delete(key)
  }

  return {
    session,
    lineage,
    zone,
    station,
    person,
    people,
    load,
    loadPeople,
    signIn,
    signOut,
    setUp,
    takeStudioFile,
    setOwnSecret,
    isManager,
    isStaff,
    nameOf,
    roleOf,
    envelope,
    give,
    onAnswer,
    seenStored,
  }
})
