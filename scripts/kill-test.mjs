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
const sheets = 5_000
await owner.edition(sheets)
const { stream, layerId } = owner
let next = 1
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
  while (isRunning() && (waiting.size > 0 || next <= sheets)) {
    const [known] = [...waiting].filter(([, { taken }]) => !taken)
    const command = known ? known[1].command : station.pulling({ stream, layerId, sheet: next++ })
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

const problems = []
for (let kill = 0; kill < kills; kill++) {
  let running = true
  const stations = Array.from({ length: 8 }, () => pull(() => running))
  await new Promise((done) => setTimeout(done, 20 + Math.random() * 250))
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
  if (next > sheets && waiting.size === 0) {
    await owner.edition(sheets)
    problems.push('the edition was used up: begin with fewer kills')
    break
  }
}
await pull(() => waiting.size > 0)

const state = await fetch(`${server.url}/api/editions/${stream.split(':')[1]}`, { headers: { cookie } })
const { pulls } = (await state.json()).state
const ids = pulls.map((one) => one.pullId)
const lost = [...acknowledged].filter((id) => !ids.includes(id)).length
const doubled = ids.length - new Set(ids).size
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
for (const problem of problems) console.error(problem)
process.exit(lost + doubled + disputed + check.breaks.length + problems.length === 0 ? 0 : 1)
