import { countOf as count, expect, expectAccessible, givePinAgain, openEdition, say, test } from '../fixtures/browser'

test('an edition counted from its good pulls, numbered by hand, taken back and given again', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Plan/)
  await say(page, 'Number 1 goes to', 'by hand')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await page.getByRole('link', { name: /^Curate/ }).click()
  await page.getByRole('button', { name: 'Keep the 19 judged good' }).click()
  await expect(count(page, 'curated good')).toHaveText('19')
  await page.getByRole('link', { name: 'Give numbers' }).click()
  await page.getByRole('button', { name: 'Type them' }).click()
  const numbers = page.getByLabel('Number', { exact: true })
  await numbers.nth(0).fill('2')
  await numbers.nth(1).fill('2')
  await page.getByRole('button', { name: 'Give numbers' }).click()
  await expect(page.getByText('edition 2 is used already. No number was given.').first()).toBeVisible()
  await expect(count(page, 'curated good')).toHaveText('19')
  await numbers.nth(1).fill('1')
  await page.getByRole('button', { name: 'Give numbers' }).click()
  await expect(count(page, 'edition, numbered')).toHaveText('2')
  await expect(page.locator('td.pencilled', { hasText: '1/17' })).toBeVisible()
  await page.getByRole('button', { name: 'Take numbers back' }).click()
  await expect(page.getByText('Say why the numbers are taken back').first()).toBeVisible()
  await page.getByLabel('Why the unsigned numbers are taken back').fill('wrong way round')
  await page.getByRole('button', { name: 'Take numbers back' }).click()
  await expect(count(page, 'curated good')).toHaveText('19')
  await expect(page.getByText('balances')).toBeVisible()
})

test('a signed edition is amended with a reason, closed, and reopened with another', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of (422|403 \(give-secret-again\))/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tide Table', /^Close/)
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(page.getByText('numbered prints are not signed yet')).toBeVisible()
  await page.getByRole('link', { name: /^Sign/ }).click()
  for (let i = 8; i <= 13; i++) {
    await page.getByRole('button', { name: 'Signed', exact: true }).click()
    if (i === 8) {
      await page.getByRole('dialog').getByRole('button', { name: 'Leave it' }).click()
      await expect(page.getByText('Nothing was done: the PIN was not given.')).toBeVisible()
      await page.getByRole('button', { name: 'Signed', exact: true }).click()
      await givePinAgain(page)
    }
    await expect(page.getByText(`${i} of 13 signed`)).toBeVisible()
  }
  const amend = page.locator('section', { has: page.getByRole('heading', { name: 'Amend the size' }) })
  await amend.getByLabel('Prints').fill('11')
  await amend.getByRole('button', { name: 'Amend' }).click()
  await expect(page.getByText('Say why the size changes').first()).toBeVisible()
  await amend.getByLabel('Why it changes').fill('one was promised twice')
  await amend.getByRole('button', { name: 'Amend' }).click()
  await expect(page.getByText('edition 12 is given already').first()).toBeVisible()
  await amend.getByLabel('Prints').fill('13')
  await amend.getByRole('button', { name: 'Amend' }).click()
  // What was pencilled stays so until someone says it was written anew.
  await expect(page.getByText('12 signed prints are pencilled over an earlier size')).toBeVisible()
  await expect(page.locator('td.pencilled', { hasText: '12/12' })).toBeVisible()
  await page.getByRole('button', { name: 'The 12 that are here are written anew' }).click()
  await expect(page.locator('td.pencilled', { hasText: '12/13' })).toBeVisible()
  await expect(page.getByText('pencilled over an earlier size')).toHaveCount(0)
  await page.getByRole('link', { name: /^Close/ }).click()
  await page.getByLabel('Note').fill('block kept in drawer 3')
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(page.getByText('block kept in drawer 3')).toBeVisible()
  await expect(page.getByText('one was promised twice')).toBeVisible()
  await page.getByRole('link', { name: /^Press .*set/ }).click()
  await expect(page.getByRole('button', { name: 'Set the press' })).toBeDisabled()
  await page.getByRole('link', { name: /^Close/ }).click()
  await page.getByRole('button', { name: 'Reopen' }).click()
  await expect(page.getByText('Say why the edition is reopened')).toBeVisible()
  await page.getByLabel('Why it is reopened').fill('a thirteenth turned up')
  await page.getByRole('button', { name: 'Reopen' }).click()
  await expect(page.getByRole('button', { name: 'Close', exact: true })).toBeVisible()
})

test('a reduction’s block is cut at the gate, the layer takes no more pulls, and the cut is taken back in time', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Pull/)
  await page.getByRole('link', { name: 'Before the next state is cut' }).click()
  await expect(page.getByText(/Not yet: \d+ of the 11 that wait, pulled first, make it 90 %\./)).toBeVisible()
  await expect(
    page.getByRole('img', { name: /32 sheets alive, 2 of them doubtful; 11 wait for slate blue/ }),
  ).toBeVisible()
  await expect(
    page.getByText(/Cut now: 0 %\. What waits pulled first: 9\d %\. Without the doubtful: \d+ %\./),
  ).toBeVisible()
  await expect(page.getByText(/Proofs of later layers take about \d sheets?; the chance allows for them/)).toBeVisible()
  await expect(page.getByRole('row', { name: /^11 9\d % \d+\.\d g of slate 2 about \d+ min/ })).toBeVisible()
  await expectAccessible(page)
  const cut = page.getByRole('button', { name: 'Yes, it is cut: no more of slate blue' })
  await cut.click()
  await expect(page.getByText('The block is cut further: this layer takes no more pulls.')).toBeVisible()
  await expect(count(page, 'left behind at layer 3')).toHaveText('11')
  await page.getByRole('button', { name: 'It was not cut after all' }).click()
  await expect(page.getByText('Say why the cut is taken back')).toBeVisible()
  await page.getByLabel('Why it is taken back').fill('it was only inked up')
  await page.getByRole('button', { name: 'It was not cut after all' }).click()
  await expect(count(page, 'left behind at layer 3')).toHaveCount(0)
  await cut.click()
  await expect(count(page, 'left behind at layer 3')).toHaveText('11')
  await expect(page.getByText('21 alive, 22 wanted.')).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await page.getByRole('combobox', { name: 'Layer' }).selectOption({ label: 'slate blue' })
  await expect(page.getByText('The block is cut further; this layer takes no more pulls.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Good/ })).toBeDisabled()
})
