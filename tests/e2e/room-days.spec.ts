import type { Page } from '@playwright/test'
import { expect, say, test } from '../fixtures/browser'

/** The day of a moment in a zone, `2026-11-02`. */
const dayIn = (at: number, timeZone: string) =>
  new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone }).format(at)
/** As it is written on screen: “2 November”. */
const worded = (day: string) =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(Date.parse(day))

async function toCharges(page: Page, url: string): Promise<void> {
  await page.goto(url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  await page.goto(`${url}/charges`)
  await expect(page.getByText(/in all, \d+ lines?/)).toBeVisible()
}
const inAll = async (page: Page) => await page.getByText(/in all, \d+ lines?/).innerText()

// The zone of the room that is a day ahead of, or behind, most others at any hour.
for (const zone of ['Pacific/Kiritimati', 'Pacific/Pago_Pago'])
  test(`a reader in ${zone} sees the room’s days, and owes what everybody there owes`, async ({
    page,
    browser,
    pressroom,
  }) => {
    const server = await pressroom({ demo: true })
    await toCharges(page, server.url)
    const here = await inAll(page)
    const { zone: roomZone } = (await (await page.request.get(`${server.url}/api/session`)).json()) as { zone: string }
    const away = await browser.newContext({ timezoneId: zone })
    const there = await away.newPage()
    await toCharges(there, server.url)
    const today = dayIn(Date.now(), roomZone)
    await expect(there.getByRole('button', { name: /^Last day/ })).toHaveText(worded(today))
    expect(await inAll(there)).toBe(here)
    await there.goto(`${server.url}/day`)
    await expect(there.getByText(/^today, /)).toBeVisible()
    await expect(there.getByRole('heading', { level: 1 })).toContainText(worded(today))
    await away.close()
  })

test('a tablet whose clock is a day ahead writes today’s day', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.clock.install({ time: Date.now() + 25 * 3600_000 })
  await page.clock.resume()
  await toCharges(page, server.url)
  const { zone } = (await (await page.request.get(`${server.url}/api/session`)).json()) as { zone: string }
  const today = dayIn(Date.now(), zone)
  await expect(page.getByRole('button', { name: /^Last day/ })).toHaveText(worded(today))
  await page.getByRole('button', { name: /^Another charge/ }).click()
  await expect(page.getByRole('button', { name: /^Day of the charge/ })).toHaveText(worded(today))
  await say(page, 'What it is for', 'a locker')
  await say(page, 'Amount', '5')
  await say(page, 'Who owes', 'Merle Tarn')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await page
    .getByRole('button', { name: /Merle Tarn/ })
    .first()
    .click()
  await expect(page.getByText('a locker')).toBeVisible()
})
