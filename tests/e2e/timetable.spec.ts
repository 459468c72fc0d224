import { dayOf, daysAfter } from '#core/time/room-day'
import { demoZone } from '../../demo/days'
import { expect, expectAccessible, say, signInAs, test, unfold } from '../fixtures/browser'

const dayIn = (days: number) => daysAfter(dayOf(Date.now(), demoZone), days)
const colours = ['yellow', 'ochre', 'rust', 'red', 'violet', 'blue', 'slate', 'green', 'brown']

test('an edition of 180 with nine hand colours is planned, booked, loses a week and is planned anew', async ({
  page,
  pressroom,
}) => {
  test.setTimeout(120_000)
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Merle Tarn', '/editions/new')
  await page.getByRole('textbox', { name: 'Title' }).fill('Harbour Light')
  await say(page, 'Prints', '180')
  await say(page, 'Wanted by', dayIn(49))
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page).toHaveURL(/\/plan/)
  const id = /editions\/([^/]+)/.exec(page.url())![1]!
  await page.goto(`${server.url}/editions/${id}/finish`)
  for (const [i, colour] of colours.entries()) {
    await page.getByRole('button', { name: i === 0 ? 'Add a colour' : 'one more' }).click()
    await expect(page.getByLabel(`Colour ${i + 1}`, { exact: true })).toBeFocused()
    await page.keyboard.type(colour)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: `Take out ${colour}` })).toBeVisible()
  }

  await page.goto(`${server.url}/day/ahead`)
  const row = page.getByRole('button', { name: /^Harbour Light/ })
  await expect(row).toContainText(/in time|late/)
  await row.click()
  const own = page.getByRole('region', { name: 'Harbour Light' })
  await expect(
    own.getByText(/What holds it up: .*the racks, full until .*the work after the press until/),
  ).toBeVisible()
  await expect(own.getByRole('cell', { name: /^Yellow, \d+ prints/ }).first()).toBeVisible()
  await expect(own.getByRole('cell', { name: /^Brown, \d+ prints/ }).first()).toBeVisible()
  await own.getByRole('button', { name: 'What would mend it?' }).click()
  await expect(own.getByText(/Somebody to help at the table: over on/)).toBeVisible()
  await expect(own.getByText(/More places to dry: over on/)).toBeVisible()
  const before = await row.innerText()

  // Its times at the press are taken over in one act, and stand on the day sheet.
  await own.getByRole('button', { name: /^Book .* at the press/ }).click()
  await expect(own.getByRole('cell', { name: /pulls, booked$/ }).first()).toBeVisible()
  await expect(own.getByRole('button', { name: /^Book .* at the press/ })).toHaveCount(0)

  // The last week of colouring is lost: its printer is away.
  const inWords = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })
  const over = Array.from({ length: 120 }, (_, days) => dayIn(days)).find((day) =>
    before.includes(inWords.format(new Date(day))),
  )!
  await page.goto(`${server.url}/day`)
  await unfold(page, 'Days shut and away')
  await say(page, 'First day shut', daysAfter(over, -6))
  await say(page, 'Last day shut', daysAfter(over, 1))
  await page.getByRole('button', { name: 'Say so' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: /Merle Tarn is away/ })).toBeVisible()
  await page.goto(`${server.url}/day/ahead`)
  await expect(row).not.toContainText(before.split('\n')[1]!)
  await expect(row).toContainText(/over/)
  await say(page, 'Whose editions', 'My own')
  await expect(page.getByRole('button', { name: /^Net Loft Stairs/ })).toHaveCount(0)
  await expectAccessible(page)
})
