import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { Station } from './station.mjs'
import { firstManager, freePort, median, quantile, startServer } from './server.mjs'

/** The bare peer in a process of its own, with as many clients signed in. */
async function startPeer(folder, clients) {
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  const script = fileURLToPath(new URL('./peer.mjs', import.meta.url))
  const child = spawn(process.execPath, [script, join(folder, 'peer.sqlite'), String(port)], { stdio: 'inherit' })
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(url).then(
        () => true,
        () => false,
      )
    )
      break
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  const { cookie } = await new Station(url).post('/session', {})
  const stations = Array.from({ length: clients }, () => new Station(url, { cookie, personId: 'p', browser: 'b' }))
  const row = { layerId: 'layer', kind: 'pull', verdict: 'good', sheetIds: [1], faults: [], note: 'x'.repeat(300) }
  return { act: stations.map((station) => () => station.post('/rows', row)), stop: () => child.kill('SIGKILL') }
}

/** Requests a second while every client sends one after another. */
async function rate(acts, seconds) {
  const times = []
  const began = performance.now()
  await Promise.all(
    acts.map(async (act) => {
      while (performance.now() - began < seconds * 1000) {
        const at = performance.now()
        await act()
        times.push(performance.now() - at)
      }
    }),
  )
  return { rate: times.length / ((performance.now() - began) / 1000), p95: quantile(times, 0.95) }
}

/** Stations on editions of their own, or several to one. */
async function table(first, stations, editions, sheets) {
  const made = []
  for (let i = 0; i < editions; i++) {
    const station = new Station(first.url.origin, first)
    await station.edition(sheets)
    made.push(station)
  }
  const shared = made.map(({ stream, layerId }) => ({ stream, layerId, next: 1 }))
  return Array.from({ length: stations }, (_, i) => {
    const station = new Station(first.url.origin, first)
    return () => station.pullFrom(shared[i % editions], sheets)
  })
}

/** Browsers that only listen. @returns what ends them */
async function listen(url, cookie, count) {
  const leaving = new AbortController()
  const hearing = []
  for (let i = 0; i < count; i++) {
    const { body } = await fetch(`${url}/api/live`, { headers: { cookie }, signal: leaving.signal })
    hearing.push(body.pipeTo(new WritableStream()).catch(() => undefined))
  }
  return async () => {
    leaving.abort()
    await Promise.all(hearing)
  }
}

/**
 * Durable pulls a second over HTTP in three settings, one of them also beside six idle browsers, in turn with the bare peer:
 * machines are noisy, and of rounds taken in turn the ratio tells.
 */
export async function measurePulls(folder, { rounds = 5, seconds = 2, stations = 20, sheets = 3000 } = {}) {
  const server = await startServer(folder)
  const peer = await startPeer(folder, stations)
  const first = new Station(server.url)
  const { cookie, body } = await first.post('/api/setup', firstManager)
  Object.assign(first, { cookie, personId: body.person.id, browser: body.device })
  const settings = {
    small: await table(first, stations, stations, 60),
    large: await table(first, stations, stations, sheets),
    shared: await table(first, 1.5 * stations, stations / 2, sheets / 3),
    beside: await table(first, 1.5 * stations, stations / 2, sheets / 3),
    peer: peer.act,
  }
  const taken = Object.fromEntries(Object.keys(settings).map((name) => [name, []]))
  for (let round = 0; round < rounds; round++)
    for (const [name, acts] of Object.entries(settings)) {
      const leave = name === 'beside' ? await listen(server.url, cookie, 6) : () => {}
      taken[name].push(await rate(acts, seconds))
      await leave()
    }
  await server.stop()
  peer.stop()
  return Object.fromEntries(
    Object.entries(taken).map(([name, all]) => [
      name,
      { rate: median(all.map((one) => one.rate)), p95: median(all.map((one) => one.p95)) },
    ]),
  )
}
