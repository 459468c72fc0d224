import { chromium } from '@playwright/test'
import { args } from './page.mjs'
import { firstManager, median, quantile, startServer } from './server.mjs'

/** An edition of so many pulls, and a browser signed in to it. */
export async function open(folder, fillLedger, sheets, pulled, plan = {}, onward = () => {}) {
  const [id] = await fillLedger(folder, 1, sheets, 1, () => {}, pulled, plan, onward)
  const server = await startServer(folder)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.request.post(`${server.url}/api/setup`, { data: firstManager, headers: { origin: server.url } })
  const page = await context.newPage()
  await page.goto(server.url)
  await page.getByRole('heading', { name: 'At the presses' }).waitFor()
  const close = async () => {
    await browser.close()
    await server.stop()
  }
  return { id, url: server.url, page, close }
}

/** The bench of such an edition, come to rest. */
export async function openBench(...given) {
  const opened = await open(...given)
  await opened.page.goto(`${opened.url}/bench/${opened.id}`)
  await opened.page.getByText('every pull stored', { exact: true }).waitFor()
  return opened
}

/** Frames a second while four pulls a second are given for ten seconds, and the share of frames that came in time. */
export async function measureFrames(folder, fillLedger) {
  const { page, close } = await openBench(folder, fillLedger, 400, 200)
  const gaps = await page.evaluate(
    () =>
      new Promise((done) => {
        const seen = []
        const began = performance.now()
        let last = began
        const tap = setInterval(() => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'g' })), 250)
        const frame = (now) => {
          seen.push(now - last)
          last = now
          if (now - began < 10_000) return requestAnimationFrame(frame)
          clearInterval(tap)
          done(seen.slice(1))
        }
        requestAnimationFrame(frame)
      }),
  )
  await close()
  const sum = gaps.reduce((all, gap) => all + gap, 0)
  return { rate: (gaps.length * 1000) / sum, p95: quantile(gaps, 0.95), pulls: 40 }
}

/**
 * Stream and charts of so many impressions, ms: the stream with the page that holds it, from the click that leads there, and a
 * chart told apart anew, the slowest.
 */
export async function measureCharts(folder, fillLedger, impressions = 3000) {
  const { id, url, page, close } = await open(folder, fillLedger, impressions, impressions)
  await page.goto(`${url}/editions/${id}/dry`)
  await page.getByRole('link', { name: /^Pull/ }).waitFor()
  const stream = []
  for (let round = 0; round < 5; round++) {
    await page.evaluate(() => new Promise((rest) => requestIdleCallback(rest, { timeout: 2000 })))
    stream.push(
      await page.evaluate(
        () =>
          new Promise((done) => {
            const began = performance.now()
            const look = () => {
              if (!document.querySelector('.stream svg rect') || !document.querySelector('.ruled svg rect'))
                return requestAnimationFrame(look)
              requestAnimationFrame(() => done(performance.now() - began))
            }
            document.querySelector('.strip a[href$="/pull"]').click()
            look()
          }),
      ),
    )
    await page.locator('.strip a[href$="/dry"]').click()
    await page.locator('.stream svg').waitFor({ state: 'detached' })
  }
  await page.locator('.strip a[href$="/pull"]').click()
  const word = page.getByRole('button', { name: /^Losses told apart by/ })
  const charts = []
  for (const by of ['press', 'set-up', 'paper', 'ink', 'time of day', 'person', 'layer']) {
    await word.click()
    charts.push(
      await page.evaluate(
        (wanted) =>
          new Promise((done) => {
            const select = document.querySelector('select[aria-label="Losses told apart by"]')
            const began = performance.now()
            select.value = wanted
            select.dispatchEvent(new Event('change', { bubbles: true }))
            requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - began)))
          }),
        by,
      ),
    )
    await word.waitFor()
  }
  await close()
  return { stream: median(stream), charts: Math.max(...charts) }
}
