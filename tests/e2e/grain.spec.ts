import { choose, expect, test, unfold } from '../fixtures/browser'

test('a grain wanted on a sheet of unknown grain shows both ways to tear, until it is known', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions?search=Slack`)
  await page.getByRole('link', { name: 'Slack Water' }).click()
  await page
    .getByRole('navigation', { name: 'The edition’s way' })
    .getByRole('link', { name: /^Paper/ })
    .click()
  await expect(page.getByText('from a sheet').first()).toBeVisible()
  await unfold(page, 'The sheet')
  await choose(page, 'Grain of the sheet runs', 'not known')
  await choose(page, 'Grain of the piece', 'along the width')
  await expect(page.getByText('A grain is wanted, and this sheet’s is not known yet.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'If the grain runs along the width' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'If the grain runs along the height' })).toBeVisible()
  await expect(page.getByRole('img', { name: /^Tear plan/ })).toHaveCount(2)
  await choose(page, 'Grain of the sheet runs', 'along the height')
  await expect(page.getByRole('img', { name: /^Tear plan/ })).toHaveCount(1)
  await expect(page.getByText('this sheet’s is not known yet')).toHaveCount(0)
})
