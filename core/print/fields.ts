const downs = ['upper', 'middle', 'lower']
const acrosses = ['left', 'middle', 'right']

/** A print in nine fields, row by row from the upper left: where the middle of each lies, as shares of the image. */
export const printFields = downs.flatMap((down, row) =>
  acrosses.map((across, column) => ({
    words: down === across ? 'the middle' : `${down} ${across}`,
    across: (column + 0.5) / 3,
    down: (row + 0.5) / 3,
  })),
)

/** The field in which a place lies, by its shares of the image; what lies past an edge belongs to the field at it. */
export function fieldAt(across: number, down: number): (typeof printFields)[number] {
  const third = (share: number) => Math.min(2, Math.max(0, Math.floor(share * 3)))
  return printFields[third(down) * 3 + third(across)]!
}
