import type { Grade } from '#core/press/dial-in'

/** How a proof came out, as one says it of its impression and of its ink. */
export const pressureWords: Record<Grade, string> = {
  [-2]: 'far too light',
  [-1]: 'a little light',
  0: 'right',
  1: 'a little heavy',
  2: 'far too heavy',
}

export const inkWords: Record<Grade, string> = {
  [-2]: 'far too thin',
  [-1]: 'a little thin',
  0: 'right',
  1: 'a little full',
  2: 'far too full',
}

export const gradeWords = (words: Record<Grade, string>, grade: Grade | null): string =>
  grade === null ? 'not judged yet' : words[grade]
