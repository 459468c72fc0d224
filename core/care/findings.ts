import { IsBoolean, IsIn } from 'class-validator'
import type { InkFamily } from '../ink/family'
import { hasRoller, type PressKind, pressWays } from '../press/kinds'

/** Where people work beside the presses. */
export type StationKind = 'ink table' | 'rollers' | 'cutting bench' | 'paper cutter' | 'exposure unit' | 'wash-out'
export const stationKinds: readonly StationKind[] = [
  'ink table',
  'rollers',
  'cutting bench',
  'paper cutter',
  'exposure unit',
  'wash-out',
]
export type Place = PressKind | StationKind

/** What is looked at when a place is taken over, and when it is left. */
export type FindingKey =
  | 'pressure'
  | 'bed'
  | 'packing'
  | 'roller'
  | 'slab'
  | 'water'
  | 'hidden'
  | 'rags'
  | 'tools'
  | 'surface'
  | 'blade'
  | 'lamp'
  | 'basin'

/** How a thing is as it should be, and how it is said when it is not. */
export const findings: Record<FindingKey, { right: string; wrong: string }> = {
  pressure: { right: 'pressure off', wrong: 'pressure left on' },
  bed: { right: 'bed bare, clean and dry', wrong: 'bed not bare, or dirty' },
  packing: { right: 'packing dry and in its place', wrong: 'packing inky, damp or astray' },
  roller: { right: 'rollers clean and on their backs', wrong: 'a roller dirty' },
  slab: { right: 'slab clean to its rim', wrong: 'slab dirty' },
  water: { right: 'rollers and slab dry, no water standing', wrong: 'water left standing' },
  hidden: {
    right: 'handles, frames, tins and bottles clean',
    wrong: 'ink on handles, frames, tins or bottles',
  },
  rags: { right: 'rags in the lidded can', wrong: 'rags left lying' },
  tools: { right: 'tools clean and in their place', wrong: 'tools dirty or missing' },
  surface: { right: 'table bare and dry', wrong: 'table not bare, or wet' },
  blade: { right: 'blade covered, board clear', wrong: 'blade left bare' },
  lamp: { right: 'lamp off, lid shut', wrong: 'lamp left on' },
  basin: { right: 'basin empty, brushes rinsed', wrong: 'basin left dirty' },
}
export const findingKeys = Object.keys(findings) as FindingKey[]

const inked: FindingKey[] = ['roller', 'slab', 'hidden', 'rags']

/** Of a station that is no press. */
const atStation: Record<StationKind, FindingKey[]> = {
  'ink table': [...inked, 'tools', 'surface'],
  rollers: ['roller', 'hidden', 'rags'],
  'cutting bench': ['tools', 'surface'],
  'paper cutter': ['blade', 'surface'],
  'exposure unit': ['lamp', 'surface'],
  'wash-out': ['basin', 'tools', 'surface'],
}

function atPress(kind: PressKind): FindingKey[] {
  if (pressWays[kind].sets === 'hand') return [...inked, 'tools', 'surface']
  return [...(hasRoller(kind) || kind === 'platen' ? (['pressure'] as const) : []), 'bed', 'packing', ...inked]
}

/** True of a press, false of another station. */
export const isPress = (place: Place): place is PressKind => place in pressWays

/**
 * What is looked at in a place, in the order one walks round it.
 * @param families the inks last used there: what washes off with water leaves water behind
 */
export function checklist(place: Place, families: readonly InkFamily[]): FindingKey[] {
  const keys = isPress(place) ? atPress(place) : atStation[place]
  const isWet = families.some((family) => family === 'water-based' || family === 'water-washable oil')
  return keys.flatMap((key): FindingKey[] => (key === 'slab' && isWet ? [key, 'water'] : [key]))
}

/** One thing looked at, and whether it was as it should be. */
export class Finding {
  @IsIn(findingKeys) key!: FindingKey
  @IsBoolean() isRight!: boolean
}
