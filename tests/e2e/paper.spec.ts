import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { choose, expect, expectAccessible, openSetUp, say, test } from '../fixtures/browser'
import type { Server } from '../fixtures/server'

const field = (page: Page, label: string) => page.getByLabel(label, { exact: true })
const click = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()
const downloaded = async (page: Page, name: string) => {
  const waiting = page.waitForEvent('download')
  await click(page, name)
  const file = await waiting
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) }
}

/** A new edition with a block of its own, in an empty pressroom. */
async function start(page: Page, server: Server, title: string): Promise<void> {
  await openSetUp(page, server)
  await field(page, 'Pressroom').fill('Rope Works')
  await field(page, 'Your name, as manager').fill('Ansa Quill')
  await field(page, 'Your PIN or passphrase').fill('net loft')
  await click(page, 'Open the pressroom')
  await expect(page.getByText('No edition is here yet')).toBeVisible()
  await page.goto(`${server.url}/editions/new`)
  await field(page, 'Title').fill(title)
}

test('one layer, even margins and a heavier foot: planned, torn and printed to take to the table', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(120_000)
  quiet.allow(/status of 422 \((piece-unfit|reason-missing)\)/)
  const server = await pressroom()
  await start(page, server, 'Tide Gauge')
  await click(page, 'Start')

  // The plan: a guess says how many sheets; the choice is kept as it stands, and a start below the goal is refused in words.
  await expect(page.getByText('a guess, worth 25 pulls').first()).toBeVisible()
  const ninety = page.getByRole('button', { name: /sheets for 90 %/ })
  const sheets = Number(await ninety.textContent())
  expect(sheets).toBeGreaterThan(24)
  await ninety.click()
  await expect(page.getByText(`chance of 22 good from ${sheets}`)).toBeVisible()
  await page.getByRole('img', { name: /Chance of 22 good prints against sheets started/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(`${sheets + 1} sheets started:`)).toBeVisible()
  await say(page, 'Sheets started', '20')
  await expect(page.getByText('so many cannot come from 20 sheets')).toBeVisible()
  // With the keyboard alone: Enter opens, arrows change, Escape leaves it as it was; what is no number says so.
  await page.getByRole('button', { name: 'Prints: 20' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText('chance of 23 good')).toBeVisible()
  await page.keyboard.type('many')
  await expect(page.getByText('“many” is no whole number')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('chance of 22 good')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Prints: 20' })).toBeFocused()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Sheets started: 20' })).toBeVisible()
  await say(page, 'Sheets started', String(sheets))
  await click(page, 'Change the plan')
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await expectAccessible(page)

  // Paper: the sheet as measured, in whatever way it is written; what cannot be read says so and loses nothing.
  await page.getByRole('link', { name: /^Paper none/ }).click()
  await click(page, 'Add paper to the store')
  await field(page, 'Name').fill('cream laid')
  for (const [label, text] of [
    ['Width', '76 cm'],
    ['Height', '560'],
    ['Weight', '200'],
    ['Price a sheet', '4,60'],
    ['Sheets', '3'],
  ] as const)
    await field(page, label).fill(text)
  await click(page, 'Add the paper')
  await expect(field(page, 'Sheet, width as measured')).toHaveValue('760 mm')
  await field(page, 'Image, width').fill('wide')
  await field(page, 'Image, height').click()
  await expect(page.getByText('“wide” cannot be read as a length')).toBeVisible()
  await field(page, 'Image, width').fill('9 1/2"')
  await field(page, 'Image, height').fill('160')
  await field(page, 'Top margin').fill('30')
  await expect(field(page, 'Foot margin')).toHaveValue('37.5 mm')
  await page.keyboard.press('Alt+u')
  await expect(field(page, 'Image, width')).toHaveValue('9 1/2"')
  await expect(field(page, 'Image, height')).toHaveValue('≈6 5/16"')
  await page.keyboard.press('Alt+u')
  await expect(field(page, 'Image, width')).toHaveValue('≈241.5 mm')
  await page.getByRole('slider', { name: 'Top margin, drawn' }).focus()
  await page.keyboard.press('PageUp')
  await expect(field(page, 'Left margin')).toHaveValue('40 mm')
  await page.getByRole('slider', { name: 'Left margin, drawn' }).focus()
  await page.keyboard.press('PageDown')
  await expect(field(page, 'Foot margin')).toHaveValue('37.5 mm')
  await click(page, 'Give the finished sheet')
  await field(page, 'Finished sheet, width').fill('50')
  await expect(page.getByText('These margins leave no image.').first()).toBeVisible()
  await click(page, 'Keep this sheet')
  await expect(page.getByText('These margins leave no image.').first()).toBeVisible()
  await field(page, 'Finished sheet, width').fill('300')
  await field(page, 'Finished sheet, height').fill('230')
  await click(page, 'Keep this sheet')
  await expect(page.getByRole('button', { name: 'Keep this sheet' })).toHaveCount(0)

  // The tear plan.
  await expect(page.getByText(`5 from a sheet, 6 sheets for ${sheets} pieces`)).toBeVisible()
  await expect(page.locator('.tears li').first()).toContainText('from the')
  await expect(page.getByRole('row', { name: /grain kept, along the width 4/ })).toBeVisible()
  const tearSheet = await downloaded(page, 'Print the tear sheet (PDF)')
  expect(tearSheet.name).toBe('tide-gauge-tear-sheet.pdf')
  expect(tearSheet.bytes.toString('latin1')).toContain('T1')
  await page.reload()
  await expect(page.getByText(`5 from a sheet, 6 sheets for ${sheets} pieces`)).toBeVisible()
  await expectAccessible(page)

  // Tearing: more than the book knows of asks for a count; a piece torn wrong needs a reason and stays on the books.
  await page.getByRole('button', { name: /^As planned/ }).click()
  await field(page, 'Torn wrong').fill('1')
  await click(page, 'Tear')
  await expect(page.getByText('1 were torn wrong: say how').first()).toBeVisible()
  await field(page, 'How it went wrong').fill('the edge slipped')
  await click(page, 'Tear')
  await expect(page.locator('.count dl > div').filter({ hasText: 'spoiled blank' }).locator('dd')).toHaveText('1')
  await expect(page.getByText('balances')).toBeVisible()
  await expect(page.getByText('The book is 3 sheets short of cream laid')).toBeVisible()
  await click(page, 'Count the lot')
  await field(page, 'Really there').fill('2')
  await field(page, 'Why it differs').fill('a second packet')
  await click(page, 'Set the count')
  await expect(page.getByText('The book is 3 sheets short')).toHaveCount(0)

  // A plan changed after tearing is kept beside the one before.
  await page.getByRole('link', { name: /^Plan/ }).click()
  await say(page, 'Prints', '18')
  await click(page, 'Change the plan')
  await expect(page.getByText(/with \d+ sheets torn\. prints: 20, then 18/)).toBeVisible()
})

