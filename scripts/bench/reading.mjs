import { get } from 'node:http'
import { gunzipSync } from 'node:zlib'
import { firstManager, median, startServer } from './server.mjs'

/** A signed-in reader of a server whose ledger was filled before. */
async function reader(folder) {
  const server = await startServer(folder)
  const setUp = await fetch(`${server.url}/api/setup`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: server.url },
    body: JSON.stringify(firstManager),
  })
  const cookie = setUp.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ')
  const time = async (path) => {
    const began = performance.now()
    const answer = await fetch(`${server.url}${path}`, { headers: { cookie } })
    // The server answers whole, so its time ends with the first byte; reading the body is the reader's.
    const took = performance.now() - began
    await answer.arrayBuffer()
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`)
    return took
  }
  /** Bytes of a reply as it travels and unpacked. */
  const raw = (path) =>
    new Promise((resolve, reject) => {
      const headers = { cookie, 'accept-encoding': 'gzip' }
      get(`${server.url}${path}`, { headers }, (answer) => {
        const chunks = []
        answer.on('data', (chunk) => chunks.push(chunk))
        answer.on('end', () => {
          const sent = Buffer.concat(chunks)
          const whole = answer.headers['content-encoding'] === 'gzip' ? gunzipSync(sent) : sent
          resolve({ sent: sent.length, whole: whole.length })
        })
      }).on('error', reject)
    })
  return { server, time, raw }
}

/** Ten editions of 3,000 events (600 sheets, five layers): the first read of each comes from disk, the second from memory. */
export async function measureEdition(folder, fillLedger) {
  const ids = await fillLedger(folder, 10, 600, 5)
  const { server, time } = await reader(folder)
  const [first, ...rest] = ids
  await time(`/api/editions/${first}`)
  const cold = []
  const warm = []
  for (const id of rest) {
    cold.push(await time(`/api/editions/${id}`))
    warm.push(await time(`/api/editions/${id}`))
  }
  await server.stop()
  return { cold: median(cold), warm: median(warm) }
}

/** One edition of 5,000 pulls, as a browser gets it: bytes on the way and unpacked, and milliseconds until it is whole. */
export async function measureLargeReply(folder, fillLedger) {
  const [id] = await fillLedger(folder, 1, 5000, 1)
  const { server, time, raw } = await reader(folder)
  await time(`/api/editions/${id}`)
  const times = []
  let bytes = { sent: 0, whole: 0 }
  for (let i = 0; i < 7; i++) {
    const began = performance.now()
    bytes = await raw(`/api/editions/${id}`)
    times.push(performance.now() - began)
  }
  await server.stop()
  return { ...bytes, ms: median(times) }
}

/** Two thousand editions of five hundred impressions (250 sheets, two layers). */
export async function measureLists(folder, fillLedger) {
  const ids = await fillLedger(folder, 2000, 252, 2, (done) => console.info(`  ${done} of 2000 editions written`))
  const { server, time } = await reader(folder)
  const list = []
  const search = []
  const find = []
  for (let i = 0; i < 20; i++) {
    list.push(await time('/api/editions'))
    search.push(await time(`/api/editions?search=tion%201${i}`))
    // A sheet of an edition that nobody has opened: it is read from disk.
    find.push(await time(`/api/find?text=sheet%2021%20edition%201${i}00`), await time(`/api/find?text=edit%2019${i}`))
    await time(`/api/editions/${ids[i * 90]}`)
    await time('/api/floor')
  }
  const memory = server.memory().most
  await server.stop()
  return { list: median(list), search: median(search), find: Math.max(...find), memory }
}
