import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { floors } from '../../core-floors.mjs'

it('every room of core stands on a floor, and the house is drawn as the linter keeps it', () => {
  const entries = readdirSync('core', { withFileTypes: true }).filter((entry) => entry.isDirectory())
  const rooms = entries.map(({ name }) => name)
  expect(floors.flat().sort()).toEqual([...rooms].sort())
  const drawn = readFileSync('docs/house.md', 'utf8').split('```')[1]!.trim()
  const stacked = drawn
    .split('\n\n')
    .map((floor) => rooms.filter((room) => new RegExp(`(^| )${room}/`, 'm').test(floor)))
  expect(stacked.map((floor) => floor.sort())).toEqual([...floors].reverse().map((floor) => [...floor].sort()))
})
