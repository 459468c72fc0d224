import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsString, Length, Max, Min } from 'class-validator'
import { Id, OrNull, Part, Parts, Words } from '../ground/shape'
import { IsColour } from '../ground/written'
import type { InkFamily } from './family'
import { type HueName, hueNames } from './hues'
import { Roller } from './roller'

/** Something to do every so many pulls: the slab's rim, masks, the jig. */
export class Chore {
  @IsInt() @Min(0) @Max(10_000) every!: number
  @Words(120) what!: string
}

/** How one zone of a layer takes its ink. Shares of the block, 0 to 1; null while unknown. */
export class ZoneInk {
  @Id('zone') zoneId!: string
  @OrNull() @IsNumber() @Min(-10) @Max(10) inkedShare!: number | null
  @IsNumber() @Min(-10) @Max(10) wipedShare!: number
}

export const rollUpDefaults: RollUp = {
  roller: null,
  slabArea: 60_000,
  charges: 2,
  passes: 2,
  directions: 'crosswise, then lengthwise',
  wiping: '',
  masks: '',
  dabbing: '',
  touching: '',
  chores: [],
  zones: [],
  sessions: 1,
  openMinutes: null,
}

/** How a layer is rolled up: what printers keep the same for every impression. */
export class RollUp {
  static readonly sample: RollUp = {
    ...rollUpDefaults,
    roller: { id: 'r', name: 'large', width: 200, diameter: 60 },
    chores: [{ every: 10, what: 'wipe the rim' }],
    zones: [{ zoneId: 'z', inkedShare: null, wipedShare: 0.1 }],
  }

  @OrNull() @Part(() => Roller) roller!: Roller | null
  /** Slab rolled out, mm². */
  @IsNumber() @Min(0) @Max(1e8) slabArea!: number
  @IsInt() @Min(0) @Max(50) charges!: number
  @IsInt() @Min(0) @Max(100) passes!: number
  @Words(120) directions!: string
  @Words(120) wiping!: string
  @Words(120) masks!: string
  @Words(120) dabbing!: string
  @Words(120) touching!: string
  @Parts(() => Chore, 12) chores!: Chore[]
  @Parts(() => ZoneInk, 20) zones!: ZoneInk[]
  /** Wash-ups reckoned with, one at the end of each session. */
  @IsInt() @Min(0) @Max(100) sessions!: number
  /** Minutes the ink may lie open on the slab by its label, or null where that was not said. */
  @OrNull() @IsNumber() @Min(0) @Max(100_000) openMinutes!: number | null
}

/** Water-based ink dries on the slab; the others are not watched by the clock unless their label says so. Minutes. */
const openGuess: Partial<Record<InkFamily, number>> = { 'water-based': 15 }

/** How long ink may lie on the slab: by its label, else by the guess for its family; null when it need not be watched. */
export function openTime(rollUp: Pick<RollUp, 'openMinutes'> | null, family: InkFamily | null): number | null {
  return rollUp?.openMinutes ?? (family ? (openGuess[family] ?? null) : null)
}

