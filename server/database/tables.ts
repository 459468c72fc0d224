import {
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelAttributes,
  type ModelDefined,
  Sequelize,
} from 'sequelize'
import type { Role } from '#core/ground/envelope'
import type { SecurityLine } from '#shared/replies/replies'

/** Someone of the room, with what is kept of the secret. */
export interface KeptPerson {
  id: string
  name: string
  role: Role
  /** Hashed; empty where a person came in from a file and has none yet. */
  secret: string
  active: boolean
  /** Someone else chose the secret: it is to be changed before anything else. */
  mustChange: boolean
}

/**
 * `open`: who holds its cookie is signed in. `left`: another took over, or it went idle; nobody is signed in by it, and taps
 * made under it are still its person's. `ended`: neither.
 */
export type SignInState = 'open' | 'left' | 'ended'

export interface SignIn {
  id: string
  personId: string
  device: string
  /** The person's own device, which does not go idle. */
  own: boolean
  address: string
  agent: string
  startedAt: string
  seenAt: string
  state: SignInState
}

/** A stream's line for the lists. */
export interface SummaryRow {
  stream: string
  kind: string
  version: number
  title: string
  state: string
  changedAt: string
  /** What it is found by. */
  words: string
  /** What the lists show, as JSON. */
  data: string
}

/** When a person's address for calendar programs was made: an earlier one leads nowhere. */
interface CalendarAddress {
  personId: string
  madeAt: string
}

/** What is known of the file as a whole, by name. */
interface About {
  name: 'room' | 'lineage' | 'lineage-from'
  value: string
}

const ofType = (type: DataTypes.DataType, more: Partial<ModelAttributeColumnOptions> = {}) => ({
  type,
  allowNull: false,
  ...more,
})
const text = (field?: string) => ofType(DataTypes.TEXT, field === undefined ? {} : { field })
const key = (field?: string) => ({ ...text(field), primaryKey: true })
const whole = () => ofType(DataTypes.INTEGER)

/** Kept as 0 and 1, which is all that SQLite has. */
const flag = (name: string, field = name) => ({
  ...ofType(DataTypes.BOOLEAN, { field }),
  get(this: Model): boolean {
    return Boolean(this.getDataValue(name))
  },
})

/** A connection to a room's file with its tables, but for those of the ledger itself, which are written in `writing.ts` alone. */
export class Database extends Sequelize {
  readonly people = this.table<KeptPerson>('people', {
    id: key(),
    name: text(),
    role: text(),
    secret: text(),
    active: flag('active'),
    mustChange: flag('mustChange', 'must_change'),
  })
  readonly signIns = this.table<SignIn>('sign_ins', {
    id: key(),
    personId: text('person'),
    device: text(),
    own: flag('own'),
    address: text(),
    agent: text(),
    startedAt: text('started_at'),
    seenAt: text('seen_at'),
    state: text(),
  })
  readonly securityLog = this.table<SecurityLine, Omit<SecurityLine, 'id'>>('security_log', {
    id: { ...whole(), primaryKey: true, autoIncrement: true },
    at: text(),
    kind: text(),
    person: { ...text(), allowNull: true },
    by: { ...text('done_by'), allowNull: true },
    address: text(),
    device: text(),
    detail: text(),
  })
  readonly summaries = this.table<SummaryRow>('summaries', {
    stream: key(),
    kind: text(),
    version: whole(),
    title: text(),
    state: text(),
    changedAt: text('changed_at'),
    words: text(),
    data: text(),
  })
  readonly calendarAddresses = this.table<CalendarAddress>('calendar_addresses', {
    personId: key('person'),
    madeAt: text('made_at'),
  })
  readonly about = this.table<About>('about', { name: key(), value: text() })

  constructor(file: string) {
    // Without a transaction object Sequelize keeps one connection for all queries, so its pragmas last.
    super({ dialect: 'sqlite', storage: file, logging: false, retry: { max: 1 } })
  }

  /** In one transaction: all of it, or nothing. On this connection, in its turn. */
  async atOnce<Result>(act: () => Promise<Result>): Promise<Result> {
    await this.query('BEGIN IMMEDIATE')
    try {
      const result = await act()
      await this.query('COMMIT')
      return result
    } catch (error) {
      await this.query('ROLLBACK').catch(() => undefined)
      throw error
    }
  }

  private table<Attributes extends object, Made extends object = Attributes>(
    name: string,
    attributes: ModelAttributes,
  ): ModelDefined<Attributes, Made> {
    return this.define(name, attributes, { tableName: name, timestamps: false }) as ModelDefined<Attributes, Made>
  }
}

/** Rows that were read with `raw: true`, which Sequelize types as if they were not. */
export const plain = <Row>(found: readonly Model[]): Row[] => found as unknown as Row[]
