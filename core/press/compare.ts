import { readingWords } from './screws'
import type { Packing, PressSetting } from './stack'

const mm = (value: number) => `${Math.abs(Math.round(value * 100) / 100)} mm`
const isOther = (a: number | null, b: number | null) => Math.abs((a ?? 0) - (b ?? 0)) > 1e-9

/** What went into the packing and what came out of it. */
export function packingChanges(before: readonly Packing[], after: readonly Packing[]): string[] {
  const countOf = (packing: readonly Packing[], name: string) =>
    packing.filter((piece) => piece.name === name).reduce((sum, { count }) => sum + count, 0)
  const names = [...new Set([...before, ...after].map(({ name }) => name))]
  return names.flatMap((name) => {
    const by = countOf(after, name) - countOf(before, name)
    if (by === 0) return []
    return [`${Math.abs(by) > 1 ? `${Math.abs(by)} × ` : ''}${name} ${by > 0 ? 'in' : 'out'}`]
  })
}

/** What is other in a set-up than in one before it, in words; nothing when they are alike. */
export function settingChanges(before: PressSetting, after: PressSetting): string[] {
  const gap = (after.nip ?? 0) - (before.nip ?? 0)
  const screw = (side: 'left' | 'right') =>
    before[side].turns === after[side].turns && !isOther(before[side].divisions, after[side].divisions)
      ? ''
      : `${side} screw from ${readingWords(before[side])} to ${readingWords(after[side])}`
  return [
    isOther(before.block?.thickness ?? null, after.block?.thickness ?? null)
      ? `block ${mm(before.block?.thickness ?? 0)} then, ${mm(after.block?.thickness ?? 0)} now`
      : '',
    ...packingChanges(before.packing, after.packing),
    isOther(before.sheet, after.sheet) ? `sheet ${mm(before.sheet ?? 0)} then, ${mm(after.sheet ?? 0)} now` : '',
    isOther(gap, 0) ? `gap ${mm(gap)} ${gap > 0 ? 'closer' : 'wider'}` : '',
    screw('left'),
    screw('right'),
  ].filter(Boolean)
}
