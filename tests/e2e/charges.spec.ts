import { readFileSync } from 'node:fs'
import { expect, expectAccessible, say, signInAs, test } from '../fixtures/browser'

test('a month’s statements add up, line by line, and each is told their own', async ({ page, browser, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/office`)
  await page.getByRole('link', { name: 'Who owes what' }).click()
  await say(page, 'First day', '2026-01-01')
  await expect(page.getByText(/€ \d+\.\d\d in all, \d+ lines/)).toBeVisible()
  const inAll = Number(/€ ([\d.]+) in all/.exec(await page.locator('.told').innerText())![1])
  const sums = async () =>
    (await page.locator('.sum strong').allInnerTexts()).map((text) => Number(text.replace('€ ', '')))
  const total = (amounts: number[]) => amounts.reduce((sum, amount) => sum + amount, 0).toFixed(2)
  expect(total(await sums())).toBe(inAll.toFixed(2))
  // The file says the same, to the cent.
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  const [, ...rows] = readFileSync(await (await coming).path(), 'utf8')
    .trim()
    .split('\r\n')
  expect(total(rows.map((row) => Number(/,(-?\d+\.\d\d),(yes|no),(yes|no),(yes|no)$/.exec(row)![1])))).toBe(
    inAll.toFixed(2),
  )
  const paper = page.waitForEvent('download')
  await page.getByRole('button', { name: 'PDF' }).click()
  expect((await paper).suggestedFilename()).toMatch(/^statements-2026-01-01-.*\.pdf$/)
  await page.getByRole('button', { name: 'Tansy Crake' }).click()
  await expect(page.getByRole('cell', { name: '2 sheets of cream laid given out' })).toBeVisible()
  await expect(page.getByRole('cell', { name: '2 sheets of cream laid torn', exact: true })).toBeVisible()
  await expectAccessible(page)
  await say(page, 'By', 'class')
  await expect(page.getByRole('button', { name: 'Evening class' })).toBeVisible()
  await say(page, 'By', 'edition')
  await expect(page.getByRole('button', { name: 'Kettle, Tansy' })).toBeVisible()
  await say(page, 'Last day', '2025-12-01')
  await expect(page.getByText('That day is before the first one.')).toBeVisible()

  const student = await (await browser.newContext()).newPage()
  await signInAs(student, server.url, 'Tansy Crake', '/charges')
  await expect(student.locator('.sum')).toHaveCount(1)
  await expect(student.getByRole('button', { name: 'Tansy Crake' })).toBeVisible()
  await student.context().close()
})
