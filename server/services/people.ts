import { v7 as uuid } from 'uuid'
import type { Refusal } from '#core/ground/refusal'
import type { Role } from '#core/ground/envelope'
import type { PersonReply } from '#shared/replies/replies'
import { type Connections, rows } from '../database/connections'
import type { Ledger } from './ledger'
import { Attempts, hashSecret, secretMatches } from './secrets'

interface PersonRow {
  id: string
  name: string
  role: Role
  secret: string
  active: number
  session_version: number
}

export interface Person extends PersonReply {
  sessionVersion: number
}

export type PersonResult = { person: Person } | { refusal: Refusal }

/**
 * The people of the studio. The ledger knows them by id and role; their names and secrets live beside it, written in
 * the same transaction, so that a name can be corrected without touching the record.
 */
export class People {
  private known: ReadonlyMap<string, Person & { secret: string }> = new Map()
  private readonly attempts = new Attempts()

  constructor(
    private readonly db: Connections,
    private readonly ledger: Ledger,
  ) {}

  /** Read everyone anew. The new list takes the old one's place whole: at no moment is nobody there. */
  async load(): Promise<void> {
    const found = await rows<PersonRow>(
      this.db.reader,
      'SELECT id, name, role, secret, active, session_version FROM people ORDER BY id',
    )
    this.known = new Map(
      found.map(({ id, name, role, secret, active, session_version }) => [
        id,
        { id, name, role, secret, active: active === 1, sessionVersion: session_version },
      ]),
    )
  }

  get(id: string): Person | undefined {
    return this.known.get(id)
  }

  all(): PersonReply[] {
    return [...this.known.values()]
      .map(({ id, name, role, active }) => ({ id, name, role, active }))
      .sort((a, b) => a.name.localeCompare(b.name))
  }

  get isEmpty(): boolean {
    return this.known.size === 0
  }

  /** Someone signing in with a PIN or passphrase. */
  async signIn(id: string, secret: string, now: number): Promise<PersonResult> {
    const wait = this.attempts.wait(id, now)
    if (wait > 0)
      return { refusal: { code: 'wait', message: `Too many wrong tries. Wait ${wait} seconds, then try again.` } }
    const person = this.known.get(id)
    if (!person || !person.active || !(await secretMatches(secret, person.secret))) {
      this.attempts.miss(id, now)
      return {
        refusal: {
          code: 'wrong-secret',
          message: 'That PIN or passphrase does not fit. Try again, or ask the manager for a new one.',
          field: 'secret',
        },
      }
    }
    this.attempts.hit(id)
    return { person }
  }

  /** Add a person, by the manager (or by nobody, when the studio is set up). */
  async add(name: string, role: Role, secret: string, by: { id: string; role: Role } | null): Promise<PersonResult> {
    const taken = this.nameTaken(name)
    if (taken) return { refusal: taken }
    const id = uuid()
    const kept = await hashSecret(secret)
    const answer = await this.ledger.submit({
      command: { type: 'add-person', stream: 'studio', data: { personId: id, role } },
      context: {
        personId: by?.id ?? id,
        role: by?.role ?? 'manager',
        commandId: uuid(),
        occurredAt: new Date().toISOString(),
      },
      device: 'server',
      via: null,
      beside: {
        sql: 'INSERT INTO people (id, name, role, secret, active, session_version) VALUES ($1, $2, $3, $4, 1, 1)',
        bind: [id, name.trim(), role, kept],
      },
    })
    if (answer.status !== 'stored')
      return { refusal: 'refusal' in answer ? answer.refusal : { code: 'conflict', message: 'Try again.' } }
    await this.load()
    return { person: this.known.get(id)! }
  }

  /** Change name, role, activity or secret. A change of role, activity or secret ends the person's sessions. */
  async change(
    id: string,
    change: { name: string; role: Role; active: boolean; secret?: string },
    by: { id: string; role: Role },
  ): Promise<PersonResult> {
    const person = this.known.get(id)
    if (!person)
      return { refusal: { code: 'unknown-person', message: 'That person is not in the studio. Reload the page.' } }
    const taken = change.name.trim() === person.name ? null : this.nameTaken(change.name)
    if (taken) return { refusal: taken }
    const kept = change.secret ? await hashSecret(change.secret) : person.secret
    const revoke = change.role !== person.role || change.active !== person.active || kept !== person.secret
    const answer = await this.ledger.submit({
      command: {
        type: 'change-person',
        stream: 'studio',
        data: { personId: id, role: change.role, active: change.active },
      },
      context: { personId: by.id, role: by.role, commandId: uuid(), occurredAt: new Date().toISOString() },
      device: 'server',
      via: null,
      beside: {
        sql: 'UPDATE people SET name = $1, role = $2, active = $3, secret = $4, session_version = $5 WHERE id = $6',
        bind: [
          change.name.trim(),
          change.role,
          change.active ? 1 : 0,
          kept,
          person.sessionVersion + (revoke ? 1 : 0),
          id,
        ],
      },
    })
    if (answer.status !== 'stored')
      return { refusal: 'refusal' in answer ? answer.refusal : { code: 'conflict', message: 'Try again.' } }
    await this.load()
    return { person: this.known.get(id)! }
  }

  private nameTaken(name: string): Refusal | null {
    const wanted = name.trim().toLocaleLowerCase()
    const same = [...this.known.values()].some((person) => person.name.toLocaleLowerCase() === wanted)
    return same
      ? {
          code: 'name-taken',
          message: `There is a ${name.trim()} in the studio already. Add an initial or a nickname.`,
          field: 'name',
        }
      : null
  }
}
