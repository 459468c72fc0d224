import { readFile } from 'node:fs/promises'
import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('a run is watched: why in numbers, what to try, tried, quiet; its ink graded and laid afresh', async ({
  page,
  pressroom,
}) => {
  test.setTimeout(90_000)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await expect(page.getByText(/18 of 20 pulls good, 90 %: most likely between 70 % and 97 %/)).toBeVisible()
  await expect(page.getByText(/it would speak by chance once in 20\d pulls/)).toBeVisible()
  // Where losses come from, with the pulls it rests on, and as CSV.
  await expect(page.getByRole('row', { name: /^black 2 20/ })).toBeVisible()
  await say(page, 'Losses told apart by', 'paper')
  await expect(page.getByRole('row', { name: /^cream laid 2 20/ })).toBeVisible()
  await say(page, 'Losses told apart by', 'place')
  await expect(page.getByText(/No fault’s place was said yet|upper|middle|lower/).first()).toBeVisible()
  await say(page, 'Losses told apart by', 'press')
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'As CSV' }).click()
  const csv = await readFile(await (await downloading).path(), 'utf8')
  expect(csv).toContain('press,pulls,not good,good an hour,fault,times')
  expect(csv).toContain('Small platen,20,2,')
  await expectAccessible(page)

  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText(/^Next: sheet/)).toBeVisible()

  // Figures without a panel grade the last pull's ink against the standard.
  await page.keyboard.press('4')
  const grades = page.getByRole('group', { name: 'Ink against the standard' })
  await expect(grades.getByRole('button', { name: '+1' })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('9')
  await expect(page.getByText(/1 to 5 hold the ink of the last pull/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expectAccessible(page)

  // The same fault three times is said, with how seldom chance says it, and what is best tried.
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('r')
    await page.getByRole('button', { name: /^\d*slur$/ }).click()
    await page.keyboard.press('Escape')
  }
  await expect(
    page.getByText(/slur on 3 of the last \d\. Chance alone says this once in [\d,]+ pulls or more\./),
  ).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Tried it' }).click()
  await expect(page.getByText(/is being tried: the next pulls tell/)).toBeVisible()
  await expect(page.getByText(/slur on 3/)).toHaveCount(0)

  // It can be told to be quiet.
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('r')
    await page.getByRole('button', { name: /^\d*slur$/ }).click()
    await page.keyboard.press('Escape')
  }
  for (let i = 0; i < 4 && (await page.getByRole('button', { name: 'Quiet for this run' }).count()) > 0; i++)
    await page.getByRole('button', { name: 'Quiet for this run' }).click()
  await expect(page.getByText(/^Next: sheet/)).toBeVisible()

  // Ink laid afresh counts pulls and minutes from there.
  await page.keyboard.press('a')
  await page.getByRole('button', { name: /ink laid afresh/ }).click()
  await page.keyboard.press('g')
  await expect(page.getByText(/ink laid 1 min ago, 1 pull$/)).toBeVisible()
})

test('a run taken up on another day begins with its standard, and the first pull is a warm-up', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Pull/)
  await page.clock.install({ time: Date.now() + 20 * 3600_000 })
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText(/Last pulled .+ Set everything as it was: charge, pass/)).toBeVisible()
  await expect(page.getByText(/^The standard is pull/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Warm up first' }).click()
  // The tablet is a day ahead of the room: stored by the room's clock, the pull is still the one that was just made here.
  await expect(page.getByText(/warm-up, .* the tablet’s clock was wrong/).first()).toBeVisible()
  await expect(page.getByText(/^Next: sheet/)).toBeVisible()
  await expect(page.getByText(/^Last pulled/)).toHaveCount(0)
})
