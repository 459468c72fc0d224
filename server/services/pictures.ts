import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import { open, readdir, readFile, rename, unlink } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import type { PictureReply } from '#shared/replies/replies'
import { durable, hasNoRoom } from '../database/durable'
import { failure } from './failure'

/** Largest file anyone may hand in. */
export const mostPictureBytes = 25 * 1024 * 1024

/** Longer side of a kept picture, px: enough to judge a cut by, small enough to keep hundreds. */
const longest = 2400

/** Few cameras make more; a small file can hold a picture that would fill the memory. */
const mostPixels = 64_000_000

/** Pictures that may be on their way in at once, and of one person's. */
const mostAtOnce = 12
const mostOfOne = 4

/** Drawings with instructions in them are left out: only pictures made of dots. */
const kinds: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp', 'tiff', 'gif', 'heif', 'avif'])

const noPicture = () =>
  failure({
    code: 'no-picture',
    field: 'picture',
    message: 'This file is not a picture that can be read. Hand in a JPEG, PNG, WebP, TIFF or GIF. Nothing was lost.',
  })

const noRoom = () =>
  failure({
    code: 'disk-full',
    field: 'picture',
    message: 'The server’s disk is full, so the picture was not kept. Make room on the disk, then hand it in again.',
  })

const name = /^[0-9a-f]{64}$/

/**
 * Pictures as files named by the hash of what is in them, beside the ledger. A picture is on disk, and its folder's
 * entry too, before anybody is told its name; so an event that names one never outlives it.
 */
export class Pictures {
  readonly folder: string
  /** Whose pictures are on their way in. */
  private readonly coming: string[] = []
  private turn: Promise<unknown> = Promise.resolve()

  constructor(dataFolder: string) {
    this.folder = join(dataFolder, 'pictures')
    mkdirSync(this.folder, { recursive: true, mode: 0o700 })
    // What a dead server left half written is nobody's.
    for (const name of readdirSync(this.folder))
      if (name.startsWith('draft-')) rmSync(join(this.folder, name), { force: true })
  }

  private file(id: string): string {
    return join(this.folder, `${id}.webp`)
  }

  has(id: string): boolean {
    return name.test(id) && existsSync(this.file(id))
  }

  /** The names of all that are here, in their order. */
  async all(): Promise<string[]> {
    return (await readdir(this.folder))
      .filter((file) => file.endsWith('.webp') && name.test(file.slice(0, -5)))
      .map((file) => file.slice(0, -5))
      .sort()
  }

  /**
   * Let somebody hand one in, before a byte of it is read: what has come in whole and waits fills the memory.
   * @throws a failure when too many are on their way
   */
  async from(personId: string, handIn: () => Promise<PictureReply>): Promise<PictureReply> {
    const own = this.coming.filter((id) => id === personId).length
    if (this.coming.length >= mostAtOnce || own >= mostOfOne)
      throw failure({
        code: 'wait',
        field: 'picture',
        message: 'Many pictures come in at this moment. Wait a little, then hand it in again. Nothing was lost.',
      })
    this.coming.push(personId)
    return await handIn().finally(() => this.coming.splice(this.coming.indexOf(personId), 1))
  }

  /**
   * Keep a picture: turned upright, shrunk, and rid of what the camera wrote into it.
   * @throws a failure when it is none
   */
  async keep(given: Buffer): Promise<PictureReply> {
    // One is decoded at a time: several would keep memory and processors from the pulls.
    const kept = this.turn.then(() => this.keepNow(given))
    this.turn = kept.catch(() => undefined)
    return await kept
  }

  private async keepNow(given: Buffer): Promise<PictureReply> {
    const { format } = await sharp(given)
      .metadata()
      .catch(() => ({ format: undefined }))
    if (!format || !kinds.has(format)) throw noPicture()
    let shrunk: { data: Buffer; info: { width: number; height: number } }
    try {
      shrunk = await sharp(given, { limitInputPixels: mostPixels, failOn: 'error' })
        .rotate()
        .resize({ width: longest, height: longest, fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#ffffff' })
        .webp({ quality: 84 })
        .toBuffer({ resolveWithObject: true })
    } catch {
      throw noPicture()
    }
    const id = createHash('sha256').update(shrunk.data).digest('hex')
    if (!this.has(id)) await this.write(id, shrunk.data)
    return { id, width: shrunk.info.width, height: shrunk.info.height }
  }

  private async write(id: string, data: Buffer): Promise<void> {
    const draft = join(this.folder, `draft-${randomUUID()}`)
    try {
      const file = await open(draft, 'w', 0o600)
      try {
        await file.writeFile(data)
        await file.sync()
      } finally {
        await file.close()
      }
      await rename(draft, this.file(id))
    } catch (error) {
      await unlink(draft).catch(() => undefined)
      throw hasNoRoom(error) ? noRoom() : error
    }
    await durable(this.folder)
  }

  /** The bytes of a picture. Read whole, so that a browser which leaves early leaves no open file behind. */
  async read(id: string): Promise<Buffer> {
    if (!this.has(id))
      throw failure({
        code: 'unknown-picture',
        message: 'That picture is not here. If it was handed in before, look in the backup’s pictures folder.',
      })
    return await readFile(this.file(id))
  }
}