test('a block: described, its picture mirrored, a plate’s step test, and its place on the registration sheet', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(120_000)
  quiet.allow(/status of 422 \((block-unfit|no-picture|name-missing)\)/)
  const server = await pressroom()
  await start(page, server, 'Slip Lantern')
  await say(page, 'How colour is made', 'reduction')
  await say(page, 'Layers are', 'all planned ahead')
  await say(page, 'Layers reckoned with', '4')
  await click(page, 'Start')
  await page.getByText('What that takes, stage by stage').click()
  await expect(page.getByText('layer 4', { exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Layer 4: / })).toBeVisible()
  await page.getByRole('link', { name: /^Block/ }).click()
  await field(page, 'Block or mount, width').fill('210')
  await field(page, 'Block or mount, height').fill('160')
  await field(page, 'Thickness with its mount').fill('0.917 in')
  await field(page, 'Image, width').fill('200')
  await field(page, 'Image, height').fill('150')
  await click(page, 'Keep the block')
  await expect(page.getByText('Give the block a name').first()).toBeVisible()
  await field(page, 'Name').fill('the plate')
  await choose(page, 'Kind', 'photopolymer')
  await expect(page.getByText('Flip it.', { exact: true })).toBeVisible()
  await choose(page, 'The drawing is transferred by', 'film')
  await expect(page.getByText('Do not flip it.')).toBeVisible()
  await field(page, 'Image from the print’s left edge of the block').fill('5')
  await field(page, 'Image from the block’s top').fill('5')
  await click(page, 'Keep the block')
  await expect(page.getByRole('heading', { name: 'the plate' })).toBeVisible()
  await expect(page.getByText('23.29 mm with its mount')).toBeVisible()

  await click(page, 'Record a state')
  await page
    .getByLabel('Picture or rubbing')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') })
  await expect(page.getByText('not a picture that can be read')).toBeVisible()
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#26282b' } })
    .png()
    .toBuffer()
  await page
    .getByLabel('Picture or rubbing')
    .setInputFiles({ name: 'rubbing.png', mimeType: 'image/png', buffer: picture })
  await expect(page.getByRole('img', { name: 'the block, mirrored, as it prints' })).toBeVisible()
  await field(page, 'What was cut').fill('first state')
  await click(page, 'Keep this state')
  await expect(page.getByText('first state', { exact: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Keep this state' })).toHaveCount(0)
  await click(page, 'As the block is')
  await expect(page.getByRole('img', { name: 'first state, as the block is' })).toBeVisible()
  expect(
    await page
      .getByRole('img', { name: 'first state, as the block is' })
      .evaluate((image: HTMLImageElement) => image.naturalWidth),
  ).toBe(60)

  await click(page, 'Exposure and step test')
  await expect(page.getByRole('button', { name: '170 s' })).toBeVisible()
  await click(page, '60 s')
  await expect(page.getByText('Expose 60 s, the first step that holds')).toBeVisible()
  await field(page, 'Wash-out').fill('1')
  await click(page, 'Keep the exposure')
  await expect(page.getByText('In force: 60 s, wash-out 1 s')).toBeVisible()
  await click(page, 'Start Wash-out')
  await expect(page.getByText('Wash-out: time is up')).toBeVisible()
  await expectAccessible(page)

  // The registration sheet: mirrored when the paper is laid onto the block; lines of a series kept for others.
  await page.getByRole('link', { name: 'Registration sheet' }).click()
  await expect(field(page, 'Block or mount, width')).toHaveValue('210 mm')
  const outline = () => page.locator('.lines-drawn .pen-block').first().getAttribute('points')
  await field(page, 'Block from the left edge').fill('20')
  const mirrored = await outline()
  await choose(page, 'At the press', 'block set onto the paper')
  await expect.poll(outline).not.toBe(mirrored)
  expect((await outline())!.startsWith('34,')).toBe(true)
  await field(page, 'Block from the left edge').fill('290')
  await expect(page.getByText('The image lies partly off the sheet.')).toBeVisible()
  await field(page, 'Block from the left edge').fill('20')
  await page.getByLabel('draw common top and foot lines').check()
  await field(page, 'Keep these lines for a series').fill('Harbour set')
  await click(page, 'Keep the series format')
  await expect(page.locator('.v-select', { hasText: 'Format shared with other editions' })).toContainText('Harbour set')
  await click(page, 'Keep the registration sheet')
  await expect(page.getByRole('button', { name: 'Keep the registration sheet' })).toBeDisabled()
  const pdf = await downloaded(page, 'PDF at full size')
  expect(pdf.name).toBe('slip-lantern-registration.pdf')
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-')
  const svg = await downloaded(page, 'SVG')
  expect(svg.bytes.toString()).toContain('mm"')
  await page.reload()
  await expect(field(page, 'Block from the left edge')).toHaveValue('20 mm')

  // Paper that goes through blank and grows takes positions along, and is refused where no paper grows so.
  const sheetDrawn = () => page.locator('.lines-drawn .pen-paper').first().getAttribute('points')
  const torn = await sheetDrawn()
  await say(page, 'Blank passes', '2')
  await click(page, 'It was measured before and after')
  await say(page, 'Between the marks along the width, when it is printed', '300')
  await expect(page.getByText('more than any paper moves')).toBeVisible()
  expect(await sheetDrawn()).toBe(torn)
  await say(page, 'Between the marks along the width, as torn', '200')
  await say(page, 'Between the marks along the width, when it is printed', '202')
  await expect(page.getByText('+1.00 % wide')).toBeVisible()
  await expect.poll(sheetDrawn).not.toBe(torn)
  await page.reload()
  await expect(page.getByText('+1.00 % wide')).toBeVisible()
  await expectAccessible(page)
})

test('the paper table: a short lot, paper given out, editions compared, a damping timetable', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/paper`)
  await expect(page.getByText('The book is 2 sheets short of white kozo')).toBeVisible()
  await page.getByRole('button', { name: 'Compare editions: cream laid' }).click()
  await expect(page.getByRole('row', { name: /Weighbridge/ })).toContainText('none fits')
  await expect(page.getByRole('row', { name: /Net Loft Stairs/ })).toContainText('300 × 232.5 mm')
  await expect(page.getByRole('row', { name: /Slack Water/ })).toContainText('34')
  await page.getByRole('button', { name: 'Give out: cream laid' }).click()
  const ration = page.getByRole('row', { name: /Ibb Fenner/ })
  await expect(ration).toContainText('2')
  await ration.getByRole('button', { name: 'Give out' }).click()
  await expect(ration.getByRole('button', { name: 'Give out' })).toHaveCount(0)
  await page.getByLabel('Sheets for Ibb Fenner').fill('1')
  await ration.getByRole('button', { name: 'Brought back' }).click()
  await expect(page.getByText('82 on the shelf, 0 of them put aside.')).toBeVisible()
  await page.getByRole('button', { name: 'Bought more: newsprint' }).click()
  await field(page, 'Sheets bought').fill('100')
  await click(page, 'Put on the shelf')
  await expect(page.locator('.lot', { hasText: 'newsprint' })).toContainText('500 left')
  await click(page, 'Make a damping timetable')
  await expect(page.getByRole('row', { name: '09:25 1 to 4 into the bath' })).toBeVisible()
  await field(page, 'Soak').fill('-3')
  await expect(page.getByText('Soaking and the pace of the pulls take time')).toBeVisible()
  await expectAccessible(page)
})

test('past editions come in by CSV, each broken row named, and move the rate of a plan', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422 \(already-there\)/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/office`)
  const csv =
    'title;method;work;passed;rejected\nOld Pier;blended roll;press;90;10\nLamp;etching;press;1;1\nKiln;single;press;many;0\n'
  await page
    .getByLabel('or a CSV file, or edition records')
    .setInputFiles({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await expect(page.getByText('1 row can be read, 2 cannot.')).toBeVisible()
  await expect(page.getByText(/Line 3: “method” is “etching”/)).toBeVisible()
  await expect(page.getByText(/Line 4: “passed” is “many”/)).toBeVisible()
  await click(page, 'Import the 1 good rows')
  await expect(page.getByText('1 edition is in the book.')).toBeVisible()
  const editions = (await (await page.request.get(`${server.url}/api/editions?search=Bakery`)).json()) as {
    editions: { id: string }[]
  }
  const record = await page.request.get(`${server.url}/api/editions/${editions.editions[0]!.id}/record.json`)
  await page.getByLabel('or a CSV file, or edition records').setInputFiles([
    { name: 'bakery.json', mimeType: 'application/json', buffer: await record.body() },
    { name: 'cut.json', mimeType: 'application/json', buffer: (await record.body()).subarray(0, 300) },
  ])
  await expect(page.getByText('1 row can be read, 1 cannot.')).toBeVisible()
  await expect(page.getByText('File 2: The file is no JSON, or was cut.')).toBeVisible()
  await click(page, 'Import none')
  await field(page, 'A past edition').fill('Quay')
  await click(page, 'Add it')
  await expect(page.getByText('“passed” is empty')).toBeVisible()
  await page.goto(`${server.url}/editions?search=Ferry`)
  await page.getByRole('link', { name: 'Ferry Clock' }).click()
  await page.getByRole('link', { name: /^Plan/ }).click()
  await expect(page.getByText('from 100 pulls in this room and a guess worth 25').first()).toBeVisible()
})
