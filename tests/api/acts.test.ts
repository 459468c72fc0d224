import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { actOf } from '#core/house/acts'
import { singleStreams } from '#core/house/streams'
import { Client } from '../fixtures/client'
import { samples } from '../fixtures/requests'
import { Server } from '../fixtures/server'

let server: Server
let client: Client

beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

/** A stream of the kind an act is done to, of which nothing is known. */
const fresh = (type: string) => {
  const { kind } = actOf.get(type)!.stream
  return singleStreams.includes(kind) ? kind : `${kind}:${v7()}`
}

describe.each(Object.entries(samples))('%s over the wire', (type, sample) => {
  it('is refused with any key left out, and nothing is stored', async () => {
    for (const key of Object.keys(sample)) {
      const less = Object.fromEntries(Object.entries(sample).filter(([other]) => other !== key))
      const { status, body } = await client.give(fresh(type), type, less)
      expect([key, status, body.code]).toEqual([key, 400, 'invalid'])
      expect(body.message).toContain('Nothing was changed')
    }
  })

  it('is stored or plainly refused, on what is not there and out of the blue', async () => {
    await client.sure()
    const { status, body } = await client.give(fresh(type), type, sample, { expectedSeq: 0 })
    expect([200, 404, 409, 422]).toContain(status)
    if (status !== 200) expect(body.message).toMatch(/\w+[.!]$/)
  })

  it('is not done to a stream of another kind', async () => {
    const { kind } = actOf.get(type)!.stream
    const other = kind === 'lot' ? `tub:${v7()}` : `lot:${v7()}`
    expect((await client.give(other, type, sample)).body).toMatchObject({
      code: 'invalid',
      message: expect.stringContaining('Reload the page'),
    })
  })
})

describe('what no browser may send', () => {
  it.each(['add-person', 'change-person', 'smash-press', 'constructor', '__proto__'])('%s is refused', async (type) => {
    const { status, body } = await client.give('studio', type, { personId: 'p', role: 'manager', active: true })
    expect([status, body.code]).toEqual([400, 'invalid'])
  })

  it('leaves the list of people and the ledger whole', async () => {
    expect((await client.send<{ people: object[] }>('GET', '/api/people')).body.people).toHaveLength(1)
    expect((await client.check()).breaks).toEqual([])
  })
})

describe('a long reply', () => {
  it('is compressed for who takes that, and whole for who does not', async () => {
    const { id } = await client.edition(300)
    const ask = (encoding: string) =>
      fetch(`${server.url}/api/editions/${id}`, { headers: { cookie: client.cookie, 'accept-encoding': encoding } })
    const [squeezed, plain] = [await ask('gzip'), await ask('identity')]
    expect(squeezed.headers.get('content-encoding')).toBe('gzip')
    expect(plain.headers.get('content-encoding')).toBeNull()
    expect(await squeezed.json()).toEqual(await plain.json())
  })
})
