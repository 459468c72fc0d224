import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('two images to a piece, locked up: torn, pulled at once, told apart, and cut apart', async ({
  page,
  pressroom,
}) => {
  test.setTimeout(90_000)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Slack Water', /^Paper/)
  await page.getByRole('button', { name: /^The sheet/ }).click()
  await page.getByLabel('Images side by side').fill('2')
  await page.getByLabel('between two of them').fill('20')
  await page.getByLabel('Top margin', { exact: true }).fill('20')
  await expect(page.getByText(/2 images to a piece: 17 pieces to tear/)).toBeVisible()
  await page.getByRole('button', { name: 'Keep this sheet' }).click()
  await page.getByLabel('Large sheets used').fill('2')
  await page.getByLabel('Good pieces they gave').fill('3')
  await page.getByRole('button', { name: 'Tear', exact: true }).click()
  await expect(page.getByText(/3 pieces of paper hold several images, sheets 1·2, 3·4, 5·6/)).toBeVisible()
  await expect(page.getByRole('link', { name: /^Paper 6 torn/ })).toBeVisible()
  await expectAccessible(page)

  // One pull prints both.
  await page.getByRole('link', { name: /^Plan/ }).click()
  await say(page, 'Images that one pull of layer 1 prints', '2')
  await expect(page.getByText('2 of the 2 images').first()).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('Next: sheet 1 and 2', { exact: true })).toBeVisible()
  await page.keyboard.press('g')
  await expect(page.getByText('Next: sheet 3 and 4', { exact: true })).toBeVisible()
  await page.keyboard.press('r')
  const which = page.getByRole('group', { name: 'Which of them' })
  await expect(which.getByRole('button', { name: '3 reject' })).toBeVisible()
  await expectAccessible(page)
  await which.getByRole('button', { name: '3 reject' }).click()
  await expect(which.getByRole('button', { name: '3 good' })).toHaveAttribute('aria-pressed', 'false')
  await page.keyboard.press('1')
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  await page.goBack()
  await page.getByRole('link', { name: /^Pull/ }).click()

  // Sheet 4 alone is lost; the pull shows both.
  await expect(page.getByText('rejects, layer 1')).toBeVisible()
  await page.locator('.tally g.stroke').nth(-1).click()
  await expect(page.getByRole('combobox', { name: 'Sheet 3 of it' })).toBeVisible()
  await expect(page.getByText('balances')).toBeVisible()
  await page.getByRole('link', { name: /^Paper 6 torn/ }).click()
  await page.getByRole('button', { name: 'They are cut apart' }).click()
  await expect(page.getByText('hold several images')).toBeHidden()
})

test('a layer laid on without a press is counted under Pull and printed over', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Slack Water', /^Paper/)
  await page.getByLabel('Large sheets used').fill('1')
  await page.getByLabel('Good pieces they gave').fill('4')
  await page.getByRole('button', { name: 'Tear', exact: true }).click()
  await expect(page.getByRole('link', { name: /^Paper 4 torn/ })).toBeVisible()
  await page.getByRole('link', { name: /^Plan/ }).click()
  await say(page, 'How layer 1 comes on', 'laid on without a press')
  await page.getByRole('link', { name: /^Pull/ }).click()
  await page.getByRole('button', { name: 'It is on 4 sheets' }).click()
  await expect(page.getByText('4 sheets carry it, 0 wait for it')).toBeVisible()
  await expect(page.getByText('layer 1, drying')).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await page.getByRole('combobox', { name: 'Layer' }).selectOption({ index: 0 })
  await expect(
    page.getByText('This layer is laid on without a press: count its sheets under Pull.').first(),
  ).toBeVisible()
})
