import { createServer } from 'node:http'
import { createApp, createRouter, defineEventHandler, readBody, toNodeListener, useSession } from 'h3'
import sqlite3 from 'sqlite3'

/**
 * A bare peer, to measure beside: an h3 route that checks a sealed session cookie and stores one row a request, those
 * that wait together in one commit, durable before they are answered. It decides, folds and lists nothing.
 */
const [file, port] = process.argv.slice(2)
const session = { name: 'peer', password: 'a'.repeat(40) }
const db = new sqlite3.Database(file)
const run = (sql, bind = []) =>
  new Promise((resolve, reject) => db.run(sql, bind, (error) => (error ? reject(error) : resolve())))
for (const sql of [
  'PRAGMA journal_mode = WAL',
  'PRAGMA synchronous = FULL',
  'CREATE TABLE rows (id INTEGER PRIMARY KEY, data TEXT)',
])
  await run(sql)

let waiting = []
let draining = false

async function drain() {
  draining = true
  await new Promise((resolve) => setImmediate(resolve))
  while (waiting.length > 0) {
    const group = waiting
    waiting = []
    await run('BEGIN IMMEDIATE')
    await run('INSERT INTO rows (data) SELECT value FROM json_each(?)', [JSON.stringify(group.map(({ data }) => data))])
    await run('COMMIT')
    for (const { answer } of group) answer()
  }
  draining = false
}

const router = createRouter()
router.post(
  '/session',
  defineEventHandler(async (event) => {
    await (await useSession(event, session)).update({ person: 'p' })
    return {}
  }),
)
router.post(
  '/rows',
  defineEventHandler(async (event) => {
    const { data } = await useSession(event, session)
    if (data.person !== 'p') throw new Error('Not signed in.')
    const body = JSON.stringify(await readBody(event))
    await new Promise((answer) => {
      waiting.push({ data: body, answer })
      if (!draining) void drain()
    })
    return { stored: true }
  }),
)
createServer(toNodeListener(createApp().use(router))).listen(Number(port), '127.0.0.1')
