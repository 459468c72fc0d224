import { expect, openSetUp, test } from '../fixtures/browser'

test('from an empty room to the tenth stroke takes fewer than forty acts, and no documentation', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom()
  let acts = 0
  const type = async (label: string, text: string) => {
    acts += 1
    await page.getByLabel(label, { exact: true }).fill(text)
  }
  const touch = async (role: 'button' | 'link', name: string | RegExp) => {
    acts += 1
    await page.getByRole(role, { name }).first().click()
  }
  // The server prints an address with its token.
  await openSetUp(page, server)
  await type('Pressroom', 'Rope Works')
  await type('Your name, as manager', 'Ansa Quill')
  await type('Your PIN or passphrase', 'net loft')
  await touch('button', 'Open the pressroom')
  await touch('link', 'Start the first one')
  await type('Title', 'Tide Gauge')
  await touch('button', /^Start$/)
  await touch('link', /^Paper none torn/)
  await touch('button', 'Add paper to the store')
  await type('Name', 'cream laid')
  await type('Width', '760')
  await type('Height', '560')
  await type('Weight', '200')
  await type('Sheets', '10')
  await touch('button', 'Add the paper')
  await expect(page.getByText(/from a sheet/).first()).toBeVisible()
  await touch('button', /^As planned/)
  await touch('button', /^Tear$/)
  await expect(page.getByText('balances')).toBeVisible()
  await touch('link', 'To the bench')
  await expect(page.getByText('Next: sheet 1')).toBeVisible()
  for (let i = 0; i < 10; i++) await touch('button', /^Good/)
  await expect(page.locator('.run .base')).toHaveCount(10)
  expect(acts).toBeLessThan(40)
})
