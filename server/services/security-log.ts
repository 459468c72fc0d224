import { instantAt } from '#core/time/instant'
import type { SecurityLine, SecurityReply } from '#shared/replies/replies'
import { Op } from 'sequelize'
import type { Connections } from '../database/connections'
import { plain } from '../database/tables'

export type SecurityKind =
  | 'signed in'
  | 'wrong secret'
  | 'made to wait'
  | 'signed out'
  | 'sign-in ended'
  | 'not allowed'
  | 'turned away'
  | 'room set up'
  | 'person added'
  | 'person changed'
  | 'secret changed'
  | 'secret set anew'
  | 'in another’s name'
  | 'backup made'
  | 'calendar address made'
  | 'studio file written'
  | 'studio file brought in'

interface Entry {
  kind: SecurityKind
  /** Whom it is about. */
  person?: string | null
  by?: string | null
  address?: string
  device?: string
  detail?: string
}

/** A line that waits to be written, and how often it was said. */
interface Line extends Required<Entry> {
  at: string
  times: number
}

const isSame = (a: Required<Entry>, b: Required<Entry>): boolean =>
  a.kind === b.kind &&
  a.person === b.person &&
  a.by === b.by &&
  a.address === b.address &&
  a.device === b.device &&
  a.detail === b.detail

/** Lines kept: a flood of strangers must not fill the disk. */
const mostLines = 20_000

const writeEvery = 1_000
const mostBuffered = 500

/** What could move a reader's terminal or run long is taken out: letters, figures and plain signs stay. */
export function plainLine(text: string, longest = 200): string {
  const plain = text.replace(/[\p{C}\p{Z}]+/gu, ' ').trim()
  return plain.length > longest ? `${plain.slice(0, longest)}…` : plain
}

/** Who came, who was turned away, what changed about people. Written every second, since strangers can make many lines. */
export class SecurityLog {
  private buffer: Line[] = []
  private timer: ReturnType<typeof setTimeout> | null = null
  /** Resolves with the last writing under way. */
  private writing: Promise<void> = Promise.resolve()

  constructor(private readonly db: Connections) {}

  note({ kind, person = null, by = null, address = '', device = '', detail = '' }: Entry): void {
    const line = { kind, person, by, address, device: plainLine(device, 80), detail: plainLine(detail) }
    // Who guesses on while made to wait fills no page: what is said again within a second is counted.
    const same = this.buffer.findLast((one) => isSame(one, line))
    if (same) return void same.times++
    // A flood says the same over and over: its first lines tell enough.
    if (this.buffer.length >= mostBuffered) return
    this.buffer.push({ ...line, at: instantAt(Date.now()), times: 1 })
    this.timer ??= setTimeout(() => void this.write(), writeEvery)
  }

  /** Write what waits; resolves when that is written, and what was being written already. */
  write(): Promise<void> {
    this.writing = this.writing.then(() => this.writeNow())
    return this.writing
  }

  private async writeNow(): Promise<void> {
    if (this.timer) clearTimeout(this.timer)
    this.timer = null
    const lines = this.buffer.map(({ times, detail, ...line }) => ({
      ...line,
      detail: times === 1 ? detail : [detail, `${times} times`].filter(Boolean).join(', '),
    }))
    this.buffer = []
    if (lines.length === 0) return
    await this.db
      .writing(async ({ securityLog }) => {
        await securityLog.bulkCreate(lines)
        const newest: number = await securityLog.max('id')
        await securityLog.destroy({ where: { id: { [Op.lte]: newest - mostLines } } })
      })
      .catch((error: unknown) => console.error('The security log could not be written:', error))
  }

  /** The newest lines before one, newest first. */
  async newest(limit: number, before: number | null): Promise<SecurityReply['lines']> {
    await this.write()
    const found = await this.db.reader.securityLog.findAll({
      where: before === null ? {} : { id: { [Op.lt]: before } },
      order: [['id', 'DESC']],
      limit,
      raw: true,
    })
    return plain<SecurityLine>(found)
  }
}
