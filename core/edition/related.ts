import { streamId } from '../ground/envelope'
import type { EarlierEdition, EditionState } from './state'

/** How an edition stands as its blocks are taken in hand for another. */
export function earlierEditionOf({ stream, title, sheets, closedAt }: EditionState): EarlierEdition {
  const signed = sheets.filter((sheet) => sheet.signed && !sheet.destroyed).length
  return { editionId: streamId(stream), title, signed, closedAt }
}

const ordinals = ['second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** What the next edition from the same blocks is called, so that nobody takes it for the first: “Tide Gauge, second edition”. */
export function titleAgain(title: string, earlier: number): string {
  const first = title.replace(/, \S+ edition$/, '')
  return `${first}, ${ordinals[earlier] ?? `${earlier + 2}th`} edition`
}
