import { describe, expect, it } from 'vitest'
import { asked } from './asked-number'

describe('what is looked for', () => {
  it.each([
    ['harbour scales', ['harbour', 'scales'], null, null],
    ['sheet 21 harbour', ['harbour'], 21, null],
    ['sheet 21 of “Harbour Scales”', ['harbour', 'scales'], 21, null],
    ['3/20 tide', ['tide'], 3, 'edition'],
    ['AP II', [], 2, 'AP'],
    ['tide ap ii/iii', ['tide'], 2, 'AP'],
    ['hc 1 lamp', ['lamp'], 1, 'HC'],
    ['lamp 100% 4', ['lamp', '100%'], 4, null],
    ['7 8', ['8'], 7, null],
    ['civil', ['civil'], null, null],
    ['0 99999', ['0', '99999'], null, null],
    ['  ', [], null, null],
  ])('%s', (text, words, number, series) => {
    expect(asked(text)).toEqual({ words, number, series })
  })
})
