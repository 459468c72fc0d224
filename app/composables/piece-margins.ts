import { computed, type Ref } from 'vue'
import { evenMargins, finishedSize, imageOn, type PiecePlan } from '#core/paper/piece'
import type { Edge } from '#core/paper/tear-request'

/** What is given of a piece: the image, and the sheet follows; or the finished sheet, and the image is what the margins leave. */
export type GivenOfPiece = 'image' | 'sheet'

/** The margins of a piece as they are typed or dragged. What cannot be read changes nothing; its field says so. */
export function usePieceMargins(piece: Ref<PiecePlan>, given: Readonly<Ref<GivenOfPiece>>) {
  const finished = computed(() => finishedSize(piece.value))

  /** Margins kept even move together, the foot by its share; others one by one. */
  function setMargin(edge: Edge, mm: number | null): void {
    if (mm !== null && Number.isNaN(mm)) return
    const value = mm ?? 0
    const before = finished.value
    const { foot } = piece.value
    piece.value.margins =
      foot === null
        ? { ...piece.value.margins, [edge]: value }
        : evenMargins(edge === 'bottom' ? value / foot : value, foot)
    if (given.value === 'sheet') piece.value.image = imageOn(before, piece.value)
  }

  function setFoot(share: number | null): void {
    piece.value.foot = share
    if (share !== null) setMargin('top', piece.value.margins.top)
  }

  return { finished, setMargin, setFoot }
}
