import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { newFolder } from '../../tests/fixtures/server'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { SignIns } from './sign-ins'

const opened: Connections[] = []
let db: Connections
let now = Date.parse('2026-11-25T10:00:00Z')
const whence = { device: 'tablet', own: false, address: '10.0.0.5', agent: 'a browser' }
const minutes = (count: number) => {
  now += count * 60_000
}
const fresh = () =>
  new SignIns(
    db,
    'a secret of the room',
    () => {},
    () => now,
  )
const again = async () => {
  const signIns = fresh()
  await signIns.load()
  return signIns
}

beforeEach(async () => {
  db = await openConnections(newFolder())
  opened.push(db)
  await migrate(db.writer)
})
afterAll(() => Promise.all(opened.map((one) => one.close())))

describe('a sign-in', () => {
  it('lasts through a restart, for fourteen days', async () => {
    const { id } = await fresh().begin('ansa', whence, null)
    expect((await again()).open(id, 0)).toMatchObject({ personId: 'ansa', device: 'tablet' })
    minutes(14 * 24 * 60 + 1)
    expect((await again()).open(id, 0)).toBeNull()
    expect(fresh().open(undefined, 0)).toBeNull()
  })

  it('of a shared station ends when nobody touched it, unless it is the person’s own', async () => {
    const signIns = fresh()
    const shared = await signIns.begin('ansa', whence, null)
    const own = await signIns.begin('ansa', { ...whence, own: true }, null)
    minutes(29)
    signIns.touch(signIns.open(shared.id, 30)!)
    minutes(29)
    expect(signIns.open(shared.id, 30)).not.toBeNull()
    minutes(31)
    expect([signIns.open(shared.id, 30), signIns.open(own.id, 30)?.id]).toEqual([null, own.id])
    // It does not come back with a longer time.
    expect(signIns.open(shared.id, 0)).toBeNull()
  })

  it('vouches for its own person’s taps at its own device', async () => {
    const signIns = fresh()
    const begun = await signIns.begin('ansa', whence, null)
    const proof = signIns.proofOf(begun)
    expect(signIns.vouches(proof, 'ansa', 'tablet')).toBe(true)
    for (const [given, person, device] of [
      [proof, 'merle', 'tablet'],
      [proof, 'ansa', 'phone'],
      [`${begun.id}.`, 'ansa', 'tablet'],
      [begun.id, 'ansa', 'tablet'],
      ['', 'ansa', 'tablet'],
      [proof.slice(0, -1) + (proof.endsWith('A') ? 'B' : 'A'), 'ansa', 'tablet'],
    ] as const)
      expect(signIns.vouches(given, person, device), given).toBe(false)
    expect(new SignIns(db, 'another secret').vouches(proof, 'ansa', 'tablet')).toBe(false)
  })

  it('that another took over still vouches; one that was ended does not, also after a restart', async () => {
    const signIns = fresh()
    const ansa = await signIns.begin('ansa', whence, null)
    const merle = await signIns.begin('merle', whence, ansa)
    expect([signIns.open(ansa.id, 0), signIns.open(merle.id, 0)?.personId]).toEqual([null, 'merle'])
    expect(signIns.vouches(signIns.proofOf(ansa), 'ansa', 'tablet')).toBe(true)
    signIns.touch(merle)
    expect(await signIns.end(merle.id)).toBe(true)
    signIns.touch(merle)
    expect(await signIns.end('none')).toBe(false)
    for (const one of [signIns, await again()]) {
      expect(one.open(merle.id, 0)).toBeNull()
      expect(one.vouches(signIns.proofOf(merle), 'merle', 'tablet')).toBe(false)
      expect(one.vouches(signIns.proofOf(ansa), 'ansa', 'tablet')).toBe(true)
    }
  })

  it('is in the list while it is open, and makes its device known to its person', async () => {
    const signIns = fresh()
    const here = await signIns.begin('ansa', whence, null)
    minutes(1)
    const there = await signIns.begin('merle', { ...whence, device: 'phone' }, null)
    expect(signIns.list(here).map(({ id, isHere }) => [id, isHere])).toEqual([
      [there.id, false],
      [here.id, true],
    ])
    await signIns.end(there.id)
    expect(signIns.list(here)).toHaveLength(1)
    expect(signIns.knows('merle', 'phone')).toBe(true)
    expect(signIns.knows('merle', 'tablet')).toBe(false)
  })
})
