import { Station } from './station.mjs'
import { firstManager, quantile, startServer } from './server.mjs'

/** A class and its neighbours, all pulling at once. */
const stations = 30
const sheets = 1000
/** Between two pulls of one station, ms: quicker than any hand. */
const rest = 250

/**
 * Thirty stations on ten editions pull for a while: how long a pull takes until it is stored, and whether the ledger holds each
 * acknowledged one once and no other.
 */
export async function measureMinute(folder, seconds = 60) {
  const server = await startServer(folder)
  const first = new Station(server.url)
  const { cookie, body } = await first.post('/api/setup', firstManager)
  Object.assign(first, { cookie, personId: body.person.id, browser: body.device })
  const editions = []
  for (let i = 0; i < stations / 3; i++) {
    const owner = new Station(server.url, first)
    await owner.edition(sheets)
    editions.push({ stream: owner.stream, layerId: owner.layerId, next: 1, acknowledged: new Set() })
  }
  const times = []
  const until = Date.now() + seconds * 1000
  await Promise.all(
    Array.from({ length: stations }, async (_, i) => {
      const station = new Station(server.url, first)
      const edition = editions[i % editions.length]
      while (Date.now() < until && edition.next <= sheets) {
        const command = station.pulling({ ...edition, sheet: edition.next++ })
        const began = performance.now()
        const { status, body: answer } = await station.post('/api/commands', command)
        times.push(performance.now() - began)
        if (status === 200 && !answer.disputed) edition.acknowledged.add(command.commandId)
        await new Promise((done) => setTimeout(done, rest))
      }
    }),
  )
  let lost = 0
  let more = 0
  for (const { stream, acknowledged } of editions) {
    const id = stream.slice('edition:'.length)
    const reply = await fetch(`${server.url}/api/editions/${id}`, { headers: { cookie } })
    const { state } = await reply.json()
    const stored = new Set(state.pulls.map(({ pullId }) => pullId))
    lost += [...acknowledged].filter((pullId) => !stored.has(pullId)).length
    more += state.pulls.length - acknowledged.size
  }
  await server.stop()
  return { pulls: times.length, p95: quantile(times, 0.95), lost, more }
}
