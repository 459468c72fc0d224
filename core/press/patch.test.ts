import { expect, it } from 'vitest'
import { patchGuide } from './patch'

it('a patch guide marks each place in full size, reversed as one sees it from above the press', () => {
  const { shapes, width } = patchGuide({ width: 200, height: 150 }, [{ x: 40, y: 30, words: 'salt' }], 'Tide Gauge')
  const circles = shapes.filter((shape) => shape.kind === 'circle')
  expect(width).toBe(224)
  // 40 mm from the print's left edge is 40 mm from the right one here.
  for (const circle of circles) expect(circle).toMatchObject({ x: 12 + 160, y: 12 + 30 })
  const [image] = shapes
  expect(image).toMatchObject({ kind: 'line', closed: true })
  expect(shapes.some((shape) => shape.kind === 'text' && shape.text === 'salt')).toBe(true)
})
