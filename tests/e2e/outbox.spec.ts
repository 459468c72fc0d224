import type { BrowserContext, Page } from '@playwright/test'
import { choose, expect, test } from '../fixtures/browser'
import type { Server } from '../fixtures/server'

const cutOff = /Failed to load resource|net::ERR_/
const strokes = (page: Page) => page.locator('.tally g.stroke')
const stored = (page: Page) => page.locator('.tally .base')

async function editionId(page: Page, server: Server): Promise<string> {
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const found = await page.request.get(`${server.url}/api/editions?search=Harbour`)
  return ((await found.json()) as { editions: { id: string }[] }).editions[0]!.id
}

async function benchOf(page: Page, server: Server, id: string): Promise<void> {
  await page.goto(`${server.url}/bench/${id}`)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
}

async function pullsOf(page: Page, server: Server, id: string) {
  const answer = await page.request.get(`${server.url}/api/editions/${id}`)
  return ((await answer.json()) as { state: { pulls: { by: string; disputed: unknown }[] } }).state.pulls
}

/** Commands of these pages do not reach the server until they are let through. */
async function holdBack(pages: BrowserContext | Page): Promise<() => Promise<void>> {
  await pages.route('**/api/commands', (route) => route.abort())
  return () => pages.unroute('**/api/commands')
}

/** A disk with no room for taps, until the page is told otherwise. */
const fullDisk = () => {
  const add = IDBObjectStore.prototype.add
  IDBObjectStore.prototype.add = function (...given) {
    if (this.name === 'outbox' && !(globalThis as { roomy?: boolean }).roomy)
      throw new DOMException('no room is left', 'QuotaExceededError')
    return add.apply(this, given)
  }
}

test('what a closed tab left waiting is sent by one that stays open', async ({ page, context, pressroom, quiet }) => {
  quiet.allow(cutOff)
  const server = await pressroom({ demo: true })
  const id = await editionId(page, server)
  await benchOf(page, server, id)
  const closing = await context.newPage()
  await benchOf(closing, server, id)
  const before = await stored(page).count()
  const letThrough = await holdBack(context)
  for (const key of [' ', 'd', 'r']) await closing.keyboard.press(key)
  await expect(closing.getByText(/3 taps not stored yet/)).toBeVisible()
  await closing.close()
  await expect(page.getByText(/3 taps not stored yet/)).toBeVisible()
  await letThrough()
  await expect(stored(page)).toHaveCount(before + 3, { timeout: 30_000 })
  expect((await pullsOf(page, server, id)).filter(({ disputed }) => disputed)).toEqual([])
})

test('a browser that cannot keep a tap says so, sends it all the same, and keeps it once there is room', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(cutOff)
  const server = await pressroom({ demo: true })
  const id = await editionId(page, server)
  await page.addInitScript(fullDisk)
  await benchOf(page, server, id)
  const before = await stored(page).count()
  await page.keyboard.press(' ')
  const notKept = page.getByText(/cannot keep taps on its disk \(no room is left\)/)
  await expect(stored(page)).toHaveCount(before + 1)
  const letThrough = await holdBack(page)
  await page.keyboard.press(' ')
  await expect(notKept).toBeVisible()
  await page.getByRole('button', { name: 'Try again to keep them' }).click()
  await expect(notKept).toBeVisible()
  await page.evaluate(() => Object.assign(globalThis, { roomy: true }))
  await page.getByRole('button', { name: 'Try again to keep them' }).click()
  await expect(notKept).toHaveCount(0)
  await page.reload()
  await expect(strokes(page)).toHaveCount(before + 2)
  await letThrough()
  await expect(stored(page)).toHaveCount(before + 2)
})

test('a browser without any disk still prints', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  const id = await editionId(page, server)
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('the disk is locked', 'UnknownError')
    }
  })
  await page.goto(`${server.url}/bench/${id}`)
  await expect(page.getByText(/cannot keep taps on its disk \(the disk is locked\)/)).toBeVisible()
  const before = await stored(page).count()
  await page.keyboard.press(' ')
  await expect(stored(page)).toHaveCount(before + 1)
})

test('another person takes over while taps wait, and each tap goes in under the name it was given with', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(cutOff)
  const server = await pressroom({ demo: true })
  const id = await editionId(page, server)
  await benchOf(page, server, id)
  const before = await stored(page).count()
  const letThrough = await holdBack(page)
  await page.keyboard.press(' ')
  await expect(page.getByText(/1 tap not stored yet/)).toBeVisible()
  await page.keyboard.press('c')
  await choose(page, 'Name', 'Merle Tarn')
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Change over' }).click()
  await expect(page.getByRole('button', { name: /^Merle Tarn/ })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(strokes(page)).toHaveCount(before + 2)
  await letThrough()
  await expect(stored(page)).toHaveCount(before + 2, { timeout: 30_000 })
  const answer = await page.request.get(`${server.url}/api/people`)
  const { people } = (await answer.json()) as { people: { id: string; name: string }[] }
  const names = (await pullsOf(page, server, id)).slice(-2).map(({ by }) => people.find((one) => one.id === by)!.name)
  expect(names).toEqual(['Ansa Quill', 'Merle Tarn'])
})
