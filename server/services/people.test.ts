import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { newFolder } from '../../tests/fixtures/server'
import type { StudioState } from '#core/stores/studio/state'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { Ledger } from './ledger'
import { People, type Person } from './people'

const opened: Connections[] = []
let ledger: Ledger
let people: People
let manager: Person

const known = (result: Awaited<ReturnType<People['add']>>) => {
  if ('refusal' in result) throw new Error(result.refusal.message)
  return result.person
}
const asManager = () => ({ id: manager.id, role: manager.role })

beforeEach(async () => {
  const db = await openConnections(newFolder())
  opened.push(db)
  await migrate(db.writer)
  ledger = new Ledger(db, () => {})
  await ledger.open()
  people = new People(db, ledger)
  await people.load()
  expect(people.isEmpty).toBe(true)
  manager = known(await people.add('Ansa Quill', 'manager', 'net loft', null))
})
afterAll(() => Promise.all(opened.map((db) => db.close())))

describe('people', () => {
  it('are in the ledger by id and role, and in the list by name', async () => {
    const merle = known(await people.add(' Merle Tarn ', 'member', '2580', asManager()))
    expect(people.all().map(({ name, role }) => [name, role])).toEqual([
      ['Ansa Quill', 'manager'],
      ['Merle Tarn', 'member'],
    ])
    const studio = await ledger.read<StudioState>('studio')
    expect(studio.people[merle.id]).toEqual({ role: 'member', active: true })
    expect(JSON.stringify(studio)).not.toContain('Merle')
    expect(JSON.stringify(people.all())).not.toContain('secret')
  })

  it('are never nobody while one is added or changed', async () => {
    const seen: boolean[] = []
    const watch = setInterval(() => seen.push(people.isEmpty || people.get(manager.id) === undefined), 0)
    for (let i = 0; i < 8; i++) await people.add(`Printer ${i}`, 'member', '2580', asManager())
    await people.change(manager.id, { name: 'Ansa Q.', role: 'manager', active: true }, asManager())
    clearInterval(watch)
    expect(seen.length).toBeGreaterThan(5)
    expect(seen).not.toContain(true)
  })

  it('do not share a name, whatever its letters', async () => {
    expect(await people.add('ANSA quill', 'member', '2580', asManager())).toMatchObject({
      refusal: { code: 'name-taken', field: 'name' },
    })
  })

  it('are added and changed by a manager alone, and the last manager stays', async () => {
    const merle = known(await people.add('Merle Tarn', 'member', '2580', asManager()))
    const asMember = { id: merle.id, role: merle.role }
    expect(await people.add('Oona Vell', 'member', '2580', asMember)).toMatchObject({
      refusal: { code: 'not-allowed' },
    })
    expect(
      await people.change(manager.id, { name: 'Ansa Quill', role: 'member', active: true }, asManager()),
    ).toMatchObject({
      refusal: { code: 'last-manager' },
    })
    expect(people.get(manager.id)).toMatchObject({ role: 'manager', sessionVersion: 1 })
    expect(people.all()).toHaveLength(2)
  })

  it('lose their sessions with a new role or secret, and keep them with a new name', async () => {
    const merle = known(await people.add('Merle Tarn', 'member', '2580', asManager()))
    const change = (more: object) =>
      people.change(merle.id, { name: 'Merle Tarn', role: 'member' as const, active: true, ...more }, asManager())
    expect(known(await change({ name: 'Merle T.' })).sessionVersion).toBe(1)
    expect(known(await change({ role: 'instructor' })).sessionVersion).toBe(2)
    expect(known(await change({ role: 'instructor', secret: 'another' })).sessionVersion).toBe(3)
    expect(known(await change({ role: 'instructor', active: false })).sessionVersion).toBe(4)
  })
})

describe('signing in', () => {
  it('asks for the secret, and for patience after wrong ones', async () => {
    expect(await people.signIn(manager.id, 'net loft', 0)).toMatchObject({ person: { id: manager.id } })
    expect(await people.signIn('nobody', 'net loft', 0)).toMatchObject({ refusal: { code: 'wrong-secret' } })
    const said: string[] = []
    for (let i = 0; i < 12; i++) {
      const result = await people.signIn(manager.id, 'wrong', i)
      said.push('refusal' in result ? result.refusal.code : 'in')
    }
    expect(said[0]).toBe('wrong-secret')
    expect(said.at(-1)).toBe('wait')
    expect(await people.signIn(manager.id, 'net loft', 20)).toMatchObject({ refusal: { code: 'wait' } })
    expect(await people.signIn(manager.id, 'net loft', 3_600_000)).toMatchObject({ person: { id: manager.id } })
  })

  it('is closed to who has left', async () => {
    const merle = known(await people.add('Merle Tarn', 'member', '2580', asManager()))
    await people.change(merle.id, { name: 'Merle Tarn', role: 'member', active: false }, asManager())
    expect(await people.signIn(merle.id, '2580', 0)).toMatchObject({ refusal: { code: 'wrong-secret' } })
  })
})
