import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('from a fault at the bench to one thing to try in two touches, and the next pulls settle it', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  for (let i = 0; i < 2; i++) {
    await page.keyboard.press('r')
    await page.getByRole('group', { name: 'Name the fault' }).getByRole('button', { name: /salt/ }).click()
  }
  await page.getByRole('button', { name: 'What helps?' }).click()
  await expect(page.getByRole('heading', { name: 'Fault finder' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'salt', pressed: true })).toBeVisible()
  await expect(page.getByText('against too little ink; not tried here yet').first()).toBeVisible()
  await expectAccessible(page)
  // A fault that stays in its place speaks for the press.
  await say(page, 'It', 'stays in one place')
  await expect(page.getByText(/light pressure .*it stays in one place/)).toBeVisible()
  await say(page, 'It', 'wanders')
  await page.getByRole('button', { name: 'Tried it', exact: true }).click()
  await expect(page.getByText('the next pulls tell')).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  for (let i = 0; i < 6; i++) await page.keyboard.press('g')
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  await page.goBack()
  await expect(page.getByText('salt: one more pass, worked')).toBeVisible()
  await expect(page.getByText('worked 1 of 1 here').first()).toBeVisible()
})

test('the fault finder by itself teaches, and offers nothing to try at no edition', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/finder`)
  await page.getByRole('button', { name: 'chatter' }).click()
  await expect(page.getByText('high ridges in the clearing', { exact: false }).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Tried it' })).toHaveCount(0)
  await page.getByRole('button', { name: 'handling' }).click()
  await expect(page.getByText(/Nothing is tried against this one/)).toBeVisible()
})
