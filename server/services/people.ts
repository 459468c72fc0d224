import { instantAt } from '#core/time/instant'
import { v7 as uuid } from 'uuid'
import { isZone, type Zone } from '#core/time/zone'
import type { Refusal } from '#core/ground/refusal'
import type { Role } from '#core/ground/envelope'
import type { StudioSettings } from '#core/stores/studio/state'
import type { PersonReply } from '#shared/replies/replies'
import type { Connections } from '../database/connections'
import type { KeptPerson, SignIn } from '../database/tables'
import type { Beside } from '../database/writing'
import { type Attempt, Attempts } from './attempts'
import type { Ledger, Submission } from './ledger'
import { endingAddress } from './calendar-addresses'
import { hashSecret, secretMatches } from './secrets'
import type { SignIns } from './sign-ins'

export interface Person extends PersonReply {
  /** Someone else chose the secret: it is to be changed before anything else. */
  mustChange: boolean
}

export type PersonResult = { person: Person } | { refusal: Refusal }

/** Whoever asks for a change of people. */
interface Asker {
  id: string
  role: Role
}

const wrongSecret: Refusal = {
  code: 'wrong-secret',
  message: 'That PIN or passphrase does not fit. Try again, or ask the manager for a new one.',
  field: 'secret',
}
const noSecret: Refusal = {
  code: 'wrong-secret',
  message:
    'You have no PIN in this room yet: it was brought in from a file, which holds none. Ask the manager for one.',
  field: 'secret',
}
const noSuchPerson: Refusal = {
  code: 'unknown-person',
  message: 'That person is not in the studio. Reload the page.',
}
const tooMany = (seconds: number): Refusal => ({
  code: 'wait',
  message: `Too many wrong tries. Wait ${seconds} ${seconds === 1 ? 'second' : 'seconds'}, then try again.`,
})

/** What may be told of a person: never how the secret is kept. */
const told = ({ id, name, role, active, mustChange }: KeptPerson): Person => ({ id, name, role, active, mustChange })

const adding =
  (person: Omit<KeptPerson, 'active'>): Beside =>
  ({ people }) =>
    people.create({ ...person, active: true })

/**
 * The people of the studio. The ledger knows them by id and role; their names and secrets live beside it, written in
 * the same transaction, so that a name can be corrected without touching the record.
 */
export class People {
  private known: ReadonlyMap<string, KeptPerson> = new Map()
  private readonly attempts = new Attempts()
  private turn: Promise<unknown> = Promise.resolve()

  constructor(
    private readonly db: Connections,
    private readonly ledger: Ledger,
    private readonly signIns: SignIns,
  ) {}

  /** Read everyone anew. The new list takes the old one's place whole: at no moment is nobody there. */
  async load(): Promise<void> {
    const found = await this.db.reader.people.findAll({ order: ['id'] })
    this.known = new Map(
      found.map((row) => {
        const person = row.get()
        return [person.id, person]
      }),
    )
  }

  get(id: string): Person | undefined {
    const found = this.known.get(id)
    return found && told(found)
  }

  all(): PersonReply[] {
    return [...this.known.values()]
      .map(({ id, name, role, active }) => ({ id, name, role, active }))
      .sort((a, b) => a.name.localeCompare(b.name))
  }

  get isEmpty(): boolean {
    return this.known.size === 0
  }

  /** Someone giving a PIN or passphrase, to sign in or to be sure that it is they. */
  async recognise(secret: string, attempt: Attempt): Promise<PersonResult> {
    const begun = this.attempts.begin(attempt)
    if ('wait' in begun) return { refusal: tooMany(begun.wait) }
    let fits = false
    try {
      const found = this.known.get(attempt.personId)
      if (found?.secret === '') return { refusal: noSecret }
      fits = found !== undefined && found.active && (await secretMatches(secret, found.secret))
      return fits ? { person: told(found!) } : { refusal: wrongSecret }
    } finally {
      begun.end(fits)
    }
  }

  /** The room's name and its first manager, once. @param timeZone whose clock it goes by; null for that of this machine */
  async setUp(
    name: string,
    secret: string,
    settings: StudioSettings,
    timeZone: Zone | null = null,
  ): Promise<PersonResult> {
    const [id, kept] = [uuid(), await hashSecret(secret)]
    const beside = [adding({ id, name: name.trim(), role: 'manager', secret: kept, mustChange: false })]
    const data = { managerId: id, settings }
    const manager = { id, role: 'manager' as const }
    const done = await this.submit(id, { type: 'set-up', stream: 'studio', data }, manager, beside)
    // Of a zone this machine does not know the room keeps the machine's own, until somebody says another.
    if ('refusal' in done || timeZone === null || !isZone(timeZone)) return done
    const hours = { type: 'set-hours', stream: 'calendar', data: { timeZone, hours: [] } }
    return await this.submit(id, hours, manager, [])
  }

