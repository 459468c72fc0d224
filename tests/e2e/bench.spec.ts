import type { Page } from '@playwright/test'
import { choose, expect, test } from '../fixtures/browser'
import { Server } from '../fixtures/server'
import { Wire } from '../fixtures/wire'

// Started without the server, from what the browser keeps of the shell.
test.use({ serviceWorkers: 'allow' })

const unreachable = /Failed to load resource|net::ERR_|ERR_CONNECTION|service worker/i

/** How many copies of editions this browser keeps, and of events beside them. */
const kept = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<{ copies: number; events: number }>((resolve, reject) => {
        const opening = indexedDB.open('ample-tally')
        opening.onerror = () => reject(opening.error)
        opening.onsuccess = () => {
          const reading = opening.result.transaction(['copies', 'since'])
          const copies = reading.objectStore('copies').count(IDBKeyRange.bound('edition:', 'edition;'))
          const events = reading.objectStore('since').count()
          reading.oncomplete = () => {
            opening.result.close()
            resolve({ copies: copies.result, events: events.result })
          }
        }
      }),
  )

async function benchOf(page: Page, server: Server, title: string): Promise<string> {
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = (await (
    await page.request.get(`${server.url}/api/editions?search=${encodeURIComponent(title)}`)
  ).json()) as { editions: { id: string }[] }
  const path = `/bench/${editions[0]!.id}`
  await page.goto(`${server.url}${path}`)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  return path
}

test('nothing tapped is lost while the server is dead and the page is reloaded', async ({ page, pressroom, quiet }) => {
  quiet.allow(unreachable)
  const server = await pressroom({ demo: true })
  await benchOf(page, server, 'Harbour Scales')
  await page.evaluate(() => navigator.serviceWorker.ready)
  await expect.poll(async () => page.evaluate(async () => (await caches.keys()).length)).toBeGreaterThan(0)
  const strokes = page.locator('.tally g.stroke')
  const before = await strokes.count()
  // What is stored is kept here too, for starting without the server.
  await expect.poll(async () => (await kept(page)).copies).toBe(1)
  await page.keyboard.press(' ')
  await expect(page.locator('.tally .base')).toHaveCount(before + 1)
  await expect.poll(async () => (await kept(page)).events).toBeGreaterThan(0)
  await server.stop('SIGKILL')
  await page.keyboard.press(' ')
  await page.keyboard.press('d')
  await page.keyboard.press(' ')
  await expect(strokes).toHaveCount(before + 4)
  await expect(page.getByText('3 taps not stored yet')).toBeVisible()
  await expect(page.locator('.tally .base')).toHaveCount(before + 1)
  await page.reload()
  await expect(strokes).toHaveCount(before + 4)
  await page.keyboard.press(' ')
  await expect(page.getByText('4 taps not stored yet')).toBeVisible()
  const again = await Server.start({ folder: server.folder, port: server.port, demo: true })
  await expect(page.locator('.tally .base')).toHaveCount(before + 5, { timeout: 30_000 })
  await expect(page.getByText('not stored yet')).toHaveCount(0)
  const id = page.url().split('/').at(-1)!
  const { state } = (await (await page.request.get(`${again.url}/api/editions/${id}`)).json()) as {
    state: { pulls: { disputed: unknown }[] }
  }
  expect(state.pulls).toHaveLength(before + 5)
  expect(state.pulls.filter((pull) => pull.disputed)).toEqual([])
  await again.stop('SIGKILL')
})

test('a second browser sees the stroke within a second, and catches up after a cut', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  quiet.allow(unreachable)
  const server = await pressroom({ demo: true })
  const path = await benchOf(page, server, 'Harbour Scales')
  const context = await browser.newContext()
  quiet.watch(context)
  const other = await context.newPage()
  const wire = await Wire.lay(server.port)
  await other.goto(wire.url)
  await expect(other.getByRole('heading', { name: 'The floor' })).toBeVisible()
  await other.goto(`${wire.url}${path}`)
  const strokes = other.locator('.tally g.stroke')
  await expect(other.getByText('every pull stored', { exact: true })).toBeVisible()
  const before = await strokes.count()
  await page.keyboard.press(' ')
  await expect(strokes).toHaveCount(before + 1, { timeout: 1000 })
  wire.cut()
  await page.keyboard.press(' ')
  await page.keyboard.press(' ')
  await expect(page.locator('.tally .base')).toHaveCount(before + 3)
  expect(await strokes.count()).toBe(before + 1)
  await wire.mend()
  await expect(strokes).toHaveCount(before + 3, { timeout: 20_000 })
  await context.close()
  wire.cut()
})

test('a server that was started anew leaves each station the sheets that lie there', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  quiet.allow(unreachable)
  const server = await pressroom({ demo: true })
  const context = await browser.newContext()
  quiet.watch(context)
  const other = await context.newPage()
  const handed = (station: Page) =>
    station
      .waitForResponse((answer) => answer.url().endsWith('/hand-out') && answer.ok())
      .then(async (answer) => ((await answer.json()) as { sheetIds: number[] }).sheetIds)
  const mine = handed(page)
  const path = await benchOf(page, server, 'Harbour Scales')
  const before = await mine
  await other.goto(server.url)
  await expect(other.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const theirs = handed(other)
  await other.goto(`${server.url}${path}`)
  const beside = await theirs
  expect(beside.filter((id) => before.includes(id))).toEqual([])
  await server.stop('SIGKILL')
  const anew = Promise.all([handed(page), handed(other)])
  const again = await Server.start({ folder: server.folder, port: server.port, demo: true })
  expect(await anew).toEqual([before, beside])
  // Asked once, not with all that is heard from then on.
  const asked: string[] = []
  for (const station of [page, other])
    station.on('request', (request) => request.url().endsWith('/hand-out') && asked.push(request.url()))
  await other.keyboard.press(' ')
  await page.keyboard.press(' ')
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const pulls = async () => {
    const answer = await page.request.get(`${again.url}/api/editions/${path.split('/').at(-1)!}`)
    const { state } = (await answer.json()) as { state: { pulls: { sheetIds: number[]; disputed: unknown }[] } }
    return state.pulls.slice(-2).map(({ sheetIds, disputed }) => [sheetIds[0], disputed])
  }
  await expect
    .poll(async () => (await pulls()).sort())
    .toEqual(
      [
        [before[0], null],
        [beside[0], null],
      ].sort(),
    )
  await context.close()
  await again.stop('SIGKILL')
})

