import { expect, givePinAgain, say, test } from '../fixtures/browser'
import { setUpToken } from '../fixtures/server'

/** The whole way of one edition, by a manager who has never seen the program. */
test('from torn paper to a signed and closed edition', async ({ page, pressroom, quiet }) => {
  test.setTimeout(180_000)
  // What this test asks for in vain on purpose; a browser logs every refusal.
  quiet.allow(
    /status of 4(00|03|22) \((invalid|wrong-token|give-secret-again|title-missing|lot-sheets-range|not-enough)\)/,
  )
  const server = await pressroom()
  const field = (label: string) => page.getByLabel(label, { exact: true })
  const click = (name: string) => page.getByRole('button', { name, exact: true }).click()
  const count = (label: string) => page.locator('.count dl > div').filter({ hasText: label }).locator('dd')

  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'A new pressroom' })).toBeVisible()
  await field('Token').fill('guess')
  await field('Pressroom').fill('Rope Works')
  await field('Your name, as manager').fill('Ansa Quill')
  await field('Your PIN or passphrase').fill('12')
  await click('Open the pressroom')
  await expect(page.getByText('4 to 200 characters').first()).toBeVisible()
  await field('Your PIN or passphrase').fill('net loft')
  await click('Open the pressroom')
  await expect(page.getByText('That is not the token').first()).toBeVisible()
  await field('Token').fill(setUpToken.toLowerCase())
  await click('Open the pressroom')
  await expect(page.getByText('No edition is here yet')).toBeVisible()

  // Plan: 20 prints, one layer, two artist's proofs. A half-filled form survives a reload.
  await page.getByRole('link', { name: 'Editions', exact: true }).click()
  await page.getByRole('link', { name: 'Start an edition' }).click()
  await click('Start')
  await expect(page.getByText('Give the edition a title').first()).toBeVisible()
  await field('Title').fill('Tide Gauge')
  await page.reload()
  await expect(field('Title')).toHaveValue('Tide Gauge')
  await click('Start')
  await expect(page.getByRole('heading', { name: 'Tide Gauge' })).toBeVisible()
  const strip = page.getByRole('navigation', { name: 'The edition’s way' })
  await strip.getByRole('link', { name: /^Paper/ }).click()

  // Paper: a lot, and 26 pieces torn from it.
  await click('Add paper to the store')
  await field('Name').fill('cream laid')
  for (const [label, text] of [
    ['Width', '760'],
    ['Height', '560'],
    ['Weight', '200'],
    ['Price a sheet', '4,60'],
    ['Sheets', '10'],
  ] as const)
    await field(label).fill(text)
  await click('Add the paper')
  await expect(page.getByText('cream laid, 760 × 560 mm')).toBeVisible()
  await field('Large sheets used').fill('30')
  await field('Good pieces they gave').fill('26')
  await click('Tear')
  await expect(page.getByText('30 large sheets cannot give only 26 pieces').first()).toBeVisible()
  await field('Large sheets used').fill('7')
  await click('Tear')
  await expect(count('blank')).toHaveText('26')
  await expect(page.getByText('balances')).toBeVisible()

  // Press and ink.
  await strip.getByRole('link', { name: /^Press/ }).click()
  await page.getByRole('link', { name: 'Add the room’s first press' }).click()
  await click('Add a press')
  await say(page, 'Name of the press', 'Long press')
  await click('Add the press')
  await say(page, 'Name of the packing', 'felt')
  await say(page, 'Thickness of one', '2,4 mm')
  await click('Put it in the drawer')
  await expect(page.getByText('2.4 mm').first()).toBeVisible()
  await page.goBack()
  await expect(page.getByText('Nobody knows yet how far a turn of Long press lifts.')).toBeVisible()
  await page.getByRole('button', { name: /^felt 2.4 mm/ }).click()
  await say(page, 'Left turns', '1')
  await click('Set the press')
  await expect(page.getByText('Each pull keeps the setting that was in force.')).toBeVisible()
  await strip.getByRole('link', { name: /^Ink/ }).click()
  await page.getByRole('link', { name: 'Mix it' }).click()
  await field('Name of the batch').fill('gauge black')
  await field('To mix in all').fill('50')
  for (const [i, [name, parts]] of [
    ['bone black', '9'],
    ['varnish', '1'],
  ].entries()) {
    await field('or by name').nth(i).fill(name!)
    await field('Parts').nth(i).fill(parts!)
  }
  await expect(page.getByText('90.0 % · 45.0 g')).toBeVisible()
  for (const weight of ['45', '5']) {
    await field('or weighed elsewhere').fill(weight)
    await click('Accept the typed weight')
  }
  await expect(page.getByText('All in, as the recipe says.')).toBeVisible()
  await click('Put it on the slab')
  await expect(page.getByText('50.0 g left of 50.0 g')).toBeVisible()
  await click('Work with it: gauge black')
  await field('Drawn for this session').fill('60')
  await click('Draw')
  await expect(page.getByText('only 50.0 g of gauge black are left')).toBeVisible()
  await field('Drawn for this session').fill('20')
  await click('Draw')
  await expect(page.getByText('30.0 g left of 50.0 g')).toBeVisible()

  // The bench: warm up, prove, BAT, then every pull.
  await page.getByRole('link', { name: 'To the bench' }).click()
  const strokes = page.locator('.tally g.stroke')
  await expect(page.getByText('Nothing pulled on this layer yet.')).toBeVisible()
  // Four keys in one moment: each waits for the one before, also where it is about what that one pulled.
  await page.evaluate(() => {
    for (const key of ['w', 'p', 'p', 'b']) window.dispatchEvent(new KeyboardEvent('keydown', { key }))
  })
  await expect(page.locator('g.is-bat')).toHaveCount(1)
  await expect(strokes).toHaveCount(3)
  for (let i = 0; i < 10; i++) await page.keyboard.press(' ')
  await expect(strokes).toHaveCount(13)
  await page.keyboard.press('a')
  await page.keyboard.press('1')
  await page.getByRole('button', { name: /^Doubtful/ }).click()
  await page.getByRole('button', { name: /salt/ }).click()
  await page.getByRole('button', { name: /^Reject/ }).click()
  await expect(page.locator('g.is-reject')).toHaveCount(1)
  await page.keyboard.press('u')
  await expect(page.locator('g.is-reject')).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(page.locator('g.is-reject')).toHaveCount(1)
  for (let i = 0; i < 14; i++) await page.getByRole('button', { name: /^Good/ }).click()
  await page.keyboard.press('n')
  await expect(page.getByText('every pull stored')).toBeVisible()
  await expect(page.getByText('No sheet waits for this layer.')).toBeVisible()
  await expect(page.getByText(/Pull 29, sheet 26, Layer 1, good, rescued, burnished/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Good/ })).toBeDisabled()

  // Curate, dry, number, sign.
  await page.getByRole('link', { name: 'Tide Gauge' }).click()
  await expect(count('good')).toHaveText('24')
  await expect(count('doubtful')).toHaveText('1')
  await page.getByRole('link', { name: /^Dry/ }).click()
  await page.getByRole('button', { name: 'Declare 25 sheets dry' }).click()
  await strip.getByRole('link', { name: /^Curate/ }).click()
  await page.getByRole('button', { name: 'Keep the 24 judged good' }).click()
  await expect(count('curated good')).toHaveText('24')
  await page.keyboard.press('Home')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('Sheet 3', { exact: true })).toBeVisible()
  await page.keyboard.press('r')
  const why = page.getByLabel(/^Sheet \d+ was judged good: why is it reject now/)
  await expect(why).toBeFocused()
  await page.getByRole('button', { name: 'It is reject' }).click()
  await expect(page.getByText('Say why it is reject now')).toBeVisible()
  await why.fill('dent in the margin')
  await page.getByRole('button', { name: 'It is reject' }).click()
  await expect(count('curated good')).toHaveText('23')
  await page.getByRole('link', { name: 'Give numbers' }).click()
  await expect(page.getByText('20 prints get their numbers over 20')).toBeVisible()
  await click('Give numbers')
  await expect(page.getByText('2 prints get their numbers over 2')).toBeVisible()
  await click('Give numbers')
  await expect(page.locator('td.pencilled', { hasText: 'AP II/II' })).toBeVisible()
  await expect(page.locator('figcaption .line')).toHaveText('1/20 · Tide Gauge · Ansa Quill')
  for (let i = 1; i <= 22; i++) {
    await click('Signed')
    if (i === 1) await givePinAgain(page, 'net loft')
    await expect(page.getByText(`${i} of 22 signed`)).toBeVisible()
  }

  // Close; the record.
  await strip.getByRole('link', { name: /^Close/ }).click()
  await click('Close')
  await expect(page.getByText('closed, read only')).toBeVisible()
  await expect(page.getByText('numbered 20 (20 signed)')).toBeVisible()
  await expect(page.getByText('AP 2 (2 signed)')).toBeVisible()
  await expect(page.getByText('balances', { exact: true })).toBeVisible()
  const record = await page.request.get(`${server.url}/api/editions/${page.url().split('/')[4]}/record.json`)
  expect(await record.json()).toMatchObject({
    title: 'Tide Gauge',
    impressions: 29,
    count: { balances: true, made: 26 },
    series: [
      { series: 'edition', size: 20, signed: 20 },
      { series: 'AP', signed: 2 },
    ],
  })

  // Printed again from the same block: each names the other.
  await expect(page.getByLabel('Its title')).toHaveValue('Tide Gauge, second edition')
  await page.getByLabel('Prints wanted').fill('')
  await click('Start it')
  await expect(page.getByText('Say how many prints are wanted')).toBeVisible()
  await page.getByLabel('Prints wanted').fill('12')
  await click('Start it')
  await expect(page.getByRole('heading', { name: 'Tide Gauge, second edition' })).toBeVisible()
  await strip.getByRole('link', { name: /^Close/ }).click()
  await expect(page.getByText(/^before: Tide Gauge, 22 signed/).first()).toBeVisible()
  await page.goBack()
  await page.goBack()
  await expect(page.getByText(/^since: Tide Gauge, second edition/).first()).toBeVisible()
})
