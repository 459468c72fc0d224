import { readFile } from 'node:fs/promises'
import { expect, expectAccessible, say, signInAs, test } from '../fixtures/browser'

test('a session is closed step by step, and the next printer reads how the press was left', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/presses`)
  await page.getByRole('link', { name: 'Ansa Quill', exact: true }).click()
  await expect(page.getByText(/^You have a session open here since/)).toBeVisible()
  await expect(page.getByText(/Net Loft Stairs, slate blue: \d+ pulls/)).toBeVisible()
  await expectAccessible(page)

  // The label's time runs as a timer; what is done settles what is looked at.
  await page.getByRole('button', { name: 'Start By its label' }).click()
  await expect(page.getByText('2:59')).toBeVisible()
  for (const step of [/^Ghost prints/, /^Wash off the oil ink with seed oil/, /^Wipe what is forgotten/, /^Rags and/])
    await page.getByRole('checkbox', { name: step }).check()
  await expect(page.getByRole('button', { name: 'Yes, rollers clean and on their backs' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.getByRole('button', { name: 'No, pressure left on' }).click()
  await say(page, 'Note for the next one', 'the crank sticks')
  await page.getByRole('button', { name: 'A problem stays open' }).click()
  await say(page, 'What is the problem', 'a bolt of the bed is loose')
  // Half filled, it survives a reload.
  await page.reload()
  await expect(page.getByRole('checkbox', { name: /^Rags and/ })).toBeChecked()
  await page.getByRole('button', { name: 'Close my session' }).click()
  await expect(page.getByText(/^Free\. Ansa Quill was here last, just now; left pressure left on\.$/)).toBeVisible()

  await signInAs(page, server.url, 'Merle Tarn')
  await page.goto(`${server.url}/presses`)
  await page.getByRole('link', { name: 'Long press', exact: true }).first().click()
  await page.getByRole('link', { name: 'Who is at it' }).click()
  await expect(page.getByText('“the crank sticks”')).toBeVisible()
  // What was washed is dirty no more; what was left on and the bolt are on the list.
  await expect(page.getByText('ink on handles, frames, tins or bottles', { exact: false }).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^I see to it: a bolt of the bed is loose/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^I see to it: a roller dirty/ })).toHaveCount(0)
  await expectAccessible(page)
  await page.getByRole('button', { name: /^I see to it: a bolt of the bed is loose/ }).click()
  await expect(page.getByRole('button', { name: /^Leave it to another: a bolt/ })).toBeVisible()
  await page.getByRole('button', { name: /^Done: a bolt of the bed/ }).click()
  await expect(page.getByText('a bolt of the bed is loose')).toHaveCount(0)

  await page.getByRole('button', { name: 'All is as it should be' }).click()
  await page.getByRole('button', { name: 'No, slab dirty' }).click()
  await page.getByRole('button', { name: 'Open my session' }).click()
  await expect(page.getByText(/^You have a session open here since just now; found slab dirty\.$/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^I see to it: slab dirty/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^I see to it: pressure left on/ })).toHaveCount(0)

  // Whoever left it open is asked; nobody in a hurry is kept away.
  await signInAs(page, server.url, 'Oona Vell')
  await expect(page.getByText(/Your session at the North ink table is open since/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'I am still there' }).click()
  await expect(page.getByText(/Your session at the North ink table/)).toHaveCount(0)
  // Asked again when the page is loaded again, and no longer once somebody has closed it elsewhere.
  await page.reload()
  await expect(page.getByText(/Your session at the North ink table is open since/)).toBeVisible()
  const context = await browser.newContext()
  quiet.watch(context)
  const elsewhere = await context.newPage()
  await elsewhere.goto(server.url)
  await elsewhere.getByRole('link', { name: 'North ink table', exact: true }).click()
  await elsewhere.getByRole('button', { name: 'Close it for them, as it seems' }).click()
  await elsewhere.getByRole('button', { name: 'oil', exact: true }).click()
  await elsewhere.getByRole('button', { name: 'Close it as it seems' }).click()
  await expect(page.getByText(/Your session at the North ink table/)).toHaveCount(0)
  await context.close()
  await page.goto(`${server.url}/presses`)
  await page.getByRole('link', { name: 'Merle Tarn', exact: true }).first().click()
  await page.getByRole('button', { name: 'Merle Tarn has gone: open my session' }).click()
  await expect(page.getByText(/^You have a session open here/)).toBeVisible()
  await expect(page.getByText(/left open, taken over by Oona Vell/)).toBeVisible()
})

test('what the room has beside its presses: stations, a card with a code, and staff who close as it seems', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await page.getByRole('link', { name: 'North ink table', exact: true }).click()
  await page.getByRole('button', { name: 'Close it for them, as it seems' }).click()
  await page.getByRole('button', { name: 'oil', exact: true }).click()
  await expect(page.getByText(/^Wash off the oil ink with seed oil/)).toBeVisible()
  await page.getByRole('button', { name: 'No, table not bare, or wet' }).click()
  await page.getByRole('button', { name: 'Close it as it seems' }).click()
  await expect(page.getByText(/closed by Ansa Quill as it seemed: table not bare, or wet/).first()).toBeVisible()

  await page.getByRole('button', { name: 'Put it on the list' }).click()
  await expect(page.getByRole('alert')).toContainText('Say what the problem is')
  await say(page, 'What is to be done', 'no more seed oil')
  await say(page, 'Kind of task', 'low')
  await page.getByRole('button', { name: 'Put it on the list' }).click()
  await say(page, 'Who sees to it: no more seed oil', 'Piers Haddow')
  await expect(page.getByRole('button', { name: 'Who sees to it: no more seed oil: Piers Haddow' })).toBeVisible()

  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The card as PDF, A6' }).click()
  const card = await readFile((await (await downloading).path())!, 'latin1')
  expect(card).toContain('(North ink table)')
  await expect(page.getByRole('img', { name: /^A code for http.*\/stations\// })).toBeVisible()

  await page.goto(`${server.url}/presses`)
  await say(page, 'Name of the station', 'Yard bench')
  await say(page, 'Kind of station', 'cutting bench')
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.getByRole('link', { name: 'Yard bench' }).click()
  await expect(page.getByText('Cutting', { exact: true })).toBeVisible()
  await expectAccessible(page)
  await page.goto(`${server.url}/stations/nowhere`)
  await expect(page.getByText(/That station is not in the room/)).toBeVisible()
  await page.goto(server.url)
  await expect(page.getByText(/no more seed oil/)).toBeVisible()
  await expect(page.getByText(/Piers Haddow sees to it/)).toBeVisible()
})
