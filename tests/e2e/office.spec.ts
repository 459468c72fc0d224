import { readFileSync, writeFileSync } from 'node:fs'
import Papa from 'papaparse'
import { expect, expectAccessible, say, signInAs, test, unfold } from '../fixtures/browser'

test('a list of people is brought in, its broken rows told and the rest taken', async ({ page, pressroom }, info) => {
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Ansa Quill', '/office')
  await unfold(page, 'Many at once')
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The list as CSV' }).click()
  const own = readFileSync(await (await coming).path(), 'utf8')
  expect(own).toMatch(/^name,role,here\r\n/)
  expect(own).toContain('Merle Tarn,member,yes')
  const file = info.outputPath('people.csv')
  writeFileSync(
    file,
    `${own.replace('Oona Vell,member,yes', 'Oona Vell,member,left')}Fen Ashby,student,\r\n,student,\r\nPip Rowe,prefect,\r\n`,
  )
  await page.getByLabel(/^A list of people/).setInputFiles(file)
  await expect(page.getByText(/1 person to add, 1 to change, \d+ as before; 2 rows stay out/)).toBeVisible()
  await expect(page.getByText('“prefect” is no role')).toBeVisible()
  await page.getByRole('button', { name: 'Take it over' }).click()
  await expect(page.getByText('1 person added.')).toBeVisible()
  const pin = await page.getByRole('row', { name: /^Fen Ashby \d{6}$/ }).innerText()
  expect(pin).toMatch(/\d{6}$/)
  await expect(page.getByRole('row', { name: /^Oona Vell member left/ })).toBeVisible()
  const broken = info.outputPath('broken.csv')
  writeFileSync(broken, 'who;what\r\nsomebody;student\r\n')
  await page.getByLabel(/^A list of people/).setInputFiles(broken)
  await expect(page.locator('p[role=alert]')).toContainText('The list needs a heading “name”')
  await expectAccessible(page)
})

test('what is low is listed by maker, and a year stands on one page that adds up', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Ansa Quill', '/orders')
  await expect(page.getByRole('heading', { name: 'Order list' })).toBeVisible()
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: /for |as a reserve/ })
      .first(),
  ).toBeVisible()
  await expectAccessible(page)
  await page.goto(`${server.url}/year`)
  await expect(page.getByText(/\d+ editions? begun and \d+ closed; \d+ prints? signed/)).toBeVisible()
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  const told = readFileSync(await (await coming).path(), 'utf8')
  const { data } = Papa.parse<{ what: string; name: string; number: string }>(told.trim(), { header: true })
  const sum = data.filter(({ what }) => what === 'edition').reduce((all, { number }) => all + Number(number), 0)
  const all = data.find(({ what, name }) => what === 'impressions' && name === 'all')!
  expect(sum).toBe(Number(all.number))
  expect(sum).toBeGreaterThan(200)
  await expectAccessible(page)
})

test('a month is settled, a later correction is a line of its own, and nothing is lost', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Ansa Quill', '/charges')
  const year = new Date().getFullYear()
  await say(page, 'First day', `${year - 1}-01-01`)
  await unfold(page, 'Another charge')
  await say(page, 'Who owes', 'Merle Tarn')
  await say(page, 'Amount', '12.50')
  await say(page, 'What it is for', 'locker')
  await page.getByRole('button', { name: 'Write it down' }).click()
  const merle = page.getByRole('region', { name: 'Merle Tarn' })
  await expect(merle).toContainText('other € 12.50')
  await merle.getByRole('button', { name: 'Merle Tarn' }).click()
  const owed = /settles (€ [\d.]+)/.exec(await merle.innerText())![1]!
  await expect(merle.locator('.sum strong')).toHaveText(owed)
  await say(page, 'How it was settled', 'in cash')
  await merle.getByRole('button', { name: 'Settle it' }).click()
  await expect(merle.locator('.sum')).toContainText('settled')
  await expect(merle).toContainText(`${owed} for`)
  await expect(merle).toContainText('in cash')
  // What comes later is open by itself.
  await say(page, 'Who owes', 'Merle Tarn')
  await say(page, 'Owes or gets', 'gets back')
  await say(page, 'Amount', '2')
  await say(page, 'What it is for', 'a key given back')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(merle.locator('.sum')).toContainText('− € 2.00 open')
  // It was settled too early: open again, with the reason, and all of it is owed.
  await merle.getByRole('button', { name: 'Open it again' }).click()
  await say(page, 'Why it is open again', 'the wrong month')
  await merle.getByRole('button', { name: 'Open it', exact: true }).click()
  await expect(merle.locator('.sum')).not.toContainText('open')
  await page.reload()
  await say(page, 'First day', `${year - 1}-01-01`)
  await expect(page.getByRole('region', { name: 'Merle Tarn' }).locator('.sum')).not.toContainText('settled')
  await expectAccessible(page)

  // The room's own use is told at cost, and owed by nobody.
  await say(page, 'By', 'edition')
  const scales = page.getByRole('region', { name: 'Harbour Scales' })
  await scales.getByRole('button', { name: 'Harbour Scales' }).click()
  await scales.getByRole('button', { name: 'The room’s own, at cost' }).click()
  await expect(page.getByRole('heading', { name: 'The room’s own use, at cost' })).toBeVisible()
})
