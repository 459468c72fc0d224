import { createHmac, randomBytes } from 'node:crypto'
import { afterEach, expect, it } from 'vitest'
import { sealedText } from '#shared/commands/sealed'
import { holdTapKey, sealed } from './tap-seal'

const key = randomBytes(32)
const tap = {
  commandId: '0190c0de-0000-7000-8000-000000000001',
  device: 'tablet~one',
  by: 'p1',
  occurredAt: '2026-12-01T10:00:00.000Z',
  type: 'pull',
  stream: 'edition:e1',
  data: { sheetIds: [3], faults: ['salt'], note: 'Ödön’s “third”', nothing: undefined },
}
afterEach(() => holdTapKey(null))

it('is the one the server makes of the same tap', () => {
  holdTapKey({ signInId: 's1', key: key.toString('base64url') })
  const { proof, ...command } = sealed(tap)
  expect(proof).toBe(`s1.${createHmac('sha256', key).update(sealedText(command)).digest('base64url')}`)
  // What is sealed is what is sent: a value that JSON leaves out is not part of it.
  expect(Object.keys(command.data)).toEqual(['sheetIds', 'faults', 'note'])
})

it('is not made once nobody is signed in', () => {
  holdTapKey({ signInId: 's1', key: key.toString('base64url') })
  holdTapKey(null)
  expect(sealed(tap).proof).toBeUndefined()
})
