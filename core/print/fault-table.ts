import { IsIn, Length } from 'class-validator'
import { Parts } from '../ground/shape'
import { Cause, causesOf } from './causes'
import { type Fault, faults, outcomes } from './faults'

/** What a room makes of a fault: what it usually makes of the sheet, its causes in order, and what is tried against each. */
export class FaultLine {
  static readonly sample: FaultLine = {
    fault: 'salt',
    outcome: 'reject',
    causes: [{ words: 'too little ink', seat: 'ink', remedies: ['one more pass', 'warm the slab'] }],
  }

  @Length(1, 40) fault!: string
  @IsIn(outcomes) outcome!: Fault['outcome']
  @Parts(() => Cause, 12) causes!: Cause[]
}

/** As printers of relief tell it, before a studio says otherwise (craft.md, Faults). */
export function usualLine(fault: string): FaultLine {
  return {
    fault,
    outcome: faults.find(({ key }) => key === fault)?.outcome ?? 'note',
    causes: [...(causesOf[fault] ?? [])],
  }
}

/** The line in force: the studio's last word on the fault, else the usual one. */
export function lineInForce(own: readonly FaultLine[], fault: string): FaultLine {
  return own.findLast((line) => line.fault === fault) ?? usualLine(fault)
}

/** Why a line cannot stand, or null. */
export function faultLineFault({ causes }: FaultLine): { field: string; message: string } | null {
  if (causes.some(({ words }) => words.trim() === ''))
    return { field: 'causes', message: 'Say each cause in words, or take it out.' }
  if (causes.some(({ remedies }) => remedies.some((remedy) => remedy.trim() === '')))
    return { field: 'causes', message: 'Say each remedy in words, or take it out.' }
  const words = causes.map((cause) => cause.words.trim())
  return new Set(words).size < words.length
    ? { field: 'causes', message: 'A cause stands there twice. Put its remedies together.' }
    : null
}
