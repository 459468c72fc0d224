import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('proofs are a path: judged in a sentence, the next setting told, one of them made the standard', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Ferry Clock', /^Prove/)
  const path = page.getByRole('button', { name: /^Proof \d+/ })
  await expect(path).toHaveCount(6)
  await expect(path.nth(1)).toHaveAccessibleName(/gap 0.2 mm closer; impression a little heavy/)
  await expect(path.nth(5)).toHaveAccessibleName(/on good paper; impression a little light; ink right/)
  // The gap and a charge were changed at once: it tells of neither.
  await expect(page.getByText('more than one thing at once', { exact: true })).toBeVisible()
  await expect(page.getByText(/^The gap: try 0.\d+ mm below the stack/)).toBeVisible()
  await expect(page.getByText('3 is right')).toHaveCount(1)
  await expectAccessible(page)

  // A light proof at a setting where another was heavy is shown, not averaged.
  await path.nth(1).click()
  await say(page, 'Impression', 'far too light')
  await page.getByRole('button', { name: 'Keep the judgement' }).click()
  await expect(path.nth(1)).toHaveAccessibleName(/impression far too light/)
  await page.reload()
  await expect(path.nth(1)).toHaveAccessibleName(/impression far too light/)

  await path.nth(4).click()
  await page.getByRole('button', { name: 'Make it the standard' }).click()
  await expect(page.getByText(/The standard is pull 6, set on .*, on Long press, left 2 turns/)).toBeVisible()
  await path.nth(5).click()
  await page.getByLabel('Why the standard is replaced').fill('the good paper decides')
  await page.getByRole('button', { name: 'Make it the standard' }).click()
  await expect(page.getByText('Before: pull 6, replaced: the good paper decides')).toBeVisible()

  // The gap to try is carried to the press.
  await page.getByRole('link', { name: 'Set the press to it' }).click()
  await expect(page.getByRole('button', { name: 'Gap below the stack: 0.72 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Set the press' }).click()
  await expect(page.getByText('It stands so')).toBeVisible()
})