test('two layers: the next layer takes the sheets that came through, once they are dry', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await benchOf(page, server, 'Net Loft Stairs')
  await page.getByRole('combobox', { name: 'Layer' }).selectOption({ label: 'black' })
  await expect(page.getByText('Nobody has said the layer beneath is dry.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Good/ })).toBeDisabled()
  await page.getByRole('button', { name: 'It is dry' }).click()
  await expect(page.getByText(/Next: sheet \d+/)).toBeVisible()
  await page.getByRole('button', { name: /^Good/ }).click()
  await expect(page.locator('.tally .base')).toHaveCount(1)
})

test('a change of person at the bench signs the next pull with their name', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await benchOf(page, server, 'Harbour Scales')
  await page.keyboard.press('c')
  await choose(page, 'Name', 'Merle Tarn')
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Change over' }).click()
  await expect(page.getByRole('button', { name: /^Merle Tarn/ })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.locator('.last strong')).toContainText('by Merle Tarn')
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
})

test('a full disk keeps the taps in the browser and says so', async ({ page, pressroom, quiet }) => {
  quiet.allow(/status of 507|Failed to load resource|net::ERR_/)
  // One page at most means: not one more than the ledger has already.
  const server = await pressroom({ demo: true, env: { AMPLE_TALLY_MOST_PAGES: '1' } })
  await benchOf(page, server, 'Harbour Scales')
  let tapped = await page.locator('.tally g.stroke').count()
  const tap = async (key: string) => {
    await page.keyboard.press(key)
    await expect(page.locator('.tally g.stroke')).toHaveCount((tapped += 1))
  }
  for (let i = 0; i < 17; i++) await tap(' ')
  for (let i = 0; i < 60 && (await page.getByText('not stored yet').count()) === 0; i++) await tap('w')
  await expect(page.getByText(/not stored yet: The server’s disk is full/)).toBeVisible()
  await page.reload()
  await expect(page.locator('.tally g.stroke')).toHaveCount(tapped)
  await server.stop()
  const roomy = await Server.start({ folder: server.folder, port: server.port, demo: true })
  await expect(page.locator('.tally .base')).toHaveCount(tapped, { timeout: 30_000 })
  await roomy.stop('SIGKILL')
})

test('the keyboard reads the tally stroke by stroke, and a pull is judged again from its page', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  const path = await benchOf(page, server, 'Harbour Scales')
  await page.goto(`${server.url}${path.replace('bench', 'editions')}/pull`)
  await page.locator('.tally g.stroke[tabindex="0"]').focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.locator('.pull-said strong')).toContainText('Pull 23, sheet 19, black, good')
  await choose(page, 'Verdict', 'reject')
  await expect(page.locator('.pull-said strong')).toContainText('Pull 23, sheet 19, black, reject')
  await expect(page.locator('.count dl > div').filter({ hasText: 'rejects, layer 1' }).locator('dd')).toHaveText('2')
  await page.getByRole('button', { name: 'Void' }).click()
  await expect(page.getByRole('heading', { name: 'Voided' })).toBeVisible()
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByText('balances')).toBeVisible()
})

test('a page older than the server asks to be loaded again, and keeps what waits', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(unreachable)
  const server = await pressroom({ demo: true })
  // The live stream brings an event of a version this page cannot know.
  const event = {
    position: 9_999_999,
    stream: 'lot:later',
    seq: 1,
    type: 'lot-added',
    version: 99,
    actor: 'p',
    via: null,
    device: 'd',
    commandId: 'c',
    occurredAt: '',
    recordedAt: '',
    data: {},
    hash: '',
  }
  await page.route('**/api/live*', (route) =>
    route.fulfill({
      contentType: 'text/event-stream',
      body: `event: stored\nid: 9999999\ndata: ${JSON.stringify(event)}\n\n`,
    }),
  )
  // Nothing gets through yet, so that a tap waits.
  await page.route('**/api/commands', (route) => route.abort())
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = (await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()) as {
    editions: { id: string }[]
  }
  await page.goto(`${server.url}/bench/${editions[0]!.id}`)
  await expect(page.getByText('The server is newer than this page.')).toBeVisible()
  const strokes = page.locator('.tally g.stroke')
  const before = await strokes.count()
  await page.keyboard.press(' ')
  await expect(strokes).toHaveCount(before + 1)
  await expect(page.locator('.tally .base')).toHaveCount(before)
  await page.unroute('**/api/live*')
  await page.unroute('**/api/commands')
  await page.getByRole('button', { name: 'Load the page again' }).click()
  await expect(page.locator('.tally .base')).toHaveCount(before + 1)
  await expect(page.getByText('The server is newer than this page.')).toHaveCount(0)
})
