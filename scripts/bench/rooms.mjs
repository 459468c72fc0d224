import { chromium } from '@playwright/test'
import { args } from './page.mjs'
import { startServer } from './server.mjs'

/** Rooms whose data is read; what each shows once it is there. */
const rooms = ['/', '/racks', '/presses', '/paper', '/ink', '/day', '/day/ahead', '/class', '/orders']

/** How long a room must rest before it counts as open, ms. */
const quiet = 1_500

/**
 * What a first open of each room asks the server for, shell and session apart.
 * @param folder of the demo, which is loaded when it is not there yet
 * @returns requests and kB of JSON and live stream, unpacked, for each room
 */
export async function measureRooms(folder, only = rooms) {
  const server = await startServer(folder, true)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const found = []
  for (const path of only) {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    await context.request.get(`${server.url}/api/session`)
    const page = await context.newPage()
    const network = await context.newCDPSession(page)
    await network.send('Network.enable')
    const asked = new Map()
    let bytes = 0
    let last = Date.now()
    network.on('Network.requestWillBeSent', ({ requestId, request }) => {
      const { pathname } = new URL(request.url)
      if (!pathname.startsWith('/api/') || /\/api\/(session|people)$/.test(pathname)) return
      asked.set(requestId, pathname)
      last = Date.now()
    })
    network.on('Network.dataReceived', ({ requestId, dataLength }) => {
      if (!asked.has(requestId)) return
      bytes += dataLength
      last = Date.now()
    })
    await page.goto(`${server.url}${path}`)
    await page.locator('h1').first().waitFor()
    while (Date.now() - last < quiet) await new Promise((rest) => setTimeout(rest, 100))
    const requests = [...asked.values()].filter((name) => name !== '/api/live').length
    found.push({ path, requests, bytes })
    await context.close()
  }
  await browser.close()
  await server.stop()
  return { rooms: found, requests: sum(found, 'requests'), bytes: sum(found, 'bytes') }
}

const sum = (lines, key) => lines.reduce((all, line) => all + line[key], 0)
