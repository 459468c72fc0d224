import { expect, openEdition, test } from '../fixtures/browser'
import { Server } from '../fixtures/server'

const stored = (page: import('@playwright/test').Page) => page.locator('.tally .base')

test('the lid is closed with taps on their way, the server dies meanwhile, and all is there when it is opened', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(90_000)
  quiet.allow(/Failed to load resource|net::ERR_|EventSource|fetching the script/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const before = await stored(page).count()
  const lid = await page.context().newCDPSession(page)
  await page.route('**/api/commands', (route) => route.abort())
  for (const key of [' ', 'd', ' ']) await page.keyboard.press(key)
  await expect(page.getByText(/3 taps not stored yet/)).toBeVisible()
  await lid.send('Page.setWebLifecycleState', { state: 'frozen' })
  await server.stop('SIGKILL')
  const again = await Server.start({ folder: server.folder, port: server.port, demo: true })
  await page.unroute('**/api/commands')
  await lid.send('Page.setWebLifecycleState', { state: 'active' })
  await expect(stored(page)).toHaveCount(before + 3, { timeout: 40_000 })
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  await page.reload()
  await expect(stored(page)).toHaveCount(before + 3)
  await page.goto('about:blank')
  await again.stop('SIGKILL')
})

test('a clock set back a day changes no order, no count and no pace', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.clock.install({ time: Date.now() })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('Next: sheet 21', { exact: true })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByText('Next: sheet 22', { exact: true })).toBeVisible()
  await page.clock.setSystemTime(Date.now() - 24 * 3600_000)
  await page.keyboard.press(' ')
  await expect(page.getByText('Next: sheet 23', { exact: true })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByText('Next: sheet 24', { exact: true })).toBeVisible()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const { editions } = await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()
  const { state } = await (await page.request.get(`${server.url}/api/editions/${editions[0].id}`)).json()
  const last = (state.pulls as { sheetIds: number[]; disputed: unknown }[]).slice(-3)
  expect(last.map(({ sheetIds, disputed }) => [sheetIds[0], disputed])).toEqual([
    [21, null],
    [22, null],
    [23, null],
  ])
  // No minute counts backwards: the time left stays a time.
  await expect(page.getByText(/-\d|NaN/)).toHaveCount(0)
})
