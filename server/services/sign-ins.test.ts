import { createHmac } from 'node:crypto'
import { v7 } from 'uuid'
import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { sealedText } from '#shared/commands/sealed'
import { newFolder } from '../../tests/fixtures/server'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import type { SignIn } from '../database/tables'
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

/** A tap as the page of a sign-in puts it by. */
function sealedBy(signIns: SignIns, signIn: SignIn) {
  const command = {
    commandId: v7(),
    device: `${signIn.device}~tab`,
    by: signIn.personId,
    occurredAt: '2026-11-25T10:00:00.000Z',
    type: 'pull',
    stream: 'edition:e1',
    data: { sheetIds: [1] },
  }
  const { signInId, key } = signIns.tapKeyOf(signIn)
  const seal = createHmac('sha256', Buffer.from(key, 'base64url')).update(sealedText(command)).digest('base64url')
  return { ...command, proof: `${signInId}.${seal}` }
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

  it('vouches for its own person’s taps at its own device: for each as it was given, and for no other', async () => {
    const signIns = fresh()
    const begun = await signIns.begin('ansa', whence, null)
    const tap = sealedBy(signIns, begun)
    expect(signIns.vouching(tap, 'tablet')?.id).toBe(begun.id)
    const seal = tap.proof.split('.')[1]!
    for (const [changed, device] of [
      [{ by: 'merle' }, 'tablet'],
      [{}, 'phone'],
      [{ commandId: v7() }, 'tablet'],
      [{ type: 'void-pull' }, 'tablet'],
      [{ stream: 'edition:e2' }, 'tablet'],
      [{ data: { sheetIds: [2] } }, 'tablet'],
      [{ occurredAt: '2026-11-02T09:00:00.001Z' }, 'tablet'],
      [{ device: 'tablet~other' }, 'tablet'],
      [{ expectedSeq: 1 }, 'tablet'],
      [{ proof: undefined }, 'tablet'],
      [{ proof: '' }, 'tablet'],
      [{ proof: begun.id }, 'tablet'],
      [{ proof: `${begun.id}.` }, 'tablet'],
      [{ proof: `${begun.id}.${seal.startsWith('A') ? 'B' : 'A'}${seal.slice(1)}` }, 'tablet'],
      [{ proof: `${v7()}.${seal}` }, 'tablet'],
    ] as const)
      expect(signIns.vouching({ ...tap, ...changed }, device), JSON.stringify(changed)).toBeNull()
    expect(new SignIns(db, 'another secret').vouching(tap, 'tablet')).toBeNull()
  })

  it('that was left vouches for a day, and is listed as long', async () => {
    const signIns = fresh()
    const ansa = await signIns.begin('ansa', whence, null)
    const tap = sealedBy(signIns, ansa)
    const merle = await signIns.begin('merle', whence, ansa)
    const listed = () => signIns.list(merle).map(({ personId, isOpen }) => [personId, isOpen])
    expect(listed()).toEqual(
      expect.arrayContaining([
        ['ansa', false],
        ['merle', true],
      ]),
    )
    minutes(23 * 60)
    expect(signIns.vouching(tap, 'tablet')?.id).toBe(ansa.id)
    minutes(61)
    expect(signIns.vouching(tap, 'tablet')).toBeNull()
    expect(listed()).toEqual([['merle', true]])
  })

  it('that another took over still vouches; one that was ended does not, also after a restart', async () => {
    const signIns = fresh()
    const ansa = await signIns.begin('ansa', whence, null)
    const merle = await signIns.begin('merle', whence, ansa)
    expect([signIns.open(ansa.id, 0), signIns.open(merle.id, 0)?.personId]).toEqual([null, 'merle'])
    expect(signIns.vouching(sealedBy(signIns, ansa), 'tablet')).not.toBeNull()
    signIns.touch(merle)
    expect(await signIns.end(merle.id)).toBe(true)
    signIns.touch(merle)
    expect(await signIns.end('none')).toBe(false)
    for (const one of [signIns, await again()]) {
      expect(one.open(merle.id, 0)).toBeNull()
      expect(one.vouching(sealedBy(signIns, merle), 'tablet')).toBeNull()
      expect(one.vouching(sealedBy(signIns, ansa), 'tablet')).not.toBeNull()
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
