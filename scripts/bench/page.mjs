import { chromium } from '@playwright/test'
import { firstManager, median, quantile, startServer } from './server.mjs'

export const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** What a first visit to the floor loads, compressed, and when the page can be used. */
export async function measureFirstLoad(folder) {
  const server = await startServer(folder, true)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const times = []
  let before = 0
  let all = 0
  /** Of a page so far: what it ran, and with what it only fetched ahead. A file that is named twice comes once. */
  const scripts = (page) =>
    page.evaluate(() => {
      const files = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js'))
      const size = (some) =>
        Object.values(Object.fromEntries(some.map(({ name, encodedBodySize }) => [name, encodedBodySize]))).reduce(
          (sum, bytes) => sum + bytes,
          0,
        )
      return {
        ran: size(
          files.filter(({ initiatorType, startTime }) => initiatorType !== 'link' && startTime < window.stoodAt),
        ),
        all: size(files),
      }
    })
  // Asked from outside it would be later: what the page fetches in between would count.
  const noteWhenItStands = () => {
    new MutationObserver((_, observer) => {
      if (![...document.querySelectorAll('h2')].some((heading) => heading.textContent.includes('At the presses')))
        return
      window.stoodAt = performance.now()
      observer.disconnect()
    }).observe(document, { childList: true, subtree: true })
  }
  for (let round = 0; round < 5; round++) {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    await page.addInitScript(noteWhenItStands)
    const began = performance.now()
    await page.goto(server.url, { waitUntil: 'commit' })
    await page.getByRole('heading', { name: 'At the presses' }).waitFor()
    times.push(performance.now() - began)
    before = (await scripts(page)).ran
    // The live stream stays open, so the network is never idle.
    await page.waitForTimeout(5_000)
    all = (await scripts(page)).all
    await context.close()
  }
  const executed = await shareExecuted(browser, server.url)
  const bench = await measureTap(browser, server.url)
  await browser.close()
  await server.stop()
  return { before, all, executed, usable: median(times), tap: bench }
}

/** Of the script that was there when the floor stood, the share that ran, by length of its text. */
async function shareExecuted(browser, url) {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage()
  await page.coverage.startJSCoverage()
  await page.goto(url, { waitUntil: 'commit' })
  await page.getByRole('heading', { name: 'At the presses' }).waitFor()
  const entries = (await page.coverage.stopJSCoverage()).filter(({ source }) => source)
  let ran = 0
  let length = 0
  for (const { source, functions } of entries) {
    const counts = new Uint8Array(source.length)
    // A function’s own ranges come from the outermost in, and inner functions after the one they stand in.
    for (const { ranges } of functions)
      for (const { startOffset, endOffset, count } of ranges) counts.fill(count > 0 ? 1 : 0, startOffset, endOffset)
    ran += counts.reduce((sum, one) => sum + one, 0)
    length += source.length
  }
  await page.context().close()
  return ran / length
}

/** Milliseconds from a key at the bench to the stroke in the page. */
async function taps(page, count) {
  const times = []
  for (let i = 0; i < count; i++) {
    times.push(
      await page.evaluate(
        () =>
          new Promise((resolve) => {
            const observer = new MutationObserver(() => {
              observer.disconnect()
              resolve(performance.now() - began)
            })
            observer.observe(document.querySelector('.tally svg'), { childList: true })
            const began = performance.now()
            window.dispatchEvent(new KeyboardEvent('keydown', { key: 'g' }))
          }),
      ),
    )
    // A printer inks and lays a sheet between two taps; the page has come to rest by then.
    await page.getByText('every pull stored', { exact: true }).waitFor()
    await page.evaluate(() => new Promise((rest) => requestIdleCallback(rest, { timeout: 1000 })))
  }
  return times
}

async function benchOf(browser, url, id) {
  const page = await browser.newPage()
  await page.goto(url)
  await page.getByRole('heading', { name: 'At the presses' }).waitFor()
  await page.goto(`${url}/bench/${id}`)
  await page.getByText('every pull stored', { exact: true }).waitFor()
  return page
}

/** The demo's run: median of nine. */
async function measureTap(browser, url) {
  const page = await browser.newPage()
  await page.goto(url)
  await page.getByRole('heading', { name: 'At the presses' }).waitFor()
  const { editions } = await page.request.get(`${url}/api/editions?search=Harbour`).then((answer) => answer.json())
  return median(await taps(await benchOf(browser, url, editions[0].id), 9))
}

/** With so many strokes drawn: 95 of 100 taps. */
export async function measureLongTally(folder, fillLedger, strokes = 1500, keys = 60) {
  const [id] = await fillLedger(folder, 1, strokes + keys + 40, 1, () => {}, strokes)
  const server = await startServer(folder)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const context = await browser.newContext()
  await context.request.post(`${server.url}/api/setup`, {
    data: firstManager,
    headers: { origin: server.url },
  })
  const page = await benchOf(context, server.url, id)
  const times = await taps(page, keys)
  await browser.close()
  await server.stop()
  return quantile(times, 0.95)
}
