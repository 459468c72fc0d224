import { instantAt } from '#core/time/instant'
import { createHmac, randomUUID, timingSafeEqual } from 'node:crypto'
import { Op } from 'sequelize'
import type { CommandRequest } from '#shared/commands/envelope'
import { sealedText } from '#shared/commands/sealed'
import type { SignInReply, TapKey } from '#shared/replies/replies'
import type { Connections } from '../database/connections'
import type { SignIn } from '../database/tables'
import type { Beside } from '../database/writing'

/** Where a sign-in comes from. */
export interface Whence {
  device: string
  own: boolean
  address: string
  agent: string
}

/** After so long a sign-in is over in any case, and so is what it vouches for. */
export const longestSignIn = 14 * 24 * 60 * 60_000

/** How long a sign-in that was left vouches for taps that were on their way. */
const vouchesFor = 24 * 60 * 60_000

/** How long a secret given again stands for the person. */
const sureFor = 10 * 60_000

/** How often it is written down that someone was seen: what is lost with a crash is a minute of idleness. */
const seenEvery = 60_000

/** Who is signed in where. Kept on disk, so that a restart signs nobody out, and in memory, since each request asks. */
export class SignIns {
  private readonly known = new Map<string, SignIn>()
  private readonly written = new Map<string, number>()
  /** When a person last gave the secret again, or did what asks for it. */
  private readonly sure = new Map<string, number>()

  constructor(
    private readonly db: Connections,
    private readonly secret: string,
    /** Called when some have ended. */
    private readonly onEnded: () => void = () => {},
    private readonly clock: () => number = Date.now,
  ) {}

  async load(): Promise<void> {
    const since = instantAt(this.clock() - longestSignIn)
    await this.db.writing(({ signIns }) => signIns.destroy({ where: { startedAt: { [Op.lt]: since } } }))
    for (const row of await this.db.reader.signIns.findAll()) {
      const signIn = row.get()
      this.known.set(signIn.id, signIn)
    }
  }

  /** A sign-in of that id by which someone is signed in now. @param idleMinutes after so many without a touch it is left; 0 never */
  open(id: string | undefined, idleMinutes: number): SignIn | null {
    const found = id === undefined ? undefined : this.known.get(id)
    if (!found || found.state !== 'open' || this.isOver(found)) return null
    if (found.own || idleMinutes === 0 || this.clock() - Date.parse(found.seenAt) <= idleMinutes * 60_000) return found
    void this.leave(found).catch(() => undefined)
    return null
  }

  /** True while it has not been left or ended. */
  isOpen(id: string): boolean {
    return this.known.get(id)?.state === 'open'
  }

  /** True when that person signed in at that device before. */
  knows(personId: string, device: string): boolean {
    return [...this.known.values()].some((one) => one.personId === personId && one.device === device)
  }

  /** Begin one; whoever was signed in at the same device by the same browser has left. Durable when it resolves. */
  async begin(personId: string, whence: Whence, before: SignIn | null): Promise<SignIn> {
    const at = instantAt(this.clock())
    const begun: SignIn = { id: randomUUID(), personId, ...whence, startedAt: at, seenAt: at, state: 'open' }
    if (before) await this.leave(before)
    try {
      await this.put(begun)
    } catch (error) {
      this.known.delete(begun.id)
      throw error
    }
    return begun
  }

  /** Its person touched something. */
  touch({ id }: SignIn): void {
    const found = this.known.get(id)
    if (found?.state !== 'open') return
    const now = this.clock()
    const seen = { ...found, seenAt: instantAt(now) }
    this.known.set(id, seen)
    if (now - (this.written.get(id) ?? 0) >= seenEvery) void this.put(seen).catch(() => undefined)
  }

  /** The person gave the secret once more. */
  confirm({ id }: SignIn): void {
    this.sure.set(id, this.clock())
  }

