import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { firstManager, startServer } from './bench/server.mjs'
import { Station } from './bench/station.mjs'
import { ensureBuild, ensurePackages, freshFolder, root } from './ready.mjs'

// Kill the server again and again while stations pull, also while it starts: `npm run kill-test`, or `-- 30` for fewer.
// Ends with another code than 0 when anything acknowledged is lost, or anything is there twice.

ensurePackages()
ensureBuild()
const kills = Number(process.argv[2] ?? 300)
const folder = freshFolder(join(root, '.cache/kill-test'))
let server = await startServer(folder)
const owner = new Station(server.url)
const { cookie, body } = await owner.post('/api/setup', firstManager)
Object.assign(owner, { cookie, personId: body.person.id, browser: body.device })
const sheets = 2_000
/** Editions pulled from, the newest last. */
const editions = []
const begin = async () => {
  await owner.edition(sheets)
  editions.push({ stream: owner.stream, layerId: owner.layerId, next: 1 })
}
await begin()
let commands = 0
let duringStart = 0
const acknowledged = new Set()
/** Sent and not answered: to be sent again with the same id, as a browser's outbox does. */
const waiting = new Map()

async function send(station, id, command) {
  const answer = await station.post('/api/commands', command)
  commands += 1
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body))
  acknowledged.add(id)
  waiting.delete(id)
}

async function pull(isRunning) {
  const station = new Station(server.url, { cookie, personId: owner.personId, browser: owner.browser })
  const edition = editions.at(-1)
  while (isRunning()) {
    const [known] = [...waiting].filter(([, { taken }]) => !taken)
    if (!known && edition.next > sheets) return
    const command = known ? known[1].command : station.pulling({ ...edition, sheet: edition.next++ })
    const id = command.commandId
    waiting.set(id, { command, taken: true })
    try {
      await send(station, id, command)
    } catch {
      waiting.set(id, { command, taken: false })
      return
    }
  }
}

for (let kill = 0; kill < kills; kill++) {
  let running = true
  const stations = Array.from({ length: 8 }, () => pull(() => running))
  // Often at once, now and then in full swing.
  await new Promise((done) => setTimeout(done, 20 + Math.random() ** 2 * 1_500))
  server.kill()
  running = false
  await Promise.all(stations)
  if (kill % 4 === 3) {
    // Killed again before it is ready.
    const starting = await startServer(folder, false, Math.random() * 400)
    starting?.kill()
    duringStart += 1
  }
  server = await startServer(folder)
  owner.url = new URL(server.url)
  if (editions.at(-1).next > sheets) await begin()
}
await pull(() => waiting.size > 0)

const pulls = []
for (const { stream } of editions) {
  const answer = await fetch(`${server.url}/api/editions/${stream.split(':')[1]}`, { headers: { cookie } })
  pulls.push(...(await answer.json()).state.pulls)
}
const ids = pulls.map((one) => one.pullId)
const there = new Set(ids)
const lost = [...acknowledged].filter((id) => !there.has(id)).length
const doubled = ids.length - there.size
const disputed = pulls.filter((one) => one.disputed).length
await new Station(server.url, { cookie }).post('/api/ledger-check', {})
let check
do {
  await new Promise((done) => setTimeout(done, 200))
  check = await fetch(`${server.url}/api/ledger-check`, { headers: { cookie } }).then((answer) => answer.json())
} while (check.isRunning)
await server.stop()

console.info(`${new Date().toISOString().slice(0, 10)}, ${availableParallelism()} cores`)
console.table([
  { what: 'kills, of which during a start', measured: `${kills}, ${duringStart}`, wanted: '' },
  { what: 'commands sent', measured: commands, wanted: '' },
  { what: 'acknowledged and lost', measured: `${lost} of ${acknowledged.size}`, wanted: 'none' },
  { what: 'there twice', measured: doubled, wanted: 'none' },
  { what: 'disputed', measured: disputed, wanted: 'none' },
  { what: 'breaks in the ledger', measured: `${check.breaks.length} in ${check.looked} events`, wanted: 'none' },
])
process.exit(lost + doubled + disputed + check.breaks.length === 0 ? 0 : 1)