  /** Add a person, by the manager. @param mustChange false where nobody but the person knows the secret */
  async add(name: string, role: Role, secret: string, by: Asker, mustChange = true): Promise<PersonResult> {
    const [id, kept] = [uuid(), await hashSecret(secret)]
    return await this.inTurn(async () => {
      const taken = this.nameTaken(name)
      if (taken) return { refusal: taken }
      const beside = [adding({ id, name: name.trim(), role, secret: kept, mustChange })]
      return await this.submit(id, { type: 'add-person', stream: 'studio', data: { personId: id, role } }, by, beside)
    })
  }

  /** Change name, role or activity. A change of role or activity ends the person's sign-ins. */
  async change(id: string, to: Pick<PersonReply, 'name' | 'role' | 'active'>, by: Asker): Promise<PersonResult> {
    return await this.inTurn(() => this.changeNow(id, to, by))
  }

  private async changeNow(id: string, to: Pick<PersonReply, 'name' | 'role' | 'active'>, by: Asker) {
    const person = this.known.get(id)
    if (!person) return { refusal: noSuchPerson }
    const taken = to.name.trim() === person.name ? null : this.nameTaken(to.name)
    if (taken) return { refusal: taken }
    const revoke = to.role !== person.role || to.active !== person.active
    const beside: Beside[] = [
      ({ people }) => people.update({ name: to.name.trim(), role: to.role, active: to.active }, { where: { id } }),
      ...(revoke ? [this.signIns.ending(id, null), endingAddress(id)] : []),
    ]
    const data = { personId: id, role: to.role, active: to.active }
    const result: PersonResult = await this.submit(id, { type: 'change-person', stream: 'studio', data }, by, beside)
    if ('person' in result && revoke) this.signIns.ended(id, null)
    return result
  }

  /** Keep another secret. Every sign-in but the one it is asked by ends. */
  async setSecret(id: string, secret: string, by: Asker, here: SignIn): Promise<PersonResult> {
    const person = this.known.get(id)
    // Asked again when it is this change's turn; asked now so that nobody makes the server hash for nothing.
    const refusal = person ? this.mayNotSet(person, by) : noSuchPerson
    if (refusal) return { refusal }
    const kept = await hashSecret(secret)
    return await this.inTurn(() => this.setSecretNow(id, kept, by, here))
  }

  private async setSecretNow(id: string, kept: string, by: Asker, here: SignIn): Promise<PersonResult> {
    const person = this.known.get(id)
    if (!person) return { refusal: noSuchPerson }
    const refusal = this.mayNotSet(person, by)
    if (refusal) return { refusal }
    const own = by.id === id ? here : null
    await this.db.writing((writer) =>
      writer.atOnce(async () => {
        await writer.people.update({ secret: kept, mustChange: own === null }, { where: { id } })
        await this.signIns.ending(id, own)(writer)
        await endingAddress(id)(writer)
      }),
    )
    this.signIns.ended(id, own)
    await this.load()
    return { person: this.get(id)! }
  }

  /** Everyone sets their own; the manager anybody's, an instructor those of members and students. */
  private mayNotSet(person: KeptPerson, by: Asker): Refusal | null {
    const role = this.roleNow(by)
    if (person.id === by.id || role === 'manager') return null
    if (role === 'instructor' && (person.role === 'member' || person.role === 'student')) return null
    return { code: 'not-allowed', message: `Ask the manager to set the PIN of ${person.name} anew.` }
  }

  /** One change of people after the other, each by the role its asker has by then: two at once could share a name. */
  private inTurn(act: () => Promise<PersonResult>): Promise<PersonResult> {
    const result = this.turn.then(act)
    this.turn = result.catch(() => undefined)
    return result
  }

  private roleNow(by: Asker): Role {
    return this.known.get(by.id)?.role ?? by.role
  }

  private async submit(
    about: string,
    command: Submission['command'],
    by: Asker,
    beside: Beside[],
  ): Promise<PersonResult> {
    const answer = await this.ledger.submit({
      command,
      context: { personId: by.id, role: this.roleNow(by), commandId: uuid(), occurredAt: instantAt(Date.now()) },
      device: 'server',
      via: null,
      beside,
    })
    if (answer.status !== 'stored')
      return { refusal: 'refusal' in answer ? answer.refusal : { code: 'conflict', message: 'Try again.' } }
    await this.load()
    return { person: this.get(about)! }
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
