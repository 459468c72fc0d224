import { choose, expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('hand colouring in batches of five, with its time left, a loss, and a chop that must miss the image', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(90_000)
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Finish 0 of 21/)
  await expect(
    page.getByText(/^0 of 21 prints are finished: about .+ still, and pale yellow, flattened and chop\.$/),
  ).toBeVisible()
  await expectAccessible(page)

  // One touch does the rest of a batch; another takes it back.
  const field = (name: string) => page.getByRole('button', { name, exact: true })
  await field('Batch 4, rust red: 0 of 5. Do the rest').click()
  await expect(field('Batch 4, rust red: 5 of 5, done. Take it back')).toBeVisible()
  await field('Batch 4, rust red: 5 of 5, done. Take it back').click()
  await field('Batch 4, rust red: 0 of 5. Do the rest').click()
  for (const step of ['pale yellow', 'flattened', 'chop']) await field(`Batch 1, ${step}: 0 of 5. Do the rest`).click()
  await expect(page.getByText(/^5 of 21 prints are finished/)).toBeVisible()
  await expect(page.getByText('good, to finish')).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^5 of 21 prints are finished/)).toBeVisible()

  // A print is lost in its wash: finishing loses it, the batch keeps its place.
  await choose(page, 'Spoiled off the press', 'sheet 6')
  await choose(page, 'By', 'bloom')
  await page.getByRole('button', { name: 'Spoil it' }).click()
  await expect(page.getByText(/^5 of 20 prints are finished/)).toBeVisible()
  await expect(field('Batch 2, slate: 4 of 4, done. Take it back')).toBeVisible()
  await expect(page.getByText('balances')).toBeVisible()

  // The chop: into the image it cannot go, and what was kept stays.
  await say(page, 'Chop from the left edge', '60')
  await say(page, 'Chop from the top edge', '60')
  await expect(page.getByText('The chop would stamp the image. Move it into the margin.')).toBeVisible()
  await say(page, 'Chop from the top edge', '8')
  await expect(page.getByText('The chop would stamp the image')).toBeHidden()

  // One colour more, a wash that ran.
  await page.getByRole('button', { name: 'one more' }).click()
  await expect(page.getByLabel('Colour 4', { exact: true })).toBeFocused()
  await page.keyboard.type('pitch black')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('columnheader', { name: /pitch black 0 of 20/ })).toBeVisible()
  await say(page, 'Whether ink and paper bear the wash', 'ran on a scrap')
  await expect(page.getByText('It ran on a scrap: let it harden longer')).toBeVisible()
  await page.getByRole('button', { name: 'Take out pitch black' }).click()
  await expect(page.getByRole('columnheader', { name: /pitch black/ })).toBeHidden()
  await expectAccessible(page)
})

test('an edition that is not coloured gets its finishing when it is said, and not before', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Dry/)
  await expect(page.getByRole('link', { name: /^Finish/ })).toBeHidden()
  await page.getByRole('link', { name: 'After the press' }).click()
  await say(page, 'Flattening', 'flattened under weight')
  await expect(page.getByRole('link', { name: /^Finish not yet/ })).toBeVisible()
})
