import { readFile } from 'node:fs/promises'
import { expect, expectAccessible, goTo, openEdition, say, test } from '../fixtures/browser'

test('a recall card is printed, and from it alone the layer is set up again in a fresh browser', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Prove/)
  await page.getByRole('link', { name: 'The recall card of this layer' }).click()
  await expect(page.getByText(/The standard is pull \d+, approved/)).toBeVisible()
  await expect(page.getByRole('img', { name: 'The standard of slate blue' })).toBeVisible()
  await expect(page.getByText(/^Zero of Long press: on /)).toBeVisible()
  await expect(page.getByText(/^Lower both to 10 turns, 5 divisions, from above/)).toBeVisible()
  await expectAccessible(page)
  const cards: string[] = []
  for (const paper of ['A4', 'Letter']) {
    await say(page, 'Paper of the card', paper)
    const downloading = page.waitForEvent('download')
    await page.getByRole('button', { name: 'The card as PDF' }).click()
    cards.push(await readFile((await (await downloading).path())!, 'latin1'))
  }
  expect(cards[0]).toContain('MediaBox [0 0 595.27')
  expect(cards[1]).toContain('MediaBox [0 0 612.')
  for (const card of cards) {
    expect(card.match(/\/Type \/Page\b/g)).toHaveLength(1)
    expect(card).toContain('slate blue')
    expect(card).toContain('/DCTDecode')
  }

  // What the code says is written beneath it too: typed in by another printer, it opens the bench at this layer.
  const [link] = /http:\/\/\S+\/bench\/[^)\s]+/.exec(cards[0]!)!
  const other = await browser.newContext()
  quiet.watch(other)
  const bench = await other.newPage()
  await bench.goto(link)
  await expect(bench.getByText('Net Loft Stairs').first()).toBeVisible()
  await bench.getByRole('button', { name: /^M?\s*More/ }).click()
  await expect(bench.getByText(/The standard is pull \d+: Long press; left 10 turns, 5 divisions/)).toBeVisible()
  await bench.getByRole('button', { name: 'Recall card' }).click()
  await expect(bench.getByText(/^Lower both to 10 turns, 5 divisions/)).toBeVisible()
  await other.close()
})

test('a set-up is watched at the gauge while turning, and read in; unplugged in mid-turn nothing is lost', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Press/)
  await page.getByRole('button', { name: 'Watch the gauge while turning' }).click()
  await expect(page.getByText('10 turns, 5 divisions', { exact: true }).last()).toBeVisible()
  await page.getByRole('button', { name: 'Both up' }).click()
  await expect(page.getByText(/still close \d/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Read this set-up in' })).toBeDisabled()
  await page.getByRole('button', { name: 'Unplug' }).click()
  await expect(page.getByRole('alert')).toContainText('The gauge is unplugged')
  await expect(page.getByRole('button', { name: 'Read this set-up in' })).toBeDisabled()
  await page.getByRole('button', { name: 'Stop' }).click()
  await page.getByRole('button', { name: 'Plug in' }).click()
  await expect(page.getByText(/Come from above: the screw was turned up last/)).toBeVisible()
  await page.getByRole('button', { name: 'Both down' }).click()
  await expect(page.getByText(/still open \d/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText(/Come from above/)).toHaveCount(0)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Read this set-up in' }).click()
  await expect(page.getByText(/It was really set to/)).toBeVisible()
  await page.getByRole('button', { name: 'Put the gauge away' }).click()
  await page.getByRole('button', { name: 'Set the press' }).click()
  await expect(page.getByRole('button', { name: 'Set the press' })).toBeDisabled()
})

test('where a block is kept is said, and a block of the room is used again', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Block/)
  await page.getByRole('button', { name: /^Where the block is kept: nobody said/ }).click()
  await page.getByLabel('Where the block is kept').fill('under the long press')
  const stored = page.waitForResponse((answer) => answer.url().endsWith('/api/commands'))
  await page.getByLabel('Where the block is kept').press('Enter')
  expect((await stored).status()).toBe(200)
  await expect(page.getByRole('button', { name: /^Where the block is kept: under the long press/ })).toBeVisible()
  await openEdition(page, server.url, 'Slack Water', /^Block/)
  await page.getByRole('button', { name: 'Block of the room: none' }).click()
  const rooms = page.getByLabel('Block of the room')
  const kept = rooms.locator('option', { hasText: 'under the long press' })
  await rooms.selectOption((await kept.getAttribute('value'))!)
  await rooms.press('Enter')
  await page.getByRole('button', { name: 'Use it here' }).click()
  await expect(page.getByRole('heading', { name: 'the block', exact: true })).toBeVisible()
  // Each names the other in its record.
  await goTo(page, /^Close/)
  await expect(page.getByText('before: Net Loft Stairs, 0 signed, open when this one was begun')).toBeVisible()
  await openEdition(page, server.url, 'Net Loft Stairs', /^Close/)
  await expect(page.getByText(/^since: Slack Water, begun/)).toBeVisible()
})
