import { createHash, randomUUID } from 'node:crypto'
import { createReadStream, existsSync, mkdirSync } from 'node:fs'
import { open, rename, unlink } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import type { PictureReply } from '#shared/replies/replies'
import { failure } from './failure'

/** Largest file anyone may hand in. */
export const mostPictureBytes = 25 * 1024 * 1024

/** Longer side of a kept picture, px: enough to judge a cut by, small enough to keep hundreds. */
const longest = 2400

/** Nobody's camera makes more; a small file can hold a picture that would fill the memory. */
const mostPixels = 120_000_000

/** Drawings with instructions in them are left out: only pictures made of dots. */
const kinds: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp', 'tiff', 'gif', 'heif', 'avif'])

const noPicture = () =>
  failure({
    code: 'no-picture',
    field: 'picture',
    message: 'This file is not a picture that can be read. Hand in a JPEG, PNG, WebP, TIFF or GIF. Nothing was lost.',
  })

const name = /^[0-9a-f]{64}$/

/**
 * Pictures as files named by the hash of what is in them, beside the ledger. A picture is on disk, and its folder's
 * entry too, before anybody is told its name; so an event that names one never outlives it.
 */
export class Pictures {
  private readonly folder: string

  constructor(dataFolder: string) {
    this.folder = join(dataFolder, 'pictures')
    mkdirSync(this.folder, { recursive: true })
  }

  private file(id: string): string {
    return join(this.folder, `${id}.webp`)
  }

  has(id: string): boolean {
    return name.test(id) && existsSync(this.file(id))
  }

  /**
   * Keep a picture: turned upright, shrunk, and rid of what the camera wrote into it.
   * @throws a failure when it is none
   */
  async keep(given: Buffer): Promise<PictureReply> {
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
    const file = await open(draft, 'w')
    try {
      await file.writeFile(data)
      await file.sync()
    } finally {
      await file.close()
    }
    try {
      await rename(draft, this.file(id))
    } catch (error) {
      await unlink(draft).catch(() => undefined)
      throw error
    }
    const folder = await open(this.folder, 'r')
    await folder.sync().finally(() => folder.close())
  }

  read(id: string): NodeJS.ReadableStream {
    if (!this.has(id))
      throw failure({
        code: 'unknown-picture',
        message: 'That picture is not here. If it was handed in before, look in the backup’s pictures folder.',
      })
    return createReadStream(this.file(id))
  }
}
