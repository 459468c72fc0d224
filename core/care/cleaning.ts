import { IsBoolean, IsIn, IsNumber, Max, Min } from 'class-validator'
import { OrNull, Words } from '../ground/shape'
import { inkFamilies, type InkFamily } from '../ink/family'
import type { FindingKey } from './findings'

/** What a room cleans an ink family with, as the label of the bottle says. */
export class Cleaner {
  static readonly sample: Cleaner = { family: 'oil', name: 'seed oil', minutes: 2, isSolvent: false }

  @IsIn(inkFamilies) family!: InkFamily
  @Words(80) name!: string
  /** How long it works before it is wiped, by the label; null while nobody read it. */
  @OrNull() @IsNumber() @Min(0) @Max(600) minutes!: number | null
  /** A solvent, which students use once they were shown how. */
  @IsBoolean() isSolvent!: boolean
}

/** One thing to do at the end, in the order it is done. */
export interface CleanUp {
  key: string
  words: string
  /** Seconds it has to work, for a timer; null when none is known or needed. */
  seconds: number | null
  /** What is as it should be once it is done. */
  settles: FindingKey[]
  /** What it washes off, and with what; null for a step that washes nothing. */
  washes: { family: InkFamily; name: string } | null
}

const labelFirst = 'the cleaner that the ink’s label names, for as long as it says'

/**
 * How a place is cleaned after these inks (craft.md, step 16): scraped, unloaded, washed family by family, the hidden dirt,
 * rags, pressure.
 * @param listed what the place is looked over for when it is left
 */
export function cleanUps(
  families: readonly InkFamily[],
  cleaners: readonly Cleaner[],
  listed: readonly FindingKey[],
): CleanUp[] {
  const used = inkFamilies.filter((family) => families.includes(family))
  const washed = used.map((family): CleanUp => {
    const cleaner = cleaners.find((one) => one.family === family)
    const minutes = cleaner?.minutes ?? null
    return {
      key: `wash ${family}`,
      words: cleaner
        ? `Wash off the ${inkWords(family)} with ${cleaner.name}${minutes === null ? ', for as long as its label says' : ''}, then wipe.${cleaner.isSolvent ? ' It is a solvent: for those who were shown how.' : ''}`
        : `Wash off the ${inkWords(family)} with ${labelFirst}, then wipe.`,
      seconds: minutes === null ? null : Math.round(minutes * 60),
      settles: ['roller', 'slab'],
      washes: { family, name: cleaner?.name ?? '' },
    }
  })
  const steps: CleanUp[] = [
    ...(used.length > 0
      ? [
          step('unload', 'Ghost prints take the ink off the block; scrape slab and roller, wrap what is kept.', []),
          ...washed,
        ]
      : []),
    step('water', 'Dry rollers and slab: no water may stand.', ['water']),
    step('hidden', 'Wipe what is forgotten: handles, roller frames, the outsides of tins, cleaning bottles.', [
      'hidden',
    ]),
    step('rags', 'Rags and inky paper into the studio’s marked, lidded can.', ['rags']),
    step('pressure', 'Take the pressure off.', ['pressure']),
    step('bare', 'Leave bed or table bare and dry, packing and tools in their places.', [
      'bed',
      'packing',
      'surface',
      'tools',
    ]),
  ]
  // What a place does not have need not be cleaned there.
  return steps.filter(({ settles }) => settles.length === 0 || settles.some((key) => listed.includes(key)))
}

const step = (key: string, words: string, settles: FindingKey[]): CleanUp => ({
  key,
  words,
  seconds: null,
  settles,
  washes: null,
})

const inkWords = (family: InkFamily) => (family === 'other' ? 'ink' : `${family} ink`)
