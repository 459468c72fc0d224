import { afterAll, beforeAll, expect, it } from 'vitest'
import { newFolder } from '../fixtures/server'

/** What the bench measures with, once in small: it must still speak the language of the server when it is wanted. */
let fillLedger: (folder: string, editions: number, sheets: number, layers: number) => Promise<string[]>
let stop = async () => {}

beforeAll(async () => {
  ;({ fillLedger } = (await import('../../scripts/bench/ledger.mjs')) as never)
})
afterAll(() => stop())

interface Began {
  post: (path: string, body: object) => Promise<{ cookie: string; body: { person: { id: string }; device: string } }>
}

it('fills a class, whose students pull', async () => {
  const { startServer, firstManager } = (await import('../../scripts/bench/server.mjs')) as never as {
    startServer: (folder: string) => Promise<{ url: string; stop: () => Promise<void> }>
    firstManager: object
  }
  const { Station } = (await import('../../scripts/bench/station.mjs')) as never as {
    Station: new (url: string) => Began
  }
  const { fillClass } = (await import('../../scripts/bench/class.mjs')) as never as {
    fillClass: (station: Began, students: number) => Promise<{ benches: { next: number }[] }>
  }
  const server = await startServer(newFolder())
  stop = server.stop
  const station = new Station(server.url)
  const { cookie, body } = await station.post('/api/setup', firstManager)
  Object.assign(station, { cookie, personId: body.person.id, browser: body.device })
  const { benches } = await fillClass(station, 2)
  expect(benches.map(({ next }) => next)).toEqual([11, 11])
})

it('fills a ledger, reads from it greedily and pulls beside', async () => {
  const { measureGreedy } = (await import('../../scripts/bench/greedy.mjs')) as never as {
    measureGreedy: (...given: unknown[]) => Promise<{ alone: number; beside: number; read: number }>
  }
  const small = { sheets: 40, readers: 3, pulls: 12, rest: 5 }
  const { beside, read } = await measureGreedy(newFolder(), fillLedger, small)
  expect(read).toBeGreaterThan(3)
  expect(beside).toBeLessThan(5_000)
})
