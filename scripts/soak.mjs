import { get } from 'node:http'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { dice, hostile, send } from './attack.mjs'
import { firstManager, quantile, startServer } from './bench/server.mjs'
import { Station } from './bench/station.mjs'
import { ensureBuild, ensurePackages, freshFolder, root } from './ready.mjs'

// A long evening in ten minutes: `npm run soak`, or `npm run soak -- 60` for so many seconds in all. Ends with another code
// than 0 when anything was lost, doubled, slow or not given back.

ensurePackages()
ensureBuild()
const seconds = Number(process.argv[2] ?? 600)
const server = await startServer(freshFolder(join(root, '.cache/soak')))
const first = new Station(server.url)
const { cookie, body } = await first.post('/api/setup', firstManager)
Object.assign(first, { cookie, personId: body.person.id, browser: body.device })

const lines = []
let failed = false
const say = (what, measured, wanted, met) => {
  lines.push({ what, measured, wanted, met: met ? 'yes' : 'NO' })
  failed ||= !met
}
const pause = (ms) => new Promise((done) => setTimeout(done, ms))

/** Streams that are opened and never read, or left as soon as they are there. */
const stream = (stays) =>
  new Promise((done) => {
    const asked = get(`${server.url}/api/live`, { headers: { cookie } }, (answer) => {
      answer.pause()
      if (stays) return done(() => asked.destroy())
      asked.destroy()
      done(() => {})
    })
    asked.on('error', () => done(() => {}))
  })

const acknowledged = new Map()
const fresh = server.memory().now

/** So many stations pull from so many editions for a while; when one is pulled the next begins. */
async function press(stations, editions, sheets, ms) {
  const owner = new Station(server.url, first)
  const begun = async () => {
    await owner.edition(sheets)
    return { stream: owner.stream, layerId: owner.layerId, next: 1 }
  }
  const shared = []
  for (let i = 0; i < editions; i++) shared.push(await begun())
  let turn = Promise.resolve()
  const renewed = (place, used) =>
    (turn = turn.then(async () => {
      if (shared[place] === used) shared[place] = await begun()
    }))
  const times = []
  const until = Date.now() + ms
  await Promise.all(
    Array.from({ length: stations }, async (_, i) => {
      const station = new Station(server.url, first)
      const place = i % editions
      while (Date.now() < until) {
        const edition = shared[place]
        if (edition.next > sheets) {
          await renewed(place, edition)
          continue
        }
        const before = performance.now()
        await station.pullFrom(edition, sheets)
        times.push(performance.now() - before)
        acknowledged.set(edition.stream, (acknowledged.get(edition.stream) ?? 0) + 1)
        // A quick hand, not a machine.
        await pause(20)
      }
    }),
  )
  return { pulls: times.length, p95: quantile(times, 0.95) }
}

const share = (seconds * 1000) / 6

let attacked = 0
const bad = []
let attacking = true
const random = dice(7)
const attack = (async () => {
  while (attacking) {
    const many = Array.from({ length: 10 }, () => hostile(random, server.url))
    const statuses = await Promise.all(many.map((one, i) => send(server.url, one, i % 2 ? cookie : '')))
    statuses.forEach((status, i) => (status === 0 || status >= 500) && bad.push([status, many[i].path]))
    attacked += many.length
    await pause(20)
  }
})()

for (const [what, ...setting] of [
  ['30 stations on one edition of 600', 30, 1, 600],
  ['30 stations on ten editions of 600', 30, 10, 600],
  ['30 stations on one edition of 5,000', 30, 1, 5_000],
  ['30 stations on ten editions of 5,000', 30, 10, 5_000],
]) {
  const { pulls, p95 } = await press(...setting, share)
  say(`${what}: ${pulls} pulls stored, p95`, `${p95.toFixed(0)} ms`, 'under 200 ms', p95 < 200)
}

// What is kept of editions in memory has its full size by now; more would be a leak.
await pause(5_000)
const level = server.memory().now
const unread = await Promise.all(Array.from({ length: 50 }, () => stream(true)))
const beside = await press(30, 10, 600, share)
say(
  `50 tabs that do not read: ${beside.pulls} pulls, p95`,
  `${beside.p95.toFixed(0)} ms`,
  'under 200 ms',
  beside.p95 < 200,
)
for (let i = 0; i < 1_000; i += 20) await Promise.all(Array.from({ length: 20 }, () => stream(false)))
const after = await press(30, 10, 600, share)
say(
  `1,000 streams opened and left: ${after.pulls} pulls, p95`,
  `${after.p95.toFixed(0)} ms`,
  'under 200 ms',
  after.p95 < 200,
)
for (const end of unread) end()
attacking = false
await attack
say('hostile requests beside, answered by a stumble or never', `${bad.length} of ${attacked}`, 'none', bad.length === 0)

let wrong = 0
for (const [name, count] of acknowledged) {
  const answer = await fetch(`${server.url}/api/editions/${name.split(':')[1]}`, { headers: { cookie } })
  const { state } = await answer.json()
  const ids = new Set(state.pulls.map((pull) => pull.pullId))
  if (ids.size !== count || state.pulls.length !== count || state.pulls.some((pull) => pull.disputed)) wrong += 1
}
say(
  'editions that hold another number of pulls than was acknowledged',
  `${wrong} of ${acknowledged.size}`,
  'none',
  wrong === 0,
)

await first.post('/api/ledger-check', {})
let check
do {
  await pause(200)
  check = await fetch(`${server.url}/api/ledger-check`, { headers: { cookie } }).then((answer) => answer.json())
} while (check.isRunning)
say('breaks in the ledger', `${check.breaks.length} in ${check.looked} events`, 'none', check.breaks.length === 0)
await pause(10_000)
const now = server.memory().now
say(
  'memory of a fresh server, after the presses, and at the end',
  `${fresh} MB, ${level} MB, ${now} MB`,
  'no more than 120 MB above',
  now - level < 120,
)
const handles = server.handles()
say('open files and sockets at the end', String(handles), 'under 80', handles < 80)

await server.stop()
console.info(`${new Date().toISOString().slice(0, 10)}, ${availableParallelism()} cores, ${seconds} s`)
console.table(lines)
process.exit(failed ? 1 : 0)
