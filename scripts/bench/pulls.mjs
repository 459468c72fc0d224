import { Agent, request } from 'node:http'
import { join } from 'node:path'
import sqlite3 from 'sqlite3'
import { v7 } from 'uuid'
import { laid, plan, torn } from './requests.mjs'
import { median, quantile, startServer } from './server.mjs'

const clients = 20
const rounds = 5
const seconds = 2

/** One station: its own connection, a session, one pull after another. */
class Station {
  constructor(url, cookie, personId) {
    Object.assign(this, {
      url: new URL(url),
      cookie,
      personId,
      agent: new Agent({ keepAlive: true, maxSockets: 1 }),
      next: 1,
    })
  }

  post(path, body) {
    const text = JSON.stringify(body)
    return new Promise((resolve, reject) => {
      const sent = request(
        {
          hostname: this.url.hostname,
          port: this.url.port,
          path,
          method: 'POST',
          agent: this.agent,
          headers: {
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(text),
            ...(this.cookie && { cookie: this.cookie }),
          },
        },
        (answer) => {
          let said = ''
          answer.on('data', (chunk) => {
            said += chunk
          })
          answer.on('end', () =>
            resolve({
              status: answer.statusCode,
              body: JSON.parse(said),
              cookie: answer.headers['set-cookie']?.[0]?.split(';')[0],
            }),
          )
        },
      )
      sent.on('error', reject)
      sent.end(text)
    })
  }

  give(stream, type, data) {
    return this.post('/api/commands', {
      commandId: v7(),
      device: 'bench',
      by: this.personId,
      occurredAt: new Date().toISOString(),
      type,
      stream,
      data,
    })
  }

  async edition(sheets) {
    const [id, lotId] = [v7(), v7()]
    await this.give(`lot:${lotId}`, 'add-lot', laid)
    const started = await this.give(`edition:${id}`, 'start-edition', { title: `Bench ${id.slice(-4)}`, plan })
    await this.give(`edition:${id}`, 'tear', torn(lotId, sheets))
    Object.assign(this, { stream: `edition:${id}`, next: 1, sheets })
    const state = await fetch(`${this.url.origin}/api/editions/${id}`, { headers: { cookie: this.cookie } }).then(
      (answer) => answer.json(),
    )
    this.layerId = state.state.layers[0].id
    return started
  }

  async pull() {
    if (this.next > this.sheets) await this.edition(60)
    const { status, body } = await this.give(this.stream, 'pull', {
      layerId: this.layerId,
      kind: 'pull',
      proofKind: null,
      verdict: 'good',
      sheetIds: [this.next++],
      faults: [],
      rescued: null,
      wetOnWet: false,
      setupSeq: 0,
      batchIds: [],
    })
    if (status !== 200 || body.disputed) throw new Error(JSON.stringify(body))
  }
}

/** Durable commits a second of the bare driver, one row each, on the same file system. */
async function bareCommits(folder, round) {
  const db = await new Promise((resolve, reject) => {
    const opened = new sqlite3.Database(join(folder, `bare-${round}.sqlite`), (error) =>
      error ? reject(error) : resolve(opened),
    )
  })
  const run = (sql, bind = []) =>
    new Promise((resolve, reject) => db.run(sql, bind, (error) => (error ? reject(error) : resolve())))
  for (const sql of [
    'PRAGMA journal_mode = WAL',
    'PRAGMA synchronous = FULL',
    'CREATE TABLE pulls (id INTEGER PRIMARY KEY, data TEXT)',
  ])
    await run(sql)
  const data = 'x'.repeat(400)
  const began = performance.now()
  let done = 0
  while (performance.now() - began < seconds * 500) {
    await run('INSERT INTO pulls (data) VALUES (?)', [data])
    done += 1
  }
  const rate = done / ((performance.now() - began) / 1000)
  await new Promise((resolve) => db.close(resolve))
  return rate
}

/** Pulls a second over HTTP with 20 stations at once, interleaved with the bare driver. */
export async function measurePulls(folder) {
  const server = await startServer(folder)
  const first = new Station(server.url)
  const { cookie, body } = await first.post('/api/setup', {
    studio: 'Bench',
    name: 'Bench',
    secret: 'bench',
    line: 'number-signature',
    currency: '€',
  })
  const stations = Array.from({ length: clients }, () => new Station(server.url, cookie, body.person.id))
  await Promise.all(stations.map((station) => station.edition(60)))
  const rates = []
  const p95s = []
  const bare = []
  for (let round = 0; round < rounds; round++) {
    bare.push(await bareCommits(folder, round))
    const times = []
    const began = performance.now()
    await Promise.all(
      stations.map(async (station) => {
        while (performance.now() - began < seconds * 1000) {
          const at = performance.now()
          await station.pull()
          times.push(performance.now() - at)
        }
      }),
    )
    rates.push(times.length / ((performance.now() - began) / 1000))
    p95s.push(quantile(times, 0.95))
  }
  await server.stop()
  return { rate: median(rates), p95: median(p95s), bare: median(bare) }
}
