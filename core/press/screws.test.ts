import { describe, expect, it } from 'vitest'
import {
  changeBetween,
  changeWords,
  divisionsOf,
  heightOf,
  pitchFrom,
  readingOf,
  readingWords,
  type Screws,
  settingFor,
  tiltOf,
} from './screws'

const screws: Screws = { pitch: 2.54, divisions: 16, travel: 12, span: 600 }

describe('where a screw goes', () => {
  it('is reckoned from its zero to the nearest division, and says what is left', () => {
    const answer = settingFor(9.9, 0.3, screws)
    expect(answer).toMatchObject({ turns: 3, divisions: 12 })
    expect((answer as { off: number }).off).toBeCloseTo(-0.075, 9)
  })

  it('is never off by more than half a division, and opens rather than closes at the half', () => {
    for (let gap = 0; gap <= 30; gap += 0.013) {
      const answer = settingFor(gap + 0.3, 0.3, screws) as { turns: number; divisions: number; off: number }
      expect(Math.abs(answer.off)).toBeLessThanOrEqual(2.54 / 32 + 1e-9)
      expect(heightOf(answer, screws)).toBeCloseTo(gap + answer.off, 9)
    }
    expect(settingFor((2.5 / 16) * 2.54, 0, screws)).toMatchObject({ turns: 0, divisions: 3 })
  })

  it('is refused below zero and beyond the travel', () => {
    expect(settingFor(0.2, 0.3, screws)).toEqual({ refused: 'below-zero' })
    expect(settingFor(31, 0, screws)).toEqual({ refused: 'beyond-travel' })
    expect(settingFor(31, 0, { ...screws, travel: null })).toMatchObject({ turns: 12, divisions: 3 })
    expect(settingFor(0, 0, screws)).toMatchObject({ turns: 0, divisions: 0, off: 0 })
  })
})

describe('the change from one setting to another', () => {
  it('opens for a thicker stack and closes for a thinner one', () => {
    const thin = { turns: 2, divisions: 7 }
    const thick = { turns: 3, divisions: 12 }
    expect(changeWords(changeBetween(thin, thick, screws))).toBe('open 1 turn, 5 divisions')
    expect(changeWords(changeBetween(thick, thin, screws))).toBe('close 1 turn, 5 divisions')
    expect(changeWords(changeBetween(thin, thin, screws))).toBe('as it stands')
    expect(changeWords(changeBetween(thin, { turns: 2, divisions: 6 }, screws))).toBe('close 1 division')
  })

  it('added to the one before gives the one after, for any two', () => {
    for (let from = 0; from < 70; from += 3)
      for (let to = 0; to < 70; to += 5) {
        const change = changeBetween(readingOf(from, screws), readingOf(to, screws), screws)
        expect(from + divisionsOf(change, screws)).toBe(to)
      }
  })

  it('reads as one would say it', () => {
    expect(readingWords({ turns: 0, divisions: 0 })).toBe('zero')
    expect(readingWords({ turns: 1, divisions: 0 })).toBe('1 turn')
    expect(readingWords({ turns: 0, divisions: 1 })).toBe('1 division')
  })
})

describe('two screws', () => {
  it('tilt by the difference of their own travels', () => {
    expect(tiltOf({ turns: 1, divisions: 8 }, { turns: 1, divisions: 0 }, screws)).toBeCloseTo(1.27, 9)
    expect(tiltOf({ turns: 1, divisions: 0 }, { turns: 1, divisions: 0 }, screws)).toBe(0)
  })

  it('tell their pitch from two known thicknesses, or that they do not', () => {
    const at = (turns: number, divisions: number) => ({ turns, divisions })
    expect(pitchFrom({ thickness: 3.2, at: at(1, 0) }, { thickness: 8.28, at: at(3, 0) }, screws)).toBeCloseTo(2.54, 9)
    expect(pitchFrom({ thickness: 3, at: at(1, 0) }, { thickness: 8, at: at(1, 0) }, screws)).toBeNull()
    expect(pitchFrom({ thickness: 8, at: at(1, 0) }, { thickness: 3, at: at(2, 0) }, screws)).toBeNull()
  })
})
