import { IsIn } from 'class-validator'
import { Words } from '../ground/shape'
import type { InkFamily } from '../ink/family'
import { hasRoller } from '../press/kinds'
import { isPress, type Place, type StationKind } from './findings'

export type CareKey =
  | 'cutting'
  | 'nips'
  | 'lever'
  | 'guillotine'
  | 'solvents'
  | 'rags'
  | 'ultraviolet'
  | 'washing out'
  | 'rubbing'
  | 'powders'

/** What is usual where something can hurt. */
export interface CareCard {
  title: string
  usual: string
}

/** What stands under every card: a card never has the last word. */
export const deferring =
  'This is what is usual. The studio’s own rules, the product’s data sheet, local codes and qualified staff come first.'

/** craft.md, Care, as short cards. No number here is a limit of safety. */
export const careCards: Record<CareKey, CareCard> = {
  cutting: {
    title: 'Cutting',
    usual:
      'Cut away from the body, the holding hand behind the edge, the block against a bench hook, with a sharp blade. Scraper blades go into the sharps box; raw glass edges cut too. Sawing board makes fine dust.',
  },
  nips: {
    title: 'Rollers and nips',
    usual:
      'Hands, sleeves, hair, jewellery and gloves stay clear of what turns. One person works it. No metal pin or packing edge goes under a roller; a tall block runs between runners of its own height. Blocks are heavy.',
  },
  lever: {
    title: 'The lever press',
    usual:
      'One person works lever and bed alone. Hands, sleeves and hair clear before it closes; end-stops in place. Tall blocks lie between runners of equal height. Blocks are heavy.',
  },
  guillotine: {
    title: 'The paper cutter',
    usual:
      'One person works it, both hands where they can be seen, the blade covered when it rests. Use its guard and clamp.',
  },
  solvents: {
    title: 'Solvents, oils and driers',
    usual:
      'Air the room, wear gloves, keep flame and hotplate away, never mix cleaners. Some essential oils are poisonous swallowed or through the skin. Read the data sheet before the bottle is opened.',
  },
  rags: {
    title: 'Oily rags catch fire by themselves',
    usual:
      'Rags and paper with linseed, plate or vegetable oil, “gentle” ones too, can heat and catch fire by themselves: into the lidded metal can, part-used ones too, emptied as the local fire code says.',
  },
  ultraviolet: {
    title: 'Ultraviolet light',
    usual: 'It harms eyes and skin. Lid shut before the lamp is lit; never look into it.',
  },
  'washing out': {
    title: 'Washing out',
    usual:
      'What is washed off plates and slabs goes down the drain only where local rules allow it. Gloves; eyes away from the spray.',
  },
  rubbing: {
    title: 'Rubbing by hand',
    usual: 'It strains wrist and shoulder: change hands and tools, rest before it hurts, stand rather than lean.',
  },
  powders: {
    title: 'Pigments and powders',
    usual:
      'They are breathed in before they are seen: no blowing, no sweeping dry. No kitchen tool that touched ink goes back to food.',
  },
}
export const careKeys = Object.keys(careCards) as CareKey[]

/** What a studio says itself beside a card. */
export class CareRule {
  static readonly sample: CareRule = { key: 'rags', rule: 'The red can by the door.' }

  @IsIn(careKeys) key!: CareKey
  @Words(1000) rule!: string
}

const hasOil = (family: InkFamily) => family === 'oil' || family === 'water-washable oil' || family === 'rubber-based'

const atStation: Record<StationKind, CareKey[]> = {
  'ink table': [],
  rollers: [],
  'cutting bench': ['cutting'],
  'paper cutter': ['guillotine'],
  'exposure unit': ['ultraviolet'],
  'wash-out': ['washing out'],
}

/** What applies at a press or another station, whatever ink is used there. */
export function careAt(place: Place): CareKey[] {
  if (!isPress(place)) return atStation[place]
  if (place === 'by hand') return ['rubbing']
  if (hasRoller(place)) return ['nips']
  return place === 'platen' || place === 'clamshell' ? ['lever'] : []
}

/** What applies where these inks are worked and washed off. */
export function careWithInk(families: readonly InkFamily[]): CareKey[] {
  return [
    ...(families.some(hasOil) ? (['rags', 'solvents'] as const) : []),
    ...(families.includes('water-based') ? (['washing out'] as const) : []),
  ]
}