  /** True a while after the secret was given again, and as long as one thing that asks for it follows the other. */
  isSure(signIn: SignIn): boolean {
    const isSure = this.clock() - (this.sure.get(signIn.id) ?? -Infinity) < sureFor
    if (isSure) this.confirm(signIn)
    return isSure
  }

  /** Nobody is signed in by it any more; its taps on the way stay its person's. */
  async leave({ id }: SignIn): Promise<void> {
    const found = this.known.get(id)
    if (found?.state !== 'open') return
    const done = this.put({ ...found, seenAt: instantAt(this.clock()), state: 'left' })
    this.onEnded()
    await done
  }

  /** End one for good, with what it vouches for. @returns false when there is none of that id */
  async end(id: string): Promise<boolean> {
    const found = this.known.get(id)
    if (!found) return false
    const done = this.put({ ...found, state: 'ended' })
    this.onEnded()
    await done
    return true
  }

  /** What to write to end all of a person's, in the transaction that takes the person off or changes the secret. */
  ending(personId: string, but: SignIn | null): Beside {
    return ({ signIns }) => signIns.update({ state: 'ended' }, { where: { personId, id: { [Op.ne]: but?.id ?? '' } } })
  }

  /** Take in memory what `ending` wrote. */
  ended(personId: string, but: SignIn | null): void {
    for (const one of this.known.values())
      if (one.personId === personId && one.id !== but?.id) this.known.set(one.id, { ...one, state: 'ended' })
    this.onEnded()
  }

  /**
   * What the pages of a sign-in seal their taps with, so that a tap that another hands in later still counts as its
   * giver's. Told to those pages alone, which keep it nowhere but in memory.
   */
  tapKeyOf({ id }: SignIn): TapKey {
    return { signInId: id, key: this.keyOf(id).toString('base64url') }
  }

  /**
   * The sign-in under which a tap was given, when its seal fits that very tap, was made by its person at that device, and
   * has not been ended.
   * @param device where it is handed in: by that browser itself, or not at all
   */
  vouching({ proof = '', ...command }: CommandRequest, device: string): SignIn | null {
    const [id = '', seal = ''] = proof.split('.')
    const found = this.known.get(id)
    if (!found || !this.isVouching(found)) return null
    if (found.personId !== command.by || found.device !== device) return null
    const expected = createHmac('sha256', this.keyOf(id)).update(sealedText(command)).digest()
    const given = Buffer.from(seal, 'base64url')
    return given.length === expected.length && timingSafeEqual(given, expected) ? found : null
  }

  private isVouching(signIn: SignIn): boolean {
    if (signIn.state === 'ended' || this.isOver(signIn)) return false
    return signIn.state === 'open' || this.clock() - Date.parse(signIn.seenAt) < vouchesFor
  }

  private keyOf(id: string): Buffer {
    return createHmac('sha256', this.secret).update(`tap key ${id}`).digest()
  }

  /**
   * Those by which somebody is signed in, or whose taps still count as their person's, the last seen first.
   * @param mine the asker's own
   */
  list(mine: SignIn): SignInReply[] {
    return [...this.known.values()]
      .filter((one) => this.isVouching(one))
      .sort((a, b) => b.seenAt.localeCompare(a.seenAt))
      .map(({ id, personId, own, address, agent, startedAt, seenAt, state }) => ({
        id,
        personId,
        own,
        address,
        agent,
        startedAt,
        seenAt,
        isOpen: state === 'open',
        isHere: id === mine.id,
      }))
  }

  private isOver({ startedAt }: SignIn): boolean {
    return this.clock() - Date.parse(startedAt) > longestSignIn
  }

  /** Known at once and written in turn, so that what ends last is what stays on disk. */
  private async put(signIn: SignIn): Promise<void> {
    this.known.set(signIn.id, signIn)
    this.written.set(signIn.id, this.clock())
    await this.db.writing(({ signIns }) => signIns.upsert(signIn))
  }
}
