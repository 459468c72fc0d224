import { defineStore } from 'pinia'
import { v4, v7 } from 'uuid'
import { computed, ref } from 'vue'
import type { CommandRequest } from '#shared/commands/envelope'
import type { CommandReply, PersonReply, SessionReply } from '#shared/replies/replies'
import { api, ApiError } from '~/composables/api'
import { keepCopy, readCopy } from '~/outbox/kept'

/** This tab's name as a station; it lasts through reloads. */
function stationId(): string {
  const known = sessionStorage.getItem('station')
  if (known) return known
  const fresh = v4()
  sessionStorage.setItem('station', fresh)
  return fresh
}

/** Who is here, and the envelope that every command of theirs travels in. */
export const useSession = defineStore('session', () => {
  const session = ref<SessionReply | null>(null)
  const people = ref<PersonReply[]>([])
  /**
   * Requests of which nobody knows whether they were stored: the answer was lost. Pressed again they keep their id, so
   * that they are carried out once. Given twice in any other way, the same act is two acts.
   */
  const unsure = new Map<string, CommandRequest>()

  const person = computed(() => session.value?.person ?? null)

  async function load(): Promise<void> {
    try {
      session.value = await api<SessionReply>('/api/session')
      await keepCopy('session', JSON.parse(JSON.stringify(session.value)))
    } catch (error) {
      // A dead server must not keep a printer from the bench: the last session known here stands until it is back.
      if (!(error instanceof ApiError) || !error.unreachable) throw error
      session.value = (await readCopy<SessionReply>('session')) ?? null
    }
  }

  async function loadPeople(): Promise<void> {
    people.value = (await api<{ people: PersonReply[] }>('/api/people')).people
    await keepCopy('people', JSON.parse(JSON.stringify(people.value)))
  }

  async function signIn(personId: string, secret: string): Promise<void> {
    session.value = await api<SessionReply>('/api/session', 'POST', { personId, secret })
    await keepCopy('session', JSON.parse(JSON.stringify(session.value)))
  }

  async function signOut(): Promise<void> {
    await api('/api/session', 'DELETE')
    session.value = session.value && { ...session.value, person: null }
  }

  /** Name of a person. A value, since the store wraps what it does and this is asked for every stroke. */
  const nameOf = computed(() => {
    const names = new Map(people.value.map((known) => [known.id, known.name]))
    return (id: string): string => names.get(id) ?? 'someone'
  })

  /** Wrap what is to be done with who, when, where and an id of its own. */
  function envelope(stream: string, type: string, data: object, expectedSeq?: number): CommandRequest {
    return {
      commandId: v7(),
      device: stationId(),
      by: person.value?.id ?? '',
      occurredAt: new Date().toISOString(),
      type,
      stream,
      data,
      ...(expectedSeq === undefined ? {} : { expectedSeq }),
    }
  }

  /**
   * Do something now and wait for the answer: for forms, where a refusal belongs beside the field.
   * @throws ApiError with the words to show
   */
  async function give(stream: string, type: string, data: object, expectedSeq?: number): Promise<CommandReply> {
    const key = JSON.stringify([stream, type, data, expectedSeq])
    const command = unsure.get(key) ?? envelope(stream, type, data, expectedSeq)
    // While this pressing is under way the next is another.
    unsure.delete(key)
    try {
      return await api<CommandReply>('/api/commands', 'POST', command)
    } catch (error) {
      if (error instanceof ApiError && (error.unreachable || error.status >= 500)) unsure.set(key, command)
      throw error
    }
  }

  /** A command was stored after all: given again, it is another. */
  function seenStored(commandId: string): void {
    for (const [key, command] of unsure) if (command.commandId === commandId) unsure.delete(key)
  }

  return {
    session,
    person,
    people,
    load,
    loadPeople,
    signIn,
    signOut,
    nameOf,
    envelope,
    give,
    seenStored,
    station: stationId(),
  }
})
