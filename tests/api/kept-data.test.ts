import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { EditionReply } from '#shared/replies/replies'
import { readStores } from '../fixtures/stores'
import { Client } from '../fixtures/client'
import { foldedThen, keptFolder, keptPrograms } from '../fixtures/kept-data'
import { Server } from '../fixtures/server'

describe.each(keptPrograms)('a data folder of an earlier program: %s', (program) => {
  const then = foldedThen(program)
  let server: Server
  let client: Client

  beforeAll(async () => {
    // A demo on this machine signs its manager in, whose PIN the folder's people were given long ago.
    server = await Server.start({ folder: keptFolder(program), demo: true })
    client = new Client(server.url)
    await client.send('GET', '/api/session')
  })

  afterAll(() => server.stop())

  it('folds to the same editions', async () => {
    for (const [id, state] of Object.entries(then.editions)) {
      const { body } = await client.send<EditionReply>('GET', `/api/editions/${id}`)
      expect(body.state, state.title).toMatchObject(state)
    }
  })

  it('holds the same paper, ink and presses', async () => {
    const stores = await readStores(async (path) => (await client.send('GET', path)).body)
    for (const kind of ['lots', 'batches', 'tubs', 'presses'] as const) {
      const byId = new Map(stores[kind].map((one) => [one.id, one as object]))
      for (const one of then.stores[kind]) expect(byId.get(one.id)).toMatchObject(one)
    }
  })

  it('is whole: each event follows from the one before', async () => {
    expect(await client.check()).toEqual({ events: then.events, breaks: [] })
  })
})
