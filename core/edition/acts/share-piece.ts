import { IsInt, Max, Min } from 'class-validator'
import { SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { mostImages } from '../../paper/piece'
import { editSheet } from '../edit'
import { placeOf } from '../places'
import { unknownSheet } from '../refusals'
import { blankSheet, sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Share {
  static readonly sample: Share = { sheetIds: [1], images: 2 }

  @SheetIds() sheetIds!: number[]
  @IsInt() @Min(2) @Max(mostImages) images!: number
}

interface Shared {
  /** Serials of each piece of paper, the first of them the sheet that was there. */
  pieces: number[][]
}

const pieceShared = defineEvent(edition, 'piece-shared', (state, { pieces }: Shared) =>
  pieces.reduce((shared, together) => {
    const first = sheetOf(shared, together[0] ?? 0)
    if (!first) return shared
    const { sheets, made } = editSheet(shared, first.id, (sheet) => ({ ...sheet, together }))
    const more = together.slice(1).map((id) => ({ ...blankSheet(id, first.lotId, first.lotName), together }))
    return changed(shared, { sheets: [...sheets, ...more], made: made + more.length })
  }, state),
)

/** Paper that was torn for one image each is to hold several: said while nothing is printed on it. */
export const sharePiece = defineAct(edition, 'share-piece', Share, theirs, {
  guarded: true,
  events: [pieceShared],
  rule: ({ edition }, data) => {
    if (data.images < 2 || data.images > mostImages)
      return refuse('images-range', `A piece holds 2 to ${mostImages} images; ${data.images} was given.`, 'images')
    if (data.sheetIds.length === 0) return refuse('no-sheet', 'No blank sheet waits that could hold more.', 'sheetIds')
    let next = edition.sheets.length + 1
    const pieces: number[][] = []
    for (const id of new Set(data.sheetIds)) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      if (sheet.together.length > 0)
        return refuse('shared', `Sheet ${id} shares its paper with others already.`, 'sheetIds')
      if (placeOf(edition, sheet).kind !== 'blank' || sheet.pulls.length > 0)
        return refuse('not-blank', `Sheet ${id} is not blank any more; it holds the one image.`, 'sheetIds')
      pieces.push([id, ...Array.from({ length: data.images - 1 }, () => next++)])
    }
    return [pieceShared.on(edition, { pieces })]
  },
})
