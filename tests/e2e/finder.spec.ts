import { expect, expectAccessible, openEdition, say, test, unfold } from '../fixtures/browser'

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
  await expect(page.getByText('against too little ink; worked 1 of 1 here').first()).toBeVisible()
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
  await expect(page.getByText('worked 2 of 2 here').first()).toBeVisible()
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

test('a fault in one place on three of five pulls is named before the next, and its place prints for a patch', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText(/^Next: sheet/)).toBeVisible()
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('r')
    await page.getByRole('button', { name: /^\d*salt$/ }).click()
    await expect(page.getByText('salt: usually doubtful.')).toBeVisible()
    await page.getByRole('button', { name: 'Where?' }).click()
    if (i === 0) await expectAccessible(page)
    if (i < 2) await page.getByRole('button', { name: '3 salt: upper right' }).click()
    else await page.keyboard.press('3')
  }
  await expect(page.getByText(/salt stays in one place, 3 of 5/)).toBeVisible()
  await page.getByRole('link', { name: 'Look closer' }).click()
  await expect(page.getByText(/It stays in one place, on 3 of the last 5 pulls/)).toBeVisible()
  await expect(page.getByRole('button', { name: /stays in one place$/ })).toBeVisible()
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Print the place 1:1, for a patch' }).click()
  expect((await downloading).suggestedFilename()).toBe('harbour-scales-patch.pdf')
})

test('staff write what the room says of a fault, and what it said before stays', async ({ page, pressroom, quiet }) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/finder`)
  await page.getByRole('button', { name: /^salt/ }).click()
  await unfold(page, 'What this room says of it')
  await say(page, 'What it makes of a sheet', 'a reject')
  await say(page, 'Remedies 1', 'warm the slab; one more pass')
  await page.getByRole('button', { name: 'One more cause' }).click()
  await page.getByRole('button', { name: 'Keep what this room says' }).click()
  await expect(page.getByRole('alert')).toContainText('Say each cause in words')
  await page.getByRole('button', { name: 'Take out cause 5' }).click()
  await page.getByRole('button', { name: 'Keep what this room says' }).click()
  await expect(page.getByText(/Ansa Quill: a reject; too little ink \(warm the slab, one more pass\)/)).toBeVisible()
  await expect(page.getByText('warm the slab', { exact: true }).first()).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'As it usually is' }).click()
  await page.getByRole('button', { name: 'Keep what this room says' }).click()
  await expect(page.getByText(/Ansa Quill: doubtful; too little ink \(one more pass, recharge sooner\)/)).toBeVisible()
  await expect(page.getByText(/Ansa Quill: a reject/)).toBeVisible()
})
