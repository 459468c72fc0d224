import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Client } from '../fixtures/client'
import { dice, hostile, send } from '../fixtures/hostile'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

describe('hostile requests', () => {
  it('are all answered, none by a stumble, and store nothing', async () => {
    const before = await client.check()
    const random = dice(20_261_125)
    const bad: unknown[] = []
    for (let round = 0; round < 40; round++) {
      const many = Array.from({ length: 25 }, () => hostile(random, server.url))
      const statuses = await Promise.all(many.map((one, i) => send(server.url, one, i % 2 ? client.cookie : '')))
      statuses.forEach((status, i) => {
        const { method, path, headers, body } = many[i]!
        if (status === 0 || status >= 500) bad.push([status, method, path, headers, String(body).slice(0, 150)])
      })
    }
    expect(bad).toEqual([])
    expect(await client.check()).toEqual({ events: before.events, breaks: [] })
    expect((await client.send('GET', '/api/floor')).status).toBe(200)
    expect(server.log()).not.toMatch(/\p{Cc}\[|SELECT |INSERT /u)
  }, 120_000)

  it.each([
    ['an origin of another site', { origin: 'http://elsewhere.example' }],
    ['an origin that is none', { origin: 'http://[' }],
    ['no origin at all', { origin: '' }],
    ['a name that is not ours', { host: 'evil.example' }],
  ])('with %s change nothing', async (_, headers) => {
    const body = JSON.stringify({ name: 'X', role: 'member', secret: '1234' })
    const asked = { method: 'POST', path: '/api/people', body }
    const given = { 'content-type': 'application/json', origin: server.url, ...headers }
    expect(await send(server.url, { ...asked, headers: given }, client.cookie)).toBe(403)
  })

  it('in a kind of body that a form of another site could send are refused', async () => {
    const headers = { 'content-type': 'text/plain', origin: server.url }
    expect(await send(server.url, { method: 'POST', path: '/api/people', headers, body: '{}' }, client.cookie)).toBe(
      415,
    )
  })

  it('for an address that is none get a plain answer', async () => {
    expect(await client.send('GET', '/api/nowhere')).toMatchObject({ status: 404, body: { code: 'http-404' } })
    const page = await fetch(`${server.url}/`)
    expect(page.headers.get('x-powered-by')).toBeNull()
    for (const path of ['/', '/mark.svg', '/sw.js'])
      expect((await fetch(`${server.url}${path}`)).headers.get('x-content-type-options'), path).toBe('nosniff')
  })
})
