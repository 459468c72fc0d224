import { readFileSync } from 'node:fs'
import { choose, expect, say, test } from '../fixtures/browser'

/** A large print from four blocks, by hand: planned, its blocks described, its paper bought, its jig on several pages. */
test('a large print from four blocks, from its plan to a jig on several pages', async ({ page, pressroom }) => {
  test.setTimeout(120_000)
  const server = await pressroom({ demo: true })
  const field = (label: string) => page.getByLabel(label, { exact: true })
  const click = (name: string) => page.getByRole('button', { name, exact: true }).click()
  await page.goto(`${server.url}/editions/new`)
  await field('Title').fill('Crane Yard')
  await say(page, 'Prints', '12')
  await say(page, 'How colour is made', 'several blocks')
  await say(page, 'Printed', 'by hand, large')
  await say(page, 'Layers are', 'all planned ahead')
  await say(page, 'Layers reckoned with', '4')
  await click('Start')

  // Large hand work loses more, and what the room has done of it counts beside the guess.
  const sheets = async () => Number(await page.getByRole('button', { name: /sheets for 90 %/ }).textContent())
  await expect(page.getByText(/from \d+ pulls in this room and a guess worth 25/).first()).toBeVisible()
  const before = await sheets()
  expect(before).toBeGreaterThan(25)
  await say(page, 'You expect to pass', '95')
  await say(page, 'As sure as after', '200')
  await expect.poll(sheets).toBeLessThan(before)
  await page.getByRole('button', { name: /sheets for 90 %/ }).click()
  await click('Change the plan')
  await expect(page.getByText('The plan is changed.')).toBeVisible()

  // Paper: one to a sheet, more than is on the shelf.
  await page.getByRole('link', { name: /^Paper none/ }).click()
  await choose(page, 'Paper', /heavy rag/)
  await field('Image, width').fill('640')
  await field('Image, height').fill('420')
  await expect(page.getByText(/1 from a sheet/)).toBeVisible()
  await field('Image, width').fill('900')
  await expect(page.getByText('The piece is larger than the sheet.')).toBeVisible()
  await field('Image, width').fill('640')
  await click('Keep this sheet')
  await expect(page.getByRole('button', { name: 'Keep this sheet' })).toHaveCount(0)
  await page.getByRole('link', { name: /^Plan/ }).click()
  await page.getByText('What that takes, stage by stage').click()
  await expect(page.getByText(/large sheets at 1 a sheet/)).toBeVisible()

  // Four blocks of one size.
  await page.getByRole('link', { name: /^Block/ }).click()
  for (const [i, name] of ['sky', 'water', 'cranes', 'key block'].entries()) {
    if (i > 0) await click('One more block')
    await field('Name').fill(name)
    await expect(field('Image, width')).toHaveValue('640 mm')
    await click('Keep the block')
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
  }
  await expect(page.getByRole('link', { name: 'Block 4 blocks' })).toBeVisible()

  // The jig is larger than any page of the printer.
  await page.getByRole('link', { name: 'Registration sheet' }).click()
  await expect(field('Block or mount, width')).toHaveValue('640 mm')
  const waiting = page.waitForEvent('download')
  await click('PDF at full size')
  const pdf = readFileSync(await (await waiting).path()).toString('latin1')
  expect(pdf.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(6)
  expect(pdf).toContain('row 2, column 2')
})
