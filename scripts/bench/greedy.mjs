import { firstManager, quantile, startServer } from './server.mjs'
import { Station } from './station.mjs'

/**
 * Pulls while a few read the largest edition over and over: ms from a pull to its answer.
 * @param sheets of the largest edition, five layers of them pulled
 * @param readers readings under way at any time, all of one sign-in
 */
export async function measureGreedy(folder, fillLedger, { sheets = 1000, readers = 6, pulls = 120, rest = 40 } = {}) {
  const [largest] = await fillLedger(folder, 1, sheets, 5)
  const server = await startServer(folder)
  const station = new Station(server.url)
  const { cookie, body } = await station.post('/api/setup', firstManager)
  Object.assign(station, { cookie, personId: body.person.id, browser: body.device })
  await station.edition(pulls)
  const pulling = async () => {
    const took = []
    for (let i = 0; i < pulls / 2; i++) {
      const began = performance.now()
      const answer = await station.post('/api/commands', station.pulling({ ...station, sheet: station.next++ }))
      took.push(performance.now() - began)
      if (answer.status !== 200 || answer.body.disputed) throw new Error(JSON.stringify(answer.body))
      await new Promise((resolve) => setTimeout(resolve, rest))
    }
    return took
  }
  const alone = await pulling()
  let isOver = false
  let read = 0
  const reading = Array.from({ length: readers }, async () => {
    while (!isOver) {
      const answer = await fetch(`${server.url}/api/editions/${largest}`, { headers: { cookie } })
      if (!answer.ok) throw new Error(`A reading was answered ${answer.status}`)
      await answer.arrayBuffer()
      read += 1
    }
  })
  const beside = await pulling()
  isOver = true
  await Promise.all(reading)
  await server.stop()
  return { alone: quantile(alone, 0.95), beside: quantile(beside, 0.95), read }
}