/** The routine in one line, as it is repeated at the press. */
export function routineWords({ charges, passes, directions, wiping, masks, dabbing, touching }: RollUp): string {
  const times = (n: number, one: string, many: string) => (n === 1 ? `1 ${one}` : `${n} ${many}`)
  return [
    `${times(charges, 'charge', 'charges')}, ${times(passes, 'pass', 'passes')} each`,
    directions,
    wiping && `wipe ${wiping}`,
    masks && `mask ${masks}`,
    dabbing && `dab off ${dabbing}`,
    touching && `touch in ${touching}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** Chores due now, after so many pulls of the layer. */
export function choresDue(chores: readonly Chore[], pulls: number): Chore[] {
  return pulls === 0 ? [] : chores.filter((chore) => chore.every > 0 && pulls % chore.every === 0)
}

/** Why a routine cannot stand, or null. */
export function rollUpFault({
  charges,
  passes,
  slabArea,
  sessions,
  chores,
  zones,
  openMinutes,
}: RollUp): { field: string; message: string } | null {
  if (!(charges >= 0 && passes >= 1))
    return { field: 'passes', message: 'The block is rolled at least once, with no fewer than 0 charges.' }
  if (!(slabArea >= 0) || !(sessions >= 0)) return { field: 'sessions', message: 'Slab and sessions are zero or more.' }
  if (openMinutes !== null && !(openMinutes >= 1))
    return {
      field: 'openMinutes',
      message: 'Ink stays open for a minute or more; leave it empty when its label says nothing.',
    }
  const idle = chores.find((chore) => chore.what.trim() === '' || !(chore.every >= 1))
  if (idle) return { field: 'chores', message: 'A chore says what to do and after how many pulls, 1 or more.' }
  const odd = zones.find(
    (zone) =>
      (zone.inkedShare !== null && !(zone.inkedShare >= 0 && zone.inkedShare <= 1)) ||
      !(zone.wipedShare >= 0 && zone.wipedShare <= 1),
  )
  if (odd) return { field: 'zones', message: 'A share of the block lies between 0 and 100 %.' }
  const whole = zones.reduce((sum, zone) => sum + (zone.inkedShare ?? 0), 0)
  if (whole > 1 + 1e-9)
    return {
      field: 'zones',
      message: `The zones together ink ${Math.round(whole * 100)} % of the block; more than the whole cannot be.`,
    }
  return null
}

/** Signs of ink, as they are told by eye and ear. */
export const inkSigns = {
  right: 'It hisses softly and looks like fine velvet; tilted to the light the block shines evenly.',
  much: 'Wet, peaked or ropey, loud and sticky: lines close, a rim is squeezed out at the edges. Unload the roller on clean paper, skip a charge.',
  little:
    'The roller has gone silent; dull patches on the tilted block, white specks in the solids. Charge sooner, one more pass.',
} as const

/** More layers than this are not laid out: 2ⁿ overlaps and n! orders. */
export const mostLayers = 7

/** One ink of a layer on the overprint table. Thickness in µm. */
export class OverprintLayer {
  @Id('layer') layerId!: string
  @OrNull() @Id('batch') batchId!: string | null
  @IsNumber() @Min(0) @Max(100) thickness!: number
}

export class OverprintWish {
  @IsArray() @ArrayMaxSize(7) @IsString({ each: true }) @Length(1, 64, { each: true }) layers!: string[]
  @IsIn(['colour', 'layer', 'paper']) keep!: 'colour' | 'layer' | 'paper'
  @OrNull() @IsColour() colour!: string | null
  @OrNull() @Id('layer') layerId!: string | null
}

/** The layers in the order they are meant to be laid, and what their overlaps should look like. */
export class OverprintPlan {
  @IsColour() paper!: string
  @Parts(() => OverprintLayer, 12) layers!: OverprintLayer[]
  @Parts(() => OverprintWish, 40) wishes!: OverprintWish[]
}

class StripeSaid {
  @Id('batch') batchId!: string
  @IsNumber() @Min(-1) @Max(2) at!: number
}

/** Inks side by side on one roller. `at`: middle of a stripe as a share of the roller's width. */
export class BlendPlan {
  @Parts(() => StripeSaid, 6) stripes!: StripeSaid[]
  /** Width of each zone where two inks meet, as a share of the roller's width. */
  @IsNumber() @Min(-1) @Max(2) blend!: number
  @IsNumber() @Min(0) @Max(1) widening!: number
  /** Lay the slab fresh after so many charges; 0 for never. */
  @IsInt() @Min(0) @Max(10_000) freshAfter!: number
  @OrNull() @IsIn(hueNames) avoid!: HueName | null
  /** Rolled in one direction only, or the printer wants it otherwise. */
  @IsBoolean() severalDirections!: boolean
  @IsNumber() @Min(0) @Max(100) thickness!: number
}

/** Why a blend cannot stand, or null. */
export function blendFault({
  stripes,
  blend,
  widening,
  freshAfter,
  thickness,
}: BlendPlan): { field: string; message: string } | null {
  if (stripes.length < 2 || stripes.length > 4)
    return { field: 'stripes', message: `A blended roll has two to four inks; ${stripes.length} were given.` }
  if (stripes.some((stripe, i) => !(stripe.at >= 0 && stripe.at <= 1) || (i > 0 && stripe.at <= stripes[i - 1]!.at)))
    return {
      field: 'stripes',
      message: 'The inks lie side by side: each further along the roller than the one before.',
    }
  if (!(blend >= 0 && blend <= 1) || !(widening >= 0))
    return { field: 'blend', message: 'The blend is a share of the roller’s width, 0 to 100 %, and does not narrow.' }
  if (!(freshAfter >= 0) || !(thickness > 0))
    return {
      field: 'freshAfter',
      message: 'Charges until a fresh lay are zero or more, and the film is thicker than nothing.',
    }
  return null
}

class MaskedArea {
  @IsNumber() @Min(0) @Max(1) left!: number
  @IsNumber() @Min(0) @Max(1) top!: number
  @IsNumber() @Min(0) @Max(1) width!: number
  @IsNumber() @Min(0) @Max(1) height!: number
}

/** How an inked share was found in a picture of the block, or null when it was typed. */
export class ShareReading {
  @Id('picture', 100) pictureId!: string
  @IsInt() @Min(0) @Max(256) threshold!: number
  @IsBoolean() lightInked!: boolean
  @Parts(() => MaskedArea, 40) masked!: MaskedArea[]
}
