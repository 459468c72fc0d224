import { describe, expect, it } from 'vitest'
import { inkFamilies } from '../ink/family'
import { pressKinds } from '../press/kinds'
import { careAt, careCards, careWithInk } from './cards'
import { cleanUps } from './cleaning'
import { checklist, findings, type Place, stationKinds } from './findings'

const places: Place[] = [...pressKinds, ...stationKinds]

describe('what is looked at', () => {
  it('is something in every place, and nothing twice', () => {
    for (const place of places) {
      const keys = checklist(place, inkFamilies)
      expect(keys.length, place).toBeGreaterThan(1)
      expect(new Set(keys).size, place).toBe(keys.length)
      for (const key of keys) expect(findings[key]).toBeDefined()
    }
  })

  it('asks for water only where water was used, and for pressure only where a press keeps it', () => {
    expect(checklist('roller bed', ['oil'])).not.toContain('water')
    expect(checklist('roller bed', ['water-based'])).toContain('water')
    expect(checklist('roller bed', [])[0]).toBe('pressure')
    expect(checklist('by hand', [])).not.toContain('pressure')
    expect(checklist('cutting bench', ['water-based'])).not.toContain('water')
  })
})

describe('cleaning up', () => {
  it('washes each ink used with its own cleaner for its label’s time, in the order of the craft', () => {
    const steps = cleanUps(
      ['water-based', 'oil'],
      [{ family: 'oil', name: 'seed oil, then soap', minutes: 2.5, isSolvent: false }],
      checklist('roller bed', ['oil', 'water-based']),
    )
    expect(steps.map(({ key }) => key)).toEqual([
      'unload',
      'wash oil',
      'wash water-based',
      'water',
      'hidden',
      'rags',
      'pressure',
      'bare',
    ])
    expect(steps[1]).toMatchObject({ words: 'Wash off the oil ink with seed oil, then soap, then wipe.', seconds: 150 })
    expect(steps[2]!.words).toContain('the cleaner that the ink’s label names')
    expect(steps[2]!.seconds).toBeNull()
  })

  it('without ink, or where there is no such thing, asks for nothing of the kind', () => {
    expect(cleanUps([], [], checklist('cutting bench', [])).map(({ key }) => key)).toEqual(['bare'])
    expect(cleanUps(['oil'], [], checklist('by hand', ['oil'])).map(({ key }) => key)).not.toContain('pressure')
  })

  it('settles everything that is looked at in a place where ink was used', () => {
    for (const place of pressKinds) {
      const listed = checklist(place, inkFamilies)
      const settled = new Set(cleanUps(inkFamilies, [], listed).flatMap(({ settles }) => settles))
      expect(
        listed.filter((key) => !settled.has(key)),
        place,
      ).toEqual([])
    }
  })
})

describe('care', () => {
  it('is shown where it applies', () => {
    expect(careAt('platen')).toEqual(['lever'])
    expect(careAt('laminator')).toEqual(['nips'])
    expect(careAt('by hand')).toEqual(['rubbing'])
    expect(careAt('exposure unit')).toEqual(['ultraviolet'])
    expect(careWithInk(['oil'])).toEqual(['rags', 'solvents'])
    expect(careWithInk(['water-based'])).toEqual(['washing out'])
    expect(careWithInk([])).toEqual([])
  })

  it('gives no number that could be taken for a limit', () => {
    for (const { usual } of Object.values(careCards)) expect(usual).not.toMatch(/\d/)
  })
})
