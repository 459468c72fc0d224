/** How far a block stands proud of the rim around it: least, as a rule, most, mm (models.md, M10). */
export const proud = { least: 0.2, usual: 0.3, most: 0.5 }

/**
 * What goes under a block so that it stands slightly proud of a rim, mm; below zero the block is too thick by so much.
 * @param allowance how far it shall stand proud
 */
export function underRim(rim: number, block: number, allowance = proud.usual): number {
  return rim + allowance - block
}

/**
 * What goes under a block to bring it to type height, mm; below zero it stands above by so much.
 * @example
 * underType(23.3, 20) // 3.3
 */
export function underType(typeHeight: number, block: number): number {
  return typeHeight - block
}
