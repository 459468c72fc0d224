/** What came of going from newsprint, where it was right, to the good paper with nothing else changed. */
export interface NewsprintRecord {
  lighter: number
  same: number
  heavier: number
  /** Layers whose gap is known for both papers, and by how much closer it was on the good one in all, hundredths of a mm. */
  gaps: number
  closer: number
}

export const noNewsprint: NewsprintRecord = { lighter: 0, same: 0, heavier: 0, gaps: 0, closer: 0 }

/** Two records as one; with `sign` −1 the first less the second. */
export function addNewsprint(a: NewsprintRecord, b: NewsprintRecord, sign: 1 | -1 = 1): NewsprintRecord {
  return {
    lighter: a.lighter + sign * b.lighter,
    same: a.same + sign * b.same,
    heavier: a.heavier + sign * b.heavier,
    gaps: a.gaps + sign * b.gaps,
    closer: a.closer + sign * b.closer,
  }
}

/** What to expect of the good paper, in words: by this room's own record, else by the craft's. */
export function newsprintWords({ lighter, same, heavier, gaps, closer }: NewsprintRecord): string {
  const of = lighter + same + heavier
  const gap = gaps > 0 ? Math.round(closer / gaps) / 100 : 0
  const set =
    Math.abs(gap) >= 0.01
      ? ` Where both gaps are known, the good paper wanted ${Math.abs(gap).toFixed(2)} mm ${gap > 0 ? 'closer' : 'wider'}.`
      : ''
  if (of === 0)
    return `The first pull on thick paper usually comes out lighter than newsprint promises; this room has no record of it yet.${set}`
  // Of as many the first is said.
  const counted = [
    { count: lighter, word: 'lighter' },
    { count: same, word: 'the same' },
    { count: heavier, word: 'heavier' },
  ]
  const { count, word } = counted.reduce((most, one) => (one.count > most.count ? one : most))
  return `Right on newsprint, the good paper came out ${word} ${count} of ${of} times here.${set}`
}
