import { doerWords } from '../ground/envelope'
import { finishedSize } from '../paper/piece'
import type { BlockEnd } from '../print/block-end'
import type { EditionPlan } from '../plan/plan'
import { allSeries, type Series } from '../print/series'
import { dayOf, type RoomDay } from '../time/room-day'
import type { Zone } from '../time/zone'
import type { StudioState } from '../stores/studio/state'
import { numberOnSheet, writtenOtherwise } from './sheet-number'
import type { EarlierEdition, EditionState, LaterEdition } from './state'
import { isLive, countedPullsOn, pullOf, resultOn } from './pull'
import { batOf } from './standards'
import { setupInForce } from './layer'
import { faultWord } from '../print/faults'
import { type Count, countEdition } from './count'
import { placeOf, standingVerdict } from './places'

/** What a buyer, a show or the law asks to know of an edition. An open format, described in docs/formats.md. */
export interface EditionRecord {
  format: 'ample-tally edition record'
  version: 1
  studio: string
  title: string
  artist: string
  year: number | null
  method: string
  plan: EditionPlan
  /** The image, and the finished sheet, mm; null while the paper is not planned. */
  image: { width: number; height: number } | null
  size: { width: number; height: number } | null
  /** Who pulled it, by name. */
  printers: string[]
  /** The days of the first and the last pull that count. */
  printed: { from: string; to: string } | null
  /** Colours laid on by hand. */
  colours: string[]
  startedAt: string
  closedAt: string | null
  closingNote: string
  blockEnd: BlockEnd
  /** Editions from the same blocks before this one, the first of them first, and those begun since. */
  earlier: Omit<EarlierEdition, 'editionId'>[]
  later: Omit<LaterEdition, 'editionId'>[]
  paper: { name: string; largeSheets: number; pieces: number }[]
  layers: { name: string; press: string; packing: string; inks: string[]; pulls: number; rejects: number }[]
  series: { series: Series; size: number; given: number; signed: number; destroyed: number }[]
  proofs: { kind: string; count: number }[]
  count: Count
  impressions: number
  bat: { pull: number; at: string } | null
  /** `by` names who did it, and who handed it in when that was somebody else. */
  amendments: { size: number; reason: string; at: string; by: string }[]
  /** Signed prints that are pencilled over an earlier size, as they are. */
  writtenOtherwise: string[]
  sheets: SheetLine[]
}

export interface SheetLine {
  sheet: number
  place: string
  verdict: string
  number: string
  signed: string
  /** How it left the room and when; to whom is the room's own. */
  left: string
  paper: string
  pulls: string
  faults: string
  reason: string
}

/** The columns of its CSV, in their order. */
export const sheetLineColumns = [
  'sheet',
  'place',
  'verdict',
  'number',
  'signed',
  'left',
  'paper',
  'pulls',
  'faults',
  'reason',
] as const satisfies readonly (keyof SheetLine)[]

/** One line a sheet, in serial order, for the record and its CSV. */
export function sheetLines(state: EditionState): SheetLine[] {
  return state.sheets.map((sheet) => {
    const place = placeOf(state, sheet)
    const pulls = countedPullsOn(state, sheet)
    return {
      sheet: sheet.id,
      place: place.kind,
      verdict: pulls.length === 0 ? '' : standingVerdict(state, sheet),
      number: numberOnSheet(state, sheet),
      signed: sheet.signed ? 'signed' : '',
      left: sheet.gone ? `${sheet.gone.how} ${sheet.gone.on}` : '',
      paper: sheet.lotName,
      pulls: pulls.map((pull) => pull.ordinal).join(' '),
      faults: [...new Set(pulls.flatMap((pull) => resultOn(state, pull, sheet).faults))].map(faultWord).join(', '),
      reason: sheet.destroyed?.reason ?? sheet.spoiled?.reason ?? sheet.curated?.reason ?? '',
    }
  })
}

/** The days on which pulls were given, oldest first. */
const daysOf = (pulls: readonly { at: string }[], zone: Zone): RoomDay[] =>
  pulls.map(({ at }) => dayOf(at, zone)).sort()

/**
 * The edition record.
 * @param nameOf the name of a person by id; the ledger itself holds ids only
 * @param zone the room's, for the days it was printed on
 */
export function editionRecord(
  state: EditionState,
  studio: StudioState,
  nameOf: (id: string) => string,
  zone: Zone,
): EditionRecord {
  const plan = state.plan!
  const live = state.pulls.filter(isLive)
  const bat = batOf(state)
  const kinds = [...new Set(live.filter((pull) => pull.kind !== 'pull').map((pull) => pull.proofKind ?? pull.kind))]
  return {
    format: 'ample-tally edition record',
    version: 1,
    studio: studio.name,
    title: state.title,
    artist: plan.artist,
    year: plan.year,
    method: plan.method,
    plan,
    image: state.piece?.image ?? null,
    size: state.piece ? finishedSize(state.piece) : null,
    printers: [...new Set(live.map((pull) => nameOf(pull.by)))],
    printed: live.length > 0 ? { from: daysOf(live, zone)[0]!, to: daysOf(live, zone).at(-1)! } : null,
    colours: state.finishing.colours.map(({ name }) => name),
    startedAt: state.startedAt,
    closedAt: state.closedAt,
    closingNote: state.closingNote,
    blockEnd: state.blockEnd,
    earlier: state.earlier.map(({ title, signed, closedAt }) => ({ title, signed, closedAt })),
    later: state.later.map(({ title, startedAt }) => ({ title, startedAt })),
    paper: state.torn.map((torn) => ({ name: torn.lotName, largeSheets: torn.lotSheets, pieces: torn.count })),
    layers: state.layers.map((layer) => {
      const setup = setupInForce(layer)
      const pulls = live.filter((pull) => pull.layerId === layer.id && pull.kind === 'pull')
      return {
        name: layer.name,
        press: setup?.pressName ?? '',
        packing: setup?.packing.map((piece) => `${piece.name} ${piece.thickness} mm`).join(', ') ?? '',
        inks: layer.zones.map((zone) => zone.batchName).filter((name) => name !== ''),
        pulls: pulls.length,
        rejects: pulls.filter((pull) => pull.verdict === 'reject').length,
      }
    }),
    series: allSeries
      .filter((series) => state.seriesSize[series] !== undefined)
      .map((series) => {
        const marked = state.sheets.filter((sheet) => sheet.mark?.series === series)
        return {
          series,
          size: state.seriesSize[series]!,
          given: marked.filter((sheet) => !sheet.destroyed).length,
          signed: marked.filter((sheet) => sheet.signed && !sheet.destroyed).length,
          destroyed: marked.filter((sheet) => sheet.destroyed).length,
        }
      }),
    proofs: kinds.map((kind) => ({
      kind,
      count: live.filter((pull) => pull.kind !== 'pull' && (pull.proofKind ?? pull.kind) === kind).length,
    })),
    count: countEdition(state),
    impressions: live.length,
    bat: bat ? { pull: pullOf(state, bat.pullId)?.ordinal ?? 0, at: bat.at } : null,
    amendments: state.amendments.map(({ by, via, ...amended }) => ({ ...amended, by: doerWords({ by, via }, nameOf) })),
    writtenOtherwise: writtenOtherwise(state).map((sheet) => numberOnSheet(state, sheet)),
    sheets: sheetLines(state),
  }
}
