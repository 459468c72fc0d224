import { describe, expect, it } from 'vitest'
import { edgeDoubt, edgeFault, pinsUnknown, type Section } from './edges'

const section = (more: Partial<Section> = {}): Section => ({
  block: { name: 'the block', thickness: 5, sides: { least: 200, most: 300 } },
  packing: [{ name: 'felt', length: null }],
  pins: [],
  ...more,
})

describe('what must not go under a roller', () => {
  it('is a pin above the block', () => {
    expect(edgeFault('roller bed', section({ pins: [{ height: 4 }, { height: 6.5 }] }))).toMatch(
      /1\.50 mm above the block/,
    )
    expect(edgeFault('roller bed', section({ pins: [{ height: 5 }] }))).toBeNull()
    expect(edgeFault('laminator', section({ pins: [{ height: 5.1 }] }))).not.toBeNull()
    expect(edgeFault('platen', section({ pins: [{ height: 9 }] }))).toBeNull()
  })

  it('is the edge of a packing that ends over the block', () => {
    const short = section({ packing: [{ name: 'press card', length: 180 }] })
    expect(edgeFault('roller bed', short)).toMatch(/press card is 180 mm long and ends over the block, 200 mm/)
    expect(edgeFault('platen', short)).toBeNull()
    expect(edgeFault('roller bed', section({ packing: [{ name: 'press card', length: 200 }] }))).toBeNull()
  })

  it('cannot be said of what nobody measured', () => {
    expect(edgeFault('roller bed', section({ block: null, pins: [{ height: 9 }] }))).toBeNull()
    expect(edgeFault('roller bed', section({ pins: [{ height: null }] }))).toBeNull()
    expect(pinsUnknown('roller bed', { pins: [{ height: null }] })).toBe(true)
    expect(pinsUnknown('platen', { pins: [{ height: null }] })).toBe(false)
    const unmeasured = { name: 'b', thickness: 5, sides: null }
    expect(edgeFault('roller bed', section({ block: unmeasured, packing: [{ name: 'card', length: 1 }] }))).toBeNull()
  })

  it('may be a piece that covers the block one way round only', () => {
    const between = section({ packing: [{ name: 'card', length: 240 }] })
    expect(edgeFault('roller bed', between)).toBeNull()
    expect(edgeDoubt('roller bed', between)).toMatch(/card is 240 mm long: .* 200 mm, not of 300 mm/)
    expect(edgeDoubt('platen', between)).toBeNull()
    expect(edgeDoubt('roller bed', section({ packing: [{ name: 'card', length: 300 }] }))).toBeNull()
  })
})
