import { choose, countOf as count, expect, goTo as stop, openEdition, say, test } from '../fixtures/browser'
import type { Page } from '@playwright/test'

/** Say of the first pull that stands as good that it is none. */
async function rejectOne(page: Page): Promise<void> {
  await stop(page, /^Pull/)
  await page.locator('.tally g.stroke.is-good').first().click()
  await choose(page, 'Verdict', 'reject')
}

test('a print judged a reject after curating is curated and numbered no more', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Curate/)
  await page.getByRole('button', { name: 'Keep the 19 judged good' }).click()
  await expect(count(page, 'curated good')).toHaveText('19')
  const rejects = Number(await count(page, 'rejects, layer 1').textContent())
  await rejectOne(page)
  await expect(count(page, 'curated good')).toHaveText('18')
  await expect(count(page, 'rejects, layer 1')).toHaveText(String(rejects + 1))
  await stop(page, /^Sign/)
  await expect(page.getByText('18 curated good prints carry none yet')).toBeVisible()
  await expect(page.getByText('balances')).toBeVisible()
})

test('numbers that are given move with the plan, and a plan that is too small for them is refused', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Curate/)
  await page.getByRole('button', { name: 'Keep the 19 judged good' }).click()
  await expect(count(page, 'curated good')).toHaveText('19')
  await page.getByRole('link', { name: 'Give numbers' }).click()
  await page.getByRole('button', { name: 'Give numbers' }).click()
  await expect(page.getByRole('cell', { name: '1/17', exact: true })).toBeVisible()
  const change = async (prints: string) => {
    await stop(page, /^Plan/)
    await say(page, 'The size is', 'declared before printing')
    await say(page, 'Prints', prints)
    await page.getByLabel('Why the plan changes').fill('the show asks for a declared edition')
    await page.getByRole('button', { name: 'Change the plan' }).click()
  }
  await change('12')
  await expect(
    page.getByText(/Number 17 of edition is given already\. Take the numbers back first/).first(),
  ).toBeVisible()
  await change('25')
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await stop(page, /^Sign/)
  await expect(page.getByRole('cell', { name: '1/25', exact: true })).toBeVisible()
  await expect(page.locator('td.pencilled', { hasText: '/17' })).toHaveCount(0)
})

test('a sheet spoiled on the rack shows in the rate of the next plan', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Plan/)
  await page.getByText('What that takes, stage by stage').click()
  const rests = page.getByRole('row', { name: /^layer 1/ }).first()
  await expect(rests).toContainText('in this room')
  const { editions } = await (await page.request.get(`${server.url}/api/editions?limit=100`)).json()
  const idOf = (title: string) => editions.find((one: { title: string }) => one.title === title).id
  const losses = async () => {
    const { record } = await (await page.request.get(`${server.url}/api/editions/${idOf('Slack Water')}`)).json()
    return record.methods.find((one: { method: string }) => one.method === 'reduction').passes
  }
  const before = await losses()
  await stop(page, /^Pull/)
  await choose(page, 'Spoiled off the press', /^sheet \d+/)
  await page.getByRole('button', { name: 'Spoil it' }).click()
  await expect(page.getByText('31 alive, 22 wanted.')).toBeVisible()
  await expect.poll(losses).toEqual({ passed: before.passed - 1, rejected: before.rejected + 1 })
})
