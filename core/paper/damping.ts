/** How long each step of damping takes, minutes, and how fast the pulls follow. */
export interface DampingTimes {
  soak: number
  drain: number
  blot: number
  /** Minutes between two pulls. */
  pace: number
}

export type DampingAct = 'into the bath' | 'out to drain' | 'between blotters' | 'to the press'

/** What to do with which sheets at a moment, minutes from the first pull (negative before it). */
export interface DampingLine {
  minute: number
  act: DampingAct
  /** Sheets by their place in the stack, first to last. */
  from: number
  to: number
}

/**
 * When each sheet goes into the bath, drains and is blotted, so that the next is ready as the block is inked. Sheets go
 * through in handfuls; the last of a handful waits no longer between blotters than the handful takes to pull.
 * @param sheets sheets to damp, 1 to 600
 * @param handful sheets put in together, 1 or more
 * @returns lines in order of time
 * @throws RangeError for times that are not above zero
 */
export function dampingTimetable(
  sheets: number,
  handful: number,
  { soak, drain, blot, pace }: DampingTimes,
): DampingLine[] {
  if (!(soak > 0 && drain >= 0 && blot >= 0 && pace > 0))
    throw new RangeError('Soaking and the pace of the pulls take time; draining and blotting may take none.')
  if (!Number.isInteger(sheets) || sheets < 1 || sheets > 600)
    throw new RangeError(`1 to 600 sheets are damped in one go; ${sheets} were given.`)
  if (!Number.isInteger(handful) || handful < 1) throw new RangeError('A handful is one sheet or more.')
  const order: DampingAct[] = ['to the press', 'between blotters', 'out to drain', 'into the bath']
  const lines: DampingLine[] = []
  for (let first = 1; first <= sheets; first += handful) {
    const last = Math.min(sheets, first + handful - 1)
    const pulled = (first - 1) * pace
    const moments: [DampingAct, number][] = [
      ['into the bath', pulled - blot - drain - soak],
      ['out to drain', pulled - blot - drain],
      ['between blotters', pulled - blot],
      ['to the press', pulled],
    ]
    for (const [act, minute] of moments) lines.push({ minute, act, from: first, to: last })
  }
  return lines.sort((a, b) => a.minute - b.minute || order.indexOf(a.act) - order.indexOf(b.act) || a.from - b.from)
}
