import { IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { Id, OrNull, Words } from '../ground/shape'
import type { PressSetting } from './stack'

/** What packing is made of. A felt gives way, a card hardly. */
export type PieceKind = 'card' | 'felt' | 'blanket' | 'film' | 'board' | 'sheet'
export const pieceKinds: readonly PieceKind[] = ['card', 'felt', 'blanket', 'film', 'board', 'sheet']

/** Packing of one kind and thickness in the room's drawer. mm. */
export class DrawerPiece {
  static readonly sample: DrawerPiece = {
    id: 'felt',
    name: 'felt',
    kind: 'felt',
    thickness: 3,
    squeezed: 2.4,
    count: 2,
    length: 900,
  }

  @Id('piece') id!: string
  @Words(60) name!: string
  @IsIn(pieceKinds) kind!: PieceKind
  /** As it lies free. */
  @IsNumber() @Min(0) @Max(60) thickness!: number
  /** As it is under the roller, for what gives way; null for what does not. */
  @OrNull() @IsNumber() @Min(0) @Max(60) squeezed!: number | null
  @IsInt() @Min(0) @Max(1000) count!: number
  /** How long it is along the bed, mm; null where it covers the bed or nobody measured it. */
  @OrNull() @IsNumber() @Min(1) @Max(5000) length!: number | null
}

/** What a piece takes up in a press, mm. */
export const pressed = ({ thickness, squeezed }: DrawerPiece): number => squeezed ?? thickness

/** How many of each piece of the drawer lie in presses. */
export function inUse(settings: readonly Pick<PressSetting, 'packing'>[]): Map<string, number> {
  const used = new Map<string, number>()
  for (const { packing } of settings)
    for (const { pieceId, count } of packing) if (pieceId !== null) used.set(pieceId, (used.get(pieceId) ?? 0) + count)
  return used
}

/** The drawer as it can be drawn from now: what lies in other presses is not offered twice. */
export function toHand(
  drawer: readonly DrawerPiece[],
  elsewhere: readonly Pick<PressSetting, 'packing'>[],
): DrawerPiece[] {
  const used = inUse(elsewhere)
  return drawer.map((piece) => ({ ...piece, count: Math.max(0, piece.count - (used.get(piece.id) ?? 0)) }))
}
