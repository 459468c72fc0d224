import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('from a thick block to a thin one on a screw press: the change is told, set, and found again', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Slack Water', /^Press/)
  await say(page, 'Press', 'Long press')
  // What lies under the platen is not offered twice.
  await expect(page.getByRole('button', { name: /^thin card 0.25 mm, 6 left/ })).toBeVisible()
  await page.getByRole('button', { name: /^felt 2.4 mm/ }).click()
  // 4.8 mm of block, 0.33 of paper and 2.4 of felt, less the 0.1 at zero and the gap: 7.13 mm, 2 turns and 13 divisions.
  await expect(page.getByText('2 turns, 13 divisions', { exact: true })).toBeVisible()
  await expect(page.getByText(/^left close 7 turns, 8 divisions; right close 7 turns, 8.5 divisions$/)).toBeVisible()
  await expect(page.getByText(/from Net Loft Stairs, slate blue, set by Ansa Quill/)).toBeVisible()
  await expect(
    page.getByText(/^Lower both to 2 turns, 13 divisions, from above; the marks then show 0 left/),
  ).toBeVisible()

  // A gap greater than the stack is refused, and nothing is lost.
  await say(page, 'Gap below the stack', '9 mm')
  await expect(page.getByText(/is thinner than what lay on the bed at zero/)).toBeVisible()
  await say(page, 'Gap below the stack', '0.3 mm')

  await say(page, 'Missing thickness', '1.35 mm')
  await expect(page.getByText(/lay in press card, 3 × thin card, 1.35 mm\./)).toBeVisible()
  await page.getByRole('button', { name: 'Lay them in' }).click()
  // The sandwich is moved and taken apart with the keys.
  const sandwich = page.getByRole('group', { name: /^The sandwich under Long press/ })
  await sandwich.getByRole('button', { name: /^felt/ }).press('ArrowUp')
  await expect(sandwich).toHaveAccessibleName(/: 3 × thin card, 0.75 mm; felt, 2.4 mm; press card, 0.6 mm; the sheet/)
  await sandwich.getByRole('button', { name: /^3 × thin card/ }).press('Delete')
  await expect(sandwich).toHaveAccessibleName(/: 2 × thin card, 0.5 mm; felt/)
  await page.getByRole('button', { name: 'Set the press' }).click()
  await expect(page.getByText('It stands so')).toBeVisible()
  await expectAccessible(page)

  await page.getByRole('link', { name: 'Presses', exact: true }).click()
  await page.getByRole('link', { name: 'Long press', exact: true }).first().click()
  await expect(page.getByText('Slack Water').first()).toBeVisible()
  await page.getByLabel('Find a set-up', { exact: true }).fill('stairs slate')
  await expect(page.getByText('Tide Table')).toHaveCount(0)
  await expect(page.getByText(/10 turns, 5 divisions, right 10 turns, 5.5 divisions/)).toHaveCount(1)
  await page.getByLabel('Find a set-up', { exact: true }).fill('bollard rust')
  await expect(page.getByText('Tide Table')).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Net Loft Stairs' })).toHaveCount(1)
  await page.getByLabel('Find a set-up', { exact: true }).fill('no such block')
  await expect(page.getByText('No set-up has these words.')).toBeVisible()
  await page.getByRole('button', { name: 'Pressure off, packing back' }).click()
  await expect(page.getByText(/Nothing is set up on it; last it was Slack Water/)).toBeVisible()
  await expectAccessible(page)
})

test('a press is described, its pitch calibrated and its zero found, never on the bare bed', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/presses`)
  await page.getByRole('button', { name: 'Add a press' }).click()
  await page.getByRole('button', { name: 'Add the press' }).click()
  await expect(page.getByText('Give the press the name people call it by.').first()).toBeVisible()
  await say(page, 'Name of the press', 'Window press')
  await page.getByRole('button', { name: 'Add the press' }).click()
  await page.getByRole('link', { name: 'Window press' }).click()
  await page.getByText('Nobody knows the pitch?').click()
  await say(page, 'Thin board', '3.2 mm')
  await say(page, 'Thin, turns', '1')
  await say(page, 'Thick board', '8 mm')
  await say(page, 'Thick, turns', '3')
  await page.getByRole('button', { name: 'Take it' }).click()
  await page.getByRole('button', { name: 'Change the press' }).click()
  await expect(page.getByRole('button', { name: 'A turn lifts: 2.4 mm' })).toBeVisible()
  await page.getByRole('button', { name: 'Keep the zero' }).click()
  await expect(page.getByText('a roller is never brought down onto the bare bed')).toBeVisible()
  await say(page, 'Its thickness', '0.1 mm')
  await say(page, 'Left mark', '4')
  await page.getByRole('button', { name: 'Keep the zero' }).click()
  await expect(page.getByText(/^Found by Ansa Quill/)).toBeVisible()
  await say(page, 'An hour costs', '5')
  await page.getByRole('button', { name: 'Keep the rate' }).click()
  await expect(page.getByText(/€ 5.00 an hour from/)).toBeVisible()
})

test('a pin above the block goes under no roller; a platen shows where what prints balances', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Slack Water', /^Block/)
  await page.getByRole('link', { name: 'Registration sheet' }).click()
  await page.getByRole('button', { name: 'One more pin' }).click()
  await page.getByRole('button', { name: 'Keep the registration sheet' }).click()
  await expect(page.getByRole('button', { name: 'Keep the registration sheet' })).toBeDisabled()
  await openEdition(page, server.url, 'Slack Water', /^Press/)
  await say(page, 'Press', 'Long press')
  await expect(page.getByText(/nobody said how high they stand/)).toBeVisible()
  await page.getByRole('link', { name: 'say it' }).click()
  await say(page, 'Pin 1, height over the bed', '7.5 mm')
  await page.getByRole('button', { name: 'Keep the registration sheet' }).click()
  await openEdition(page, server.url, 'Slack Water', /^Press/)
  await say(page, 'Press', 'Long press')
  await expect(page.getByText(/A pin stands 2.70 mm above colour block: under a roller/)).toBeVisible()
  await say(page, 'Press', 'Small platen')
  await expect(page.getByText(/A pin stands/)).toHaveCount(0)
  await openEdition(page, server.url, 'Harbour Scales', /^Press/)
  await expect(page.getByText(/What prints balances .* of the platen’s middle/)).toBeVisible()
  await expect(page.getByText(/By the picture of the block/)).toBeVisible()
  await expectAccessible(page)
})
