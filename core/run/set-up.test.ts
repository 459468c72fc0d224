import { describe, expect, it } from 'vitest'
import { emptyPress } from '../stores/press/state'
import { toHand } from '../press/drawer'
import { type PressAtHand, setUpFor, setUpSteps } from './set-up'
import type { Packing } from '../press/stack'

const when = { at: '2026-11-02T09:00:00.000Z', position: 1, by: 'p1', via: null }
const felt: Packing = { name: 'felt', thickness: 2.4, pieceId: 'felt', count: 1 }
const stack = { packing: [felt], block: { name: 'key block', thickness: 7.3 }, sheet: 0.3 }
const press = (more: Partial<PressAtHand> = {}): PressAtHand => ({
  ...emptyPress('press:p1'),
  name: 'Long press',
  kind: 'roller bed',
  divisions: 16,
  pitch: 2.54,
  travel: 14,
  zero: { ...when, on: [{ name: 'newsprint', thickness: 0.1 }], left: 5, right: 15, note: '' },
  ...more,
})

describe('a set-up on two screws', () => {
  it('is the stack over what lay on the bed at zero, less the nip, with the marks each screw shows', () => {
    const setUp = setUpFor(press(), stack, 0.3)
    expect(setUp).toMatchObject({
      kind: 'screws',
      height: expect.closeTo(9.9, 9),
      answer: { turns: 3, divisions: 12, off: expect.closeTo(-0.075, 9) },
      marks: { left: 1, right: 11 },
      change: null,
    })
  })

  it('tells the change from what the last user left, screw by screw', () => {
    const last = {
      ...when,
      editionStream: 'edition:e0',
      title: 'Tide Table',
      layerId: 'l',
      layerName: 'rust',
      setting: { ...stack, nip: 0.3, left: { turns: 2, divisions: 7 }, right: { turns: 2, divisions: 8 }, note: '' },
    }
    expect(setUpFor(press({ last }), stack, 0.3)).toMatchObject({
      change: { left: { turns: 1, divisions: 5 }, right: { turns: 1, divisions: 4 } },
    })
  })

  it('says what is missing, and refuses what would grind or cannot be reached', () => {
    const words = (setUp: ReturnType<typeof setUpFor>) =>
      'words' in setUp ? `${setUp.kind}: ${setUp.words}` : setUp.kind
    expect(words(setUpFor(press({ pitch: null }), stack, 0.3))).toContain('missing: Nobody knows yet how far')
    expect(words(setUpFor(press({ zero: null }), stack, 0.3))).toContain('missing: The zero of Long press')
    expect(words(setUpFor(press(), { ...stack, block: null }, 0.3))).toContain('missing: Give the block')
    expect(words(setUpFor(press(), { ...stack, sheet: null }, 0.3))).toContain('missing: Say how thick')
    expect(words(setUpFor(press(), { packing: [], block: { name: 'b', thickness: 0.1 }, sheet: 0.1 }, 0.3))).toContain(
      'refused: This stack of 0.20 mm is thinner',
    )
    expect(words(setUpFor(press({ travel: 3 }), stack, 0.3))).toContain('refused: This stack of 10.00 mm is higher')
  })

  it('is read out as a person does it, from above, with the play of the screws', () => {
    const at = press({ backlash: 0.5 })
    const setUp = setUpFor(at, stack, 0.3)
    if (setUp.kind !== 'screws') throw new Error(setUp.kind)
    expect(setUpSteps(at, setUp, stack)).toEqual([
      'Raise both screws to 5 turns, 14 divisions from zero, 5 mm above the stack.',
      'Lay in, from the bed up: the block, the sheet, felt.',
      'Lower both to 3 turns, 12 divisions, from above; the marks then show 1 left and 11 right.',
      'If you go past it, go up again by more than 0.5 divisions, the play, and come down once more.',
    ])
    const low = press({ travel: 4 })
    const lowSetUp = setUpFor(low, stack, 0.3)
    if (lowSetUp.kind !== 'screws') throw new Error(lowSetUp.kind)
    expect(setUpSteps(low, lowSetUp, stack)[0]).toBe('Raise both screws as far as they go, 4 turns.')
  })
})

describe('a set-up without screws', () => {
  it('brings a block slightly proud of a rim or to type height, and says what the packing lacks', () => {
    const rim = press({ kind: 'rimmed board', divisions: 0, height: 10 })
    expect(setUpFor(rim, stack, 0)).toEqual({
      kind: 'underlay',
      underlay: expect.closeTo(3, 9),
      missing: expect.closeTo(0.6, 9),
    })
    expect(setUpFor({ ...rim, kind: 'type-high bed' }, stack, 0)).toMatchObject({ underlay: expect.closeTo(2.7, 9) })
    expect(setUpFor({ ...rim, height: 6 }, stack, 0)).toMatchObject({ kind: 'refused' })
    expect(setUpFor({ ...rim, height: null }, stack, 0)).toMatchObject({ kind: 'missing' })
    expect(setUpFor(press({ kind: 'by hand' }), stack, 0)).toEqual({ kind: 'by feel' })
  })
})

describe('the packing drawer', () => {
  it('does not offer twice what lies in other presses', () => {
    const piece = {
      id: 'felt',
      name: 'felt',
      kind: 'felt' as const,
      thickness: 3,
      squeezed: 2.4,
      count: 2,
      length: null,
    }
    expect(toHand([piece], [{ packing: [felt] }])).toEqual([{ ...piece, count: 1 }])
    expect(toHand([piece], [{ packing: [{ ...felt, count: 5 }] }])[0]!.count).toBe(0)
    expect(toHand([piece], [{ packing: [{ ...felt, pieceId: null }] }])).toEqual([piece])
  })
})
