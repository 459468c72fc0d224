import type { Chance } from '../plan/odds'
import { finishingRate, layerRate, proofsOfLayers } from '../plan/pass-rate'
import { type EditionPlan, goal } from '../plan/plan'
import type { ShopRecord } from '../plan/shop-record'
import { chanceFrom, fewestSheets, startAnswers, type StartCourse } from '../plan/start'

/** How many sheets an edition is started with, and who said so. */
export interface SheetsToStart {
  /** Null when more than 600 would be needed. */
  sheets: number | null
  /** Chosen by the printer, or what the room's usual confidence asks for. */
  by: 'printer' | 'room'
  /** The room's usual confidence, 0 to 1. */
  confidence: number
  /** Chance of reaching the goal from so many; null when they are not known. */
  chance: Chance | null
}

type Started = Pick<
  EditionPlan,
  'method' | 'work' | 'expected' | 'finishing' | 'size' | 'sizeSchool' | 'proofs' | 'start'
>

/**
 * What the sheets of a plan meet.
 * @param layers as many as there are or are planned, whichever is more
 * @param printer whose own pulls count, or null for the room's
 */
export function startCourse(plan: Started, layers: number, record: ShopRecord, printer: string | null): StartCourse {
  return {
    rate: layerRate(plan, record, printer),
    proofs: proofsOfLayers(layers, record),
    finishing: finishingRate(plan, record),
    needed: goal(plan),
  }
}

/** The sheets to start: the printer's own number, or else the fewest for the room's usual confidence (models.md, M3). */
export function sheetsToStart(
  plan: Started,
  layers: number,
  record: ShopRecord,
  printer: string | null,
  confidence: number,
): SheetsToStart {
  const course = startCourse(plan, layers, record, printer)
  const by = plan.start === null ? 'room' : 'printer'
  const sheets = plan.start ?? fewestSheets(startAnswers(course).chances, course.needed, confidence)
  return { sheets, by, confidence, chance: sheets === null ? null : chanceFrom(course, sheets) }
}
