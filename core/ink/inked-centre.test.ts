import { expect, it } from 'vitest'
import { inkedCentre } from './inked-centre'

/** A grey picture from rows of signs: `#` is ink. */
function picture(...rows: string[]) {
  const pixels = new Uint8Array(rows.flatMap((row) => [...row].map((sign) => (sign === '#' ? 20 : 230))))
  return { width: rows[0]!.length, height: rows.length, pixels }
}

it('the middle of what prints lies where its area balances', () => {
  expect(inkedCentre(picture('##..', '##..', '....', '....'))).toEqual({ across: 0.25, down: 0.25, share: 0.25 })
  const { across, down } = inkedCentre(picture('####', '####', '####', '####', '...#'))!
  expect(across).toBeGreaterThan(0.5)
  expect(down).toBeLessThan(0.5)
})
