import { readdirSync } from 'node:fs'
import { expect, it } from 'vitest'
import { screens } from './screens'

const routes = readdirSync('app/pages', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.vue'))
  .map((file) =>
    file
      .replace(/\.vue$/, '')
      .replace(/\/index$/, '')
      .replaceAll(/[[\]]/g, '')
      .replaceAll('/', '-'),
  )
  // An edition’s own page is never open without a stop of it.
  .filter((route) => route !== 'editions-id')

it('every screen teaches its step, in two sentences at most', () => {
  for (const route of routes) {
    const { says } = screens[route]!
    expect(says.match(/[.](\s|$)/g)!.length, route).toBeLessThanOrEqual(2)
  }
  expect(Object.keys(screens).sort()).toEqual([...new Set(routes)].sort())
})
