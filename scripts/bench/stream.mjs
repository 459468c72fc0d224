import { Station } from './station.mjs'
import { firstManager, startServer } from './server.mjs'

const stations = 30
const sheets = 400
/** Between two pulls of one station, ms. */
const rest = 1_000

/** What a student's page hears while everybody else pulls: pulls, and bytes of its live stream in a minute. */
export async function measureStream(folder, seconds = 20) {
  const server = await startServer(folder)
  const first = new Station(server.url)
  const { cookie, body } = await first.post('/api/setup', firstManager)
  Object.assign(first, { cookie, personId: body.person.id, browser: body.device })
  const editions = []
  for (let i = 0; i < stations / 3; i++) {
    const owner = new Station(server.url, first)
    await owner.edition(sheets)
    editions.push({ stream: owner.stream, layerId: owner.layerId, next: 1 })
  }
  const student = await studentOf(first, server.url)
  const leaving = new AbortController()
  const answer = await fetch(`${server.url}/api/live`, { headers: { cookie: student }, signal: leaving.signal })
  let bytes = 0
  const hearing = (async () => {
    for await (const chunk of answer.body) bytes += chunk.length
  })().catch(() => undefined)
  let pulls = 0
  const began = Date.now()
  await Promise.all(
    Array.from({ length: stations }, async (_, i) => {
      const station = new Station(server.url, first)
      const edition = editions[i % editions.length]
      while (Date.now() - began < seconds * 1000 && edition.next <= sheets) {
        await station.post('/api/commands', station.pulling({ ...edition, sheet: edition.next++ }))
        pulls += 1
        await new Promise((done) => setTimeout(done, rest))
      }
    }),
  )
  const minutes = (Date.now() - began) / 60_000
  leaving.abort()
  await hearing
  await server.stop()
  return { pulls: pulls / minutes, bytes: bytes / minutes, each: bytes / pulls }
}

/** Somebody new, signed in with a secret of their own. @returns their cookie */
async function studentOf(manager, url) {
  const { body } = await manager.post('/api/people', { name: 'Student', role: 'student', secret: 'first' })
  const personId = body.people.find(({ name }) => name === 'Student').id
  const student = new Station(url)
  const { cookie } = await student.post('/api/session', { personId, secret: 'first', own: false })
  const changed = await fetch(`${url}/api/people/${personId}/secret`, {
    method: 'PUT',
    headers: { cookie, origin: url, 'content-type': 'application/json' },
    body: JSON.stringify({ before: 'first', secret: 'kettle' }),
  })
  if (!changed.ok) throw new Error(await changed.text())
  return cookie
}
