import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('another sheet than the next is taken, and a slip is shown before it is put right', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(90_000)
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  const strokes = page.locator('.tally g.stroke')
  await expect(strokes).not.toHaveCount(0)
  const before = await strokes.count()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('Next: sheet 21', { exact: true })).toBeVisible()

  // One key, the number, Enter; then on from there, and back to those left out at the end.
  await page.keyboard.press('s')
  await expectAccessible(page)
  await page.keyboard.type('999')
  await page.keyboard.press('Enter')
  await expect(page.getByText('There is no sheet 999 in this edition.')).toBeVisible()
  await page.getByLabel('Number of the sheet').fill('3')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Sheet 3 does not wait for black: good/)).toBeVisible()
  await page.getByLabel('Number of the sheet').fill('37')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Next: sheet 37', { exact: true })).toBeVisible()
  for (const next of ['Next: sheet 38', 'Next: sheet 21']) {
    await page.keyboard.press('g')
    await expect(page.getByText(next, { exact: true })).toBeVisible()
  }
  for (const next of ['Next: sheet 22', 'Next: sheet 23', 'Next: sheet 24']) {
    await page.keyboard.press('g')
    await expect(page.getByText(next, { exact: true })).toBeVisible()
  }

  // From the first of these three on they lay one sheet further.
  await page.goBack()
  await expect(strokes).toHaveCount(before + 5)
  await strokes.nth(-3).click()
  await page.getByRole('button', { name: 'From this pull on they lie on other sheets' }).click()
  await expect(page.getByText(/That moves pull \d+ from sheet 21 to 22; pull \d+ from sheet 22 to 23;/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Put them right' }).click()
  await expect(page.getByText('Say how it came, in a few words')).toBeVisible()
  await say(page, 'Sheets further in the stack', '-1')
  await expect(page.getByText(/There is no sheet 1 earlier than sheet 21/)).toBeVisible()
  await say(page, 'Sheets further in the stack', '1')
  await say(page, 'How the slip came', 'two sheets stuck together')
  await page.getByRole('button', { name: 'Put them right' }).click()
  await expect(page.getByText(/sheet 22, black, good/)).toBeVisible()
  await expect(page.getByText('balances')).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('Next: sheet 21', { exact: true })).toBeVisible()
})
