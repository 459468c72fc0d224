import { pluralise } from '../units/pluralise'
import { type PressState, type PressUse, zeroHeight } from '../stores/press/state'
import { pressWays } from '../press/kinds'
import {
  changeBetween,
  divisionsOf,
  type Reading,
  readingOf,
  readingWords,
  type ScrewAnswer,
  type Screws,
  settingFor,
} from '../press/screws'
import { packingHeight, type PressSetting, stackHeight } from '../press/stack'
import { proud, underRim, underType } from '../press/underlay'

/** A press as a set-up is reckoned for it. */
export type PressAtHand = Omit<PressState, 'stream' | 'seq'>

type Stack = Pick<PressSetting, 'packing' | 'block' | 'sheet'>

/** What a stack asks of a press. */
export type SetUp =
  | {
      kind: 'screws'
      /** The stack over what lay on the bed at zero, mm. */
      height: number
      screws: Screws
      answer: ScrewAnswer
      /** The mark each screw shows when it is there. */
      marks: { left: number; right: number }
      /** Each screw from where the last set-up left it, or null before any. */
      change: { left: Reading; right: Reading; from: PressUse } | null
    }
  | {
      kind: 'underlay'
      /** What goes under the block, mm; below zero the block is too thick. */
      underlay: number
      /** What of it the packing under the block does not make up yet, mm. */
      missing: number
    }
  | { kind: 'by feel' }
  | { kind: 'missing'; words: string }
  | { kind: 'refused'; words: string }

export function screwsOf({ pitch, divisions, travel, span }: PressAtHand): Screws | null {
  return pitch === null || divisions < 1 ? null : { pitch, divisions, travel, span }
}

/**
 * How a press is set for a stack (models.md, M10).
 * @param nip how far below the stack the gap is set, mm
 */
export function setUpFor(press: PressAtHand, stack: Stack, nip: number): SetUp {
  const { sets } = pressWays[press.kind]
  if (sets === 'screws') return onScrews(press, stack, nip)
  if (sets === 'underlay') return onUnderlay(press, stack)
  return { kind: 'by feel' }
}

function onUnderlay(press: PressAtHand, { packing, block }: Stack): SetUp {
  if (press.height === null)
    return {
      kind: 'missing',
      words: `Measure the ${press.kind === 'rimmed board' ? 'rim' : 'type height'} of ${press.name} first.`,
    }
  if (block === null) return { kind: 'missing', words: 'Give the block its thickness, under Block.' }
  const underlay =
    press.kind === 'rimmed board'
      ? underRim(press.height, block.thickness, proud.usual)
      : underType(press.height, block.thickness)
  if (underlay < -1e-9)
    return {
      kind: 'refused',
      words: `The block is ${(-underlay).toFixed(2)} mm too thick for ${press.name}: it would stand above ${press.kind === 'rimmed board' ? 'its rim by more than it should' : 'type height'}. Use another press, or a thinner mount.`,
    }
  return { kind: 'underlay', underlay, missing: underlay - packingHeight(packing) }
}

function onScrews(press: PressAtHand, stack: Stack, nip: number): SetUp {
  const screws = screwsOf(press)
  if (!screws)
    return {
      kind: 'missing',
      words: `Nobody knows yet how far a turn of ${press.name} lifts. Calibrate it with two known thicknesses, under Presses.`,
    }
  if (press.zero === null)
    return { kind: 'missing', words: `The zero of ${press.name} is not recorded yet. Find it once, under Presses.` }
  const whole = stackHeight(stack)
  if (whole === null)
    return {
      kind: 'missing',
      words: stack.block === null ? 'Give the block its thickness, under Block.' : 'Say how thick the sheet is.',
    }
  const height = whole - zeroHeight(press.zero)
  const answer = settingFor(height, nip, screws)
  if ('refused' in answer) return refusalOf(press, answer.refused, whole)
  const mark = (zero: number) => (zero + divisionsOf(answer, screws)) % screws.divisions
  const change = press.last && {
    left: changeBetween(press.last.setting.left, answer, screws),
    right: changeBetween(press.last.setting.right, answer, screws),
    from: press.last,
  }
  return {
    kind: 'screws',
    height,
    screws,
    answer,
    marks: { left: mark(press.zero.left), right: mark(press.zero.right) },
    change,
  }
}

function refusalOf(press: PressAtHand, refused: 'below-zero' | 'beyond-travel', whole: number): SetUp {
  const stack = `This stack of ${whole.toFixed(2)} mm`
  return {
    kind: 'refused',
    words:
      refused === 'below-zero'
        ? `${stack} is thinner than what lay on the bed at zero, ${zeroHeight(press.zero!).toFixed(2)} mm: the roller would be ground onto it. Lay in more packing.`
        : `${stack} is higher than the screws of ${press.name} reach, ${pluralise(press.travel ?? 0, 'turn')}. Take out packing, or use another press.`,
  }
}

/** What a person does, one thing after another; always from above, so that the play of the screws lies on one side. */
export function setUpSteps(press: PressAtHand, setUp: Extract<SetUp, { kind: 'screws' }>, stack: Stack): string[] {
  const { answer, screws, height, marks } = setUp
  const clear = settingFor(height, -roomToLoad, { ...screws, travel: null }) as ScrewAnswer
  const highest = screws.travel === null ? null : readingOf(Math.floor(screws.travel * screws.divisions), screws)
  const raised =
    highest !== null && divisionsOf(clear, screws) > divisionsOf(highest, screws)
      ? `Raise both screws as far as they go, ${readingWords(highest)}.`
      : `Raise both screws to ${readingWords(clear)} from zero, ${roomToLoad} mm above the stack.`
  const laid = [
    'the block',
    'the sheet',
    ...stack.packing.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)),
  ]
  const play =
    press.backlash > 0
      ? [`If you go past it, go up again by more than ${press.backlash} divisions, the play, and come down once more.`]
      : []
  return [
    raised,
    `Lay in, from the bed up: ${laid.join(', ')}.`,
    `Lower both to ${readingWords(answer)}, from above; the marks then show ${said(marks.left)} left and ${said(marks.right)} right.`,
    ...play,
  ]
}

/** Room above the stack while it is laid in, mm. */
export const roomToLoad = 5

const said = (mark: number) => String(Math.round(mark * 10) / 10)
