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
