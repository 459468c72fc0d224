import { blockEndWords } from '../print/block-end'
import { faultWord } from '../print/faults'
import { isOpenWork } from '../print/series'
import { figures } from './count'
import { isLive, type Pull } from './pull'
import { sheetLineColumns, sheetLines } from './record'
import type { EditionState } from './state'
import { stateWord } from './stops'

/** Columns of the room's tables, in their order. */
export const editionColumns = [
  'edition',
  'artist',
  'year',
  'method',
  'state',
  'size',
  'sheets',
  'good',
  'numbered',
  'signed',
  'impressions',
  'started',
  'closed',
  'block',
] as const
export const sheetColumns = ['edition', ...sheetLineColumns] as const
export const impressionColumns = [
  'edition',
  'impression',
  'layer',
  'kind',
  'verdict',
  'faults',
  'sheets',
  'at',
  'by',
  'press',
  'inks',
  'counts',
] as const

type Line<Column extends string> = Record<Column, string | number>

/** An edition in one line: sheets are those torn for it, good those that stand good now. */
export function editionLine(state: EditionState): Line<(typeof editionColumns)[number]> {
  const { made, good, numbered, signed } = figures(state)
  return {
    edition: state.title,
    artist: state.plan?.artist ?? '',
    year: state.plan?.year ?? '',
    method: state.plan?.method ?? '',
    state: stateWord(state),
    size: isOpenWork(state.plan) ? '' : (state.plan?.size ?? 0),
    sheets: made,
    good,
    numbered,
    signed,
    impressions: state.pulls.filter(isLive).length,
    started: state.startedAt,
    closed: state.closedAt ?? '',
    block: state.blockEnd === 'unsaid' ? '' : blockEndWords(state.blockEnd),
  }
}

/** Its sheets in serial order, each with the edition's title. */
export function sheetTable(state: EditionState): Line<(typeof sheetColumns)[number]>[] {
  return sheetLines(state).map((line) => ({ edition: state.title, ...line }))
}

const standing = (pull: Pull) => (pull.voided ? 'struck out' : pull.disputed ? 'disputed' : 'counts')

/**
 * Every impression as the ledger received it, those struck out and disputed too.
 * @param nameOf the name of a person by id
 * @param inkOf the name of a batch by id
 */
export function impressionLines(
  state: EditionState,
  nameOf: (id: string) => string,
  inkOf: (id: string) => string,
): Line<(typeof impressionColumns)[number]>[] {
  const layers = new Map(state.layers.map((layer) => [layer.id, layer]))
  return state.pulls.map((pull) => {
    const layer = layers.get(pull.layerId)
    return {
      edition: state.title,
      impression: pull.ordinal,
      layer: layer?.name ?? '',
      kind: pull.proofKind ?? pull.kind,
      verdict: pull.verdict,
      faults: pull.faults.map(faultWord).join(', '),
      sheets: pull.sheetIds.join(' '),
      at: pull.at,
      by: nameOf(pull.by),
      press: layer?.setups.find(({ seq }) => seq === pull.setupSeq)?.setup.pressName ?? '',
      inks: pull.batchIds.map(inkOf).join(', '),
      counts: standing(pull),
    }
  })
}
