import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { BringingInReply } from '#shared/replies/studio-file'
import type { Pressroom } from '../services/pressroom'
import { hashSecret } from '../services/secrets'
import { examine } from './examine'
import { Problems } from './problems'
import { Stage } from './stage'
import { takeStaged } from './take-staged'

const nothing: BringingInReply = { phase: 'none', looked: 0, of: 0, problems: [], problemCount: 0, report: null }

/** A studio file on its way into an empty room: read and looked through whole first, taken when someone says so. */
export class BringingIn {
  private state: BringingInReply = nothing

  constructor(private readonly dataFolder: string) {}

  /** Where the file is put while it comes, and what is read of it. Nobody else's: made anew for each file. */
  get folder(): string {
    return join(this.dataFolder, 'bringing-in')
  }

  get file(): string {
    return join(this.folder, 'file.jsonl')
  }

  get reply(): BringingInReply {
    return this.state
  }

  get isBusy(): boolean {
    return this.state.phase === 'reading' || this.state.phase === 'taking'
  }

  /** A file comes in: what came before is forgotten. */
  async begin(): Promise<void> {
    this.state = { ...nothing, phase: 'reading' }
    await rm(this.folder, { recursive: true, force: true })
  }

  async forget(): Promise<void> {
    await rm(this.folder, { recursive: true, force: true })
    this.state = nothing
  }

  /** Read the file that lies there, and tell everything that is wrong with it. Changes nothing of the room. */
  async read(): Promise<void> {
    const problems = new Problems()
    const staged = await Stage.read(this.file, this.folder, problems, (looked, of) => {
      this.state = { ...this.state, looked, of }
    })
    try {
      const report = await examine(staged, problems)
      this.state = {
        ...this.state,
        phase: 'read',
        problems: problems.told,
        problemCount: problems.count,
        report,
      }
    } finally {
      await staged.db.close()
    }
  }

  /**
   * Take what was read without a problem.
   * @param managerId who opens the room, one of the file's managers
   * @throws what stands against it; nothing was taken then
   */
  async take(room: Pressroom, managerId: string, secret: string): Promise<void> {
    const before = this.state
    this.state = { ...before, phase: 'taking' }
    try {
      const kept = await hashSecret(secret)
      await room.ledger.takeOver(() =>
        takeStaged(room.db, this.folder, room.pictures.folder, { id: managerId, secret: kept }),
      )
      await room.reload()
      await this.forget()
    } catch (error) {
      this.state = before
      throw error
    }
  }
}
