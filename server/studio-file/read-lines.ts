import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'

/** Longest line there can be: a picture, with room to spare. A file that has a longer one is something else. */
export const mostLineBytes = 48 * 1024 * 1024

/** A line of a file, and what everything before it hashes to. */
export interface RawLine {
  /** From 1. */
  number: number
  text: string
  /** SHA-256 of every byte before this line, hex; reckoned when asked for. */
  before: () => string
  /** False for a last line that no line feed ends: the file was cut. */
  isWhole: boolean
}

export class LineTooLong extends Error {}

const feed = 0x0a

/** The lines of a file, one at a time. @throws LineTooLong */
export async function* linesOf(file: string): AsyncGenerator<RawLine> {
  const hash = createHash('sha256')
  let pieces: Buffer[] = []
  let held = 0
  let number = 0
  const taken = (isWhole: boolean): RawLine => {
    const bytes = Buffer.concat(pieces)
    number += 1
    const before = hash.copy()
    hash.update(bytes)
    if (isWhole) hash.update('\n')
    pieces = []
    held = 0
    return { number, text: bytes.toString('utf8'), before: () => before.digest('hex'), isWhole }
  }
  for await (const chunk of createReadStream(file, { highWaterMark: 256 * 1024 }) as AsyncIterable<Buffer>) {
    let from = 0
    for (let at = chunk.indexOf(feed); at >= 0; at = chunk.indexOf(feed, from)) {
      pieces.push(chunk.subarray(from, at))
      from = at + 1
      yield taken(true)
    }
    pieces.push(chunk.subarray(from))
    held += chunk.length - from
    if (held > mostLineBytes) throw new LineTooLong()
  }
  if (held > 0) yield taken(false)
}
