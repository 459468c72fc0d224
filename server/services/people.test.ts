import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { newFolder } from '../../tests/fixtures/server'
import { studioDefaults, type StudioSettings, type StudioState } from '#core/stores/studio/state'
import { type Connections, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { Ledger } from './ledger'
import { People, type Person } from './people'
import { SignIns } from './sign-ins'

const opened: Connections[] = []
let ledger: Ledger
let people: People
let signIns: SignIns
let manager: Person

const settings: StudioSettings = {
  ...studioDefaults,
  name: 'Rope Works',
  line: 'number-title-signature',
  destroyedNumber: 'retired',
  currency: '€',
}
const whence = { device: 'tablet', own: false, address: '10.0.0.5', agent: 'a browser' }

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
  signIns = new SignIns(db, 'a secret of the room')
  people = new People(db, ledger, signIns)
  await people.load()
  expect(people.isEmpty).toBe(true)
  manager = known(await people.setUp('Ansa Quill', 'net loft', settings))
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
    expect(people.get(manager.id)).toMatchObject({ role: 'manager', active: true })
    expect(people.all()).toHaveLength(2)
  })

  it('are set up once, however many try at once', async () => {
    const tries = await Promise.all(
      ['Oona Vell', 'Merle Tarn', 'Sorrel Wick'].map((name) => people.setUp(name, '2580', settings)),
    )
    expect(tries).toMatchObject(Array.from({ length: 3 }, () => ({ refusal: { code: 'set-up-already' } })))
    expect(people.all()).toHaveLength(1)
  })

  it('that are added at once do not share a name', async () => {
    const both = await Promise.all([1, 2].map(() => people.add('Merle Tarn', 'member', '2580', asManager())))
    expect(both.filter((one) => 'person' in one)).toHaveLength(1)
  })

  it('lose their sign-ins with a new role or when they leave, and keep them with a new name', async () => {
    const merle = known(await people.add('Merle Tarn', 'member', '2580', asManager()))
    const change = (more: object) =>
      people.change(merle.id, { name: 'Merle Tarn', role: 'member' as const, active: true, ...more }, asManager())
    let { id } = await signIns.begin(merle.id, whence, null)
    const isIn = () => signIns.open(id, 0) !== null
    await change({ name: 'Merle T.' })
    expect(isIn()).toBe(true)
    await change({ role: 'instructor' })
    expect(isIn()).toBe(false)
    id = (await signIns.begin(merle.id, whence, null)).id
    await change({ role: 'instructor', active: false })
    expect(isIn()).toBe(false)
  })

  it('set their own secret, and staff set another’s anew, which ends every other sign-in', async () => {
    const [merle, oona, ivo] = await Promise.all(
      (['member', 'instructor', 'student'] as const).map(async (role, i) =>
        known(await people.add(`Printer ${i}`, role, '2580', asManager())),
      ),
    )
    expect(merle!.mustChange).toBe(true)
    const [here, elsewhere] = [
      await signIns.begin(merle!.id, whence, null),
      await signIns.begin(merle!.id, whence, null),
    ]
    expect(known(await people.setSecret(merle!.id, 'tide 42', merle!, here)).mustChange).toBe(false)
    expect([signIns.open(here.id, 0)?.id, signIns.open(elsewhere.id, 0)]).toEqual([here.id, null])
    const byOona = await signIns.begin(oona!.id, whence, null)
    expect(known(await people.setSecret(ivo!.id, 'fresh', oona!, byOona)).mustChange).toBe(true)
    expect(await people.setSecret(manager.id, 'fresh', oona!, byOona)).toMatchObject({
      refusal: { code: 'not-allowed' },
    })
    expect(await people.setSecret(ivo!.id, 'fresh', merle!, here)).toMatchObject({ refusal: { code: 'not-allowed' } })
    expect(known(await people.setSecret(merle!.id, 'fresh', oona!, byOona)).mustChange).toBe(true)
    expect(signIns.open(here.id, 0)).toBeNull()
  })
})

describe('signing in', () => {
  const attempt = (personId: string, knownDevice: string | null = null) => ({
    personId,
    address: '10.0.0.9',
    knownDevice,
  })

  it('asks for the secret, tries one of many at once, and asks for patience', async () => {
    expect(await people.recognise('net loft', attempt(manager.id))).toMatchObject({ person: { id: manager.id } })
    expect(await people.recognise('net loft', attempt('nobody'))).toMatchObject({ refusal: { code: 'wrong-secret' } })
    const many = await Promise.all(
      Array.from({ length: 100 }, (_, i) => people.recognise(`guess ${i}`, attempt(manager.id))),
    )
    const said = many.map((one) => ('refusal' in one ? one.refusal.code : 'in'))
    expect(said.filter((code) => code === 'wrong-secret')).toHaveLength(1)
    expect(said.filter((code) => code === 'wait')).toHaveLength(99)
    for (let i = 0; i < 4; i++) await people.recognise('wrong', attempt(manager.id))
    expect(await people.recognise('net loft', attempt(manager.id))).toMatchObject({ refusal: { code: 'wait' } })
    expect(await people.recognise('net loft', attempt(manager.id, 'tablet'))).toHaveProperty('person')
  })

  it('tells nothing of how a secret is kept', async () => {
    const found = await people.recognise('net loft', attempt(manager.id))
    expect(JSON.stringify([found, people.get(manager.id), people.all()])).not.toMatch(/secret|"[\w-]{22}\.[\w-]{43}/)
  })

  it('is closed to who has left', async () => {
    const merle = known(await people.add('Merle Tarn', 'member', '2580', asManager()))
    await people.change(merle.id, { name: 'Merle Tarn', role: 'member', active: false }, asManager())
    expect(await people.recognise('2580', attempt(merle.id))).toMatchObject({ refusal: { code: 'wrong-secret' } })
  })
})
