import type { Page } from '@playwright/test'
import { choose, expect, expectAccessible, openSetUp, say, test, unfold } from '../fixtures/browser'

const field = (page: Page, label: string) => page.getByLabel(label, { exact: true })
const click = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).click()

/** The bare edition page of the demo's two-layer print that waits for its ink. */
async function openInk(page: Page, url: string) {
  await page.goto(`${url}/editions`)
  await page.getByRole('link', { name: 'Slack Water' }).click()
  await page.locator('.strip').getByRole('link', { name: /^Ink/ }).click()
  await expect(page.getByRole('heading', { name: 'Enough?' })).toBeVisible()
}

test('a transparent first layer is mixed at the scale, over-poured, put right, kept and topped up', async ({
  page,
  pressroom,
  quiet,
}) => {
  const server = await pressroom({ demo: true })
  await openInk(page, server.url)
  await expect(page.getByText('34 sheets to pull, 2 warm-ups, 4 proofs.')).toBeVisible()

  // A batch of its own for the first layer.
  await unfold(page, 'Ink of each zone')
  await page.locator('.v-select', { hasText: 'Batch' }).locator('.v-field__clearable').first().click()
  await click(page, 'Use this ink')
  await page.getByRole('link', { name: 'Mix it' }).click()
  await field(page, 'Name of the batch').fill('slack blue')
  await field(page, 'To mix in all').fill('20')
  await choose(page, 'Ink 1', /^transparent base/)
  await choose(page, 'Ink 2', /^clear blue/)
  await field(page, 'Parts').first().fill('9')
  await field(page, 'Parts').nth(1).fill('minus one')
  await expect(page.getByText('“minus one” for clear blue is no share.')).toBeVisible()
  await field(page, 'Parts').nth(1).fill('1')
  await expect(page.getByText('10.0 % · 2.0 g')).toBeVisible()
  await expect(page.getByRole('img', { name: /^slack blue: about #[0-9a-f]{6} at 8 µm on this paper/ })).toBeVisible()

  // The scale: nothing on it cannot be accepted, a pour can.
  await expect(page.getByText(/g on the scale/)).toBeVisible()
  await click(page, 'Tare')
  const pour = page.getByRole('button', { name: 'pour', exact: true })
  await pour.dispatchEvent('pointerdown')
  await expect(page.getByRole('img', { name: /^transparent base: (9|1\d|2\d)\.\d g of 18\.0 g/ })).toBeVisible({
    timeout: 15_000,
  })
  await pour.dispatchEvent('pointerup')
  let before = Number.NaN
  const isStill = async () => {
    const now = Number(await page.locator('.now b').innerText())
    const still = Math.abs(now - before) < 0.1
    before = now
    return still
  }
  await expect.poll(isStill, { intervals: [300] }).toBe(true)
  await page.getByRole('button', { name: /^Accept \d/ }).click()
  await expect(page.getByRole('button', { name: /^transparent base/ })).toContainText(/(9|1\d|2\d)\.\d g in of/)

  // The plug is pulled in mid-pour: what was accepted stays, and the rest can be typed.
  await click(page, 'unplug it')
  await expect(page.getByText('The scale is unplugged. What was accepted is kept')).toBeVisible()
  await page.reload()
  await expect(field(page, 'Name of the batch')).toHaveValue('slack blue')
  await page.getByRole('button', { name: /^clear blue/ }).click()
  await field(page, 'or weighed elsewhere').fill('-2')
  await click(page, 'Accept the typed weight')
  await expect(page.getByText('A weight is above zero')).toBeVisible()
  await field(page, 'or weighed elsewhere').fill('3')
  await click(page, 'Accept the typed weight')
  await click(page, 'plug it in')
  await expect(page.getByText('Poured over.')).toBeVisible()
  await expect(page.getByText(/To come out right add \d+\.\d g of transparent base.*: 30\.0 g in all/)).toBeVisible()
  await expect(page.getByText(/As it stands the colour is/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: /^transparent base/ }).click()
  const rest = /add (\d+\.\d) g/.exec(await page.getByText(/To come out right add/).innerText())![1]!
  await field(page, 'or weighed elsewhere').fill(rest)
  await click(page, 'Accept the typed weight')
  await click(page, 'Put it on the slab')
  // What was typed is a tenth's worth, what was poured a hundredth's: together 30 g to a tenth up or down.
  await expect(page.getByText(/Enough for the rest of the edition: (29\.9|30\.[01]) g left/)).toBeVisible()

  // The next day: some was used, the rest wrapped, loosened, and there shall be more of it.
  quiet.allow(/status of 422/)
  await click(page, 'Work with it: slack blue')
  await field(page, 'Drawn for this session').fill('31')
  await click(page, 'Draw')
  await expect(page.getByText(/only (29\.9|30\.[01]) g of slack blue are left/)).toBeVisible()
  await field(page, 'Drawn for this session').fill('20')
  await click(page, 'Draw')
  await expect(page.getByText(/(9\.9|10\.[01]) g left of (29\.9|30\.[01]) g/)).toBeVisible()
  await click(page, 'Keep for next time: slack blue')
  await field(page, 'Left to keep').fill('9')
  await field(page, 'How it is kept').fill('wrapped')
  await click(page, 'Keep it')
  await expect(page.getByText(/\b9\.0 g left of (29\.9|30\.[01]) g/)).toBeVisible()
  await expect(page.getByText(/Not enough for the rest of the edition: 9\.0 g left/)).toBeVisible()
  await click(page, 'Loosen or add: slack blue')
  await choose(page, 'What', /^light oil/)
  await field(page, 'Stirred in').fill('0,3')
  await click(page, 'Stir it in')
  await expect(page.getByText(/9\.3 g left of 30\.[2-4] g/)).toBeVisible()
  await page.getByRole('link', { name: 'Top up', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Top up slack blue' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^clear blue/ })).toContainText('to pour')
  for (const name of ['transparent base', 'clear blue', 'light oil']) {
    const turn = page.getByRole('button', { name: new RegExp(`^${name}`) })
    await turn.click()
    const toPour = /(\d+\.\d) g to pour/.exec(await turn.innerText())?.[1]
    if (!toPour) continue
    await field(page, 'or weighed elsewhere').fill(toPour)
    await click(page, 'Accept the typed weight')
  }
  await click(page, 'Stir it in')
  await expect(page.getByText(/Enough for the rest of the edition/)).toBeVisible()
})

test('two orders of the layers lie side by side, a wish ranks them, and the choice is kept', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openInk(page, server.url)
  const first = page.locator('figure.strips').first()
  await expect(first).toContainText('transparent blue, then rust')
  await expect(page.locator('figure.strips').nth(1)).toContainText('rust, then transparent blue')
  await expect(first.getByRole('button')).toHaveCount(4)
  await first.getByRole('button', { name: /^transparent blue, then rust: about #/ }).focus()
  await page.keyboard.press('Enter')
  await choose(page, 'Should', 'keep the paper’s tint')
  await click(page, 'Wish it')
  await expect(page.getByText('transparent blue + rust: keep the paper’s tint')).toBeVisible()
  await click(page, 'Rank all orders')
  await expect(page.getByRole('cell', { name: /, then / })).toHaveCount(2)
  await click(page, 'Lay rust earlier')
  await expect(first).toContainText('rust, then transparent blue')
  await click(page, 'Keep this order and its wishes')
  await page.reload()
  await expect(first).toContainText('rust, then transparent blue')
  await expect(page.getByText('transparent blue + rust: keep the paper’s tint')).toBeVisible()
  await expectAccessible(page)
})

test('a roller too small for the block says so, and the routine with its chores stands at the bench', async ({
  page,
  pressroom,
  quiet,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions`)
  await page.getByRole('link', { name: 'Harbour Scales' }).click()
  await page.locator('.strip').getByRole('link', { name: /^Ink/ }).click()
  await unfold(page, 'Roll up')
  await choose(page, 'Roller', /^small hard/)
  await expect(page.getByText(/small hard is narrower than the block: laps will show/)).toBeVisible()
  await choose(page, 'Roller', /^large soft/)
  await expect(page.getByText(/large soft covers the block/)).toBeVisible()
  await field(page, 'Charges').fill('3')
  await field(page, 'Wipe').fill('the dial')
  await click(page, 'One more chore')
  quiet.allow(/status of 422/)
  await click(page, 'Keep the routine')
  await expect(page.getByText('A chore says what to do')).toBeVisible()
  await field(page, 'Chore').fill('clear the rim')
  await field(page, 'Every so many pulls').fill('1')
  await click(page, 'Keep the routine')
  await expect(
    page.getByText('3 charges, 2 passes each, crosswise, then lengthwise, wipe the dial').first(),
  ).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.locator('.routine')).toContainText('wipe the dial')
  await expect(page.locator('.routine')).toContainText('Now: clear the rim')
})

test('the blend shows an unwanted hue and what would bridge it; a block’s picture gives its inked share', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions`)
  await page.getByRole('link', { name: 'Ferry Clock' }).click()
  await page.locator('.strip').getByRole('link', { name: /^Ink/ }).click()
  await expect(page.getByRole('group', { name: /^Blended strip of 2 inks, green shows in it/ })).toBeVisible()
  await expect(page.getByText(/Green shows in the middle/)).toContainText('Between the two could go:')
  // A bead moves along the slab by key and by hand, and never past its neighbour.
  const bead = page.getByRole('slider', { name: /^Bead 1/ })
  const was = Number(await bead.getAttribute('aria-valuenow'))
  await bead.focus()
  await page.keyboard.press('ArrowRight')
  await expect(bead).toHaveAttribute('aria-valuenow', String(was + 1))
  await bead.dragTo(page.getByRole('slider', { name: /^Bead 2/ }))
  await expect(page.getByRole('slider', { name: /^Bead 2/ })).toHaveAttribute(
    'aria-valuenow',
    (await bead.getAttribute('aria-valuenow'))!,
  )
  await say(page, 'Directions of the blend', 'in several directions')
  await expect(page.getByText('Rolled in more than one direction')).toBeVisible()
  await click(page, 'It is meant so')
  await expect(page.getByText('Rolled in more than one direction')).toHaveCount(0)
  // Two beads in one place are no blend; moved apart again they are kept.
  await bead.focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft')
  const [answer] = await Promise.all([page.waitForResponse(/api\/commands/), click(page, 'Keep the blend')])
  expect(answer.status()).toBe(200)
  await page.goto(`${server.url}/editions`)
  await page.getByRole('link', { name: 'Net Loft Stairs' }).click()
  await page
    .locator('.strip')
    .getByRole('link', { name: /^Block/ })
    .click()
  await page.getByRole('button', { name: /^Inked share/ }).click()
  await expect(page.getByText(/of the block carries ink/)).toBeVisible()
  const keep = page.getByRole('button', { name: /^Keep \d+ %/ })
  const before = await keep.innerText()
  await page.getByLabel('Where dark is parted from light').fill('250')
  await expect(keep).not.toHaveText(before)
  await click(page, 'Part it by itself')
  await expect(keep).toHaveText(before)
  const canvas = page.locator('canvas')
  const box = (await canvas.boundingBox())!
  await page.mouse.move(box.x + 5, box.y + 5)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.6)
  await page.mouse.up()
  await expect(keep).not.toHaveText(before)
  const kept = (await keep.innerText()).replace('Keep ', '')
  await keep.click()
  await expect(page.getByRole('button', { name: `Inked share, ${kept}` })).toBeVisible()
})

test('a new room puts up a first shelf, weighs a tub, reads a draw-down and matches a colour', async ({
  page,
  pressroom,
  quiet,
}) => {
  const server = await pressroom()
  await openSetUp(page, server)
  for (const [label, text] of [
    ['Pressroom', 'Rope Works'],
    ['Your name, as manager', 'Ansa Quill'],
    ['Your PIN or passphrase', 'net loft'],
  ] as const)
    await field(page, label).fill(text)
  await click(page, 'Open the pressroom')
  await page.getByRole('link', { name: 'Ink slab' }).click()
  await expect(page.getByText('No ink yet.')).toBeVisible()
  await click(page, 'Put up a first shelf')
  await expect(page.locator('.tub')).toHaveCount(17)
  for (const [label, text] of [
    ['Roller', 'large soft'],
    ['Its width', '26 cm'],
    ['Its thickness', '80'],
  ] as const)
    await field(page, label).fill(text)
  await click(page, 'Add the roller')
  await expect(page.getByText('260 mm wide, 80 mm thick')).toBeVisible()
  await click(page, 'Weigh earth red')
  quiet.allow(/status of 422/)
  await field(page, 'In it now').fill('200')
  await click(page, 'Set the weight')
  await expect(page.getByText('say why the weight differs')).toBeVisible()
  await field(page, 'Why it differs').fill('on the scale')
  await click(page, 'Set the weight')
  await expect(page.locator('.tub', { hasText: 'earth red' })).toContainText('200.0 g')
  await click(page, 'Add an ink')
  await field(page, 'Name').fill('quay grey')
  await field(page, 'In it now').fill('150')
  await field(page, 'there is a draw-down of it').check()
  await page.getByLabel('Colour over black').fill('#b5553f')
  await page.getByLabel('Colour over white').fill('#b5553f')
  await expect(page.getByText('it hides the card, and cannot be read')).toBeVisible()
  await page.getByLabel('Colour over white').fill('#8d9096')
  await page.getByLabel('Colour over black').fill('#2b2c30')
  await expect(page.getByRole('img', { name: /^quay grey: about/ })).toBeVisible()
  await expectAccessible(page)
  await click(page, 'Put it on the shelf')
  await expect(page.locator('.tub', { hasText: 'quay grey' })).toContainText('150.0 g')
  await page.getByRole('link', { name: 'Mix a batch' }).click()
  await click(page, 'Match a colour')
  await page.getByLabel('Wanted colour').fill('#a8b89a')
  await page.getByRole('button', { name: /^Match it from \d+ inks/ }).click()
  await expect(page.getByText(/no difference to be seen|a slight difference/).first()).toBeVisible({ timeout: 20_000 })
  await click(page, 'Take recipe 1')
  await expect(page.getByText(/\d+\.\d % · \d+\.\d g/).first()).toBeVisible()
  await expectAccessible(page)
})

test('a batch is drawn down, mixed again, a run of it weighed; layers are dragged into another order', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/ink`)
  await click(page, 'Work with it: slate 2')
  await click(page, 'Draw-down: slate 2')
  const film = page.getByRole('img', { name: /^slate 2, predicted: about/ })
  await expect(film).toBeVisible()
  await field(page, 'Colour seen').fill('#66707a')
  await field(page, 'Film').fill('0')
  await click(page, 'Take it as seen')
  await expect(page.getByText('Give the film of the draw-down in µm, above zero.')).toBeVisible()
  await field(page, 'Film').fill('8')
  await click(page, 'Take it as seen')
  await expect(page.getByRole('img', { name: /^slate 2, as seen: about/ })).toBeVisible()
  await expect(page.locator('.batch', { hasText: 'slate 2' }).locator('rect').first()).toHaveAttribute(
    'fill',
    '#66707a',
  )

  await page.getByRole('link', { name: 'Mix again slate 2' }).click()
  await expect(field(page, 'Name of the batch')).toHaveValue('slate 2 again')
  await expect(field(page, 'Percent').first()).toHaveValue('60.9')
  await expect(page.getByText('The percents add up')).toHaveCount(0)
  await field(page, 'Name of the batch').fill('')
  await field(page, 'or weighed elsewhere').fill('4')
  await click(page, 'Accept the typed weight')
  await click(page, 'Put it on the slab')
  await expect(page.getByText('Give the batch a name to find it by')).toBeVisible()

  // What the pulls of a layer took, weighed, moves the film the amounts are reckoned with.
  await page.goto(`${server.url}/editions`)
  await page.getByRole('link', { name: 'Net Loft Stairs' }).click()
  await page.locator('.strip').getByRole('link', { name: /^Ink/ }).click()
  await page
    .getByRole('group', { name: 'Layer' })
    .getByRole('button', { name: /slate blue/ })
    .click()
  await page.getByText('How that is reckoned').click()
  await expect(page.getByText(/Guessed: .*a film of 8 µm/)).toBeVisible()
  await click(page, 'Work with it: slate 2')
  await click(page, 'Weigh the run: slate 2')
  await expect(page.getByText(/2\d pulls of this layer with slate 2/)).toBeVisible()
  await field(page, 'Used, left and scrapings taken off').fill('0,5')
  await expect(page.getByText('Less went than roller and slab alone hold')).toBeVisible()
  await field(page, 'Used, left and scrapings taken off').fill('9')
  await expect(page.getByText(/\d+\.\d µm on the paper/)).toBeVisible()
  await click(page, 'Count it')
  await expect(page.getByText(/the film rests on \d\.\d m² printed here/)).toBeVisible()

  // Dragging does what the keys do.
  await openInk(page, server.url)
  const strips = page.locator('figure.strips').first()
  await expect(strips).toContainText('transparent blue, then rust')
  await page.locator('.order .handle').first().dragTo(page.locator('.order .handle').nth(1))
  await expect(strips).toContainText('rust, then transparent blue')
})

test('a swatch is picked from a picture of a draw-down card', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/ink`)
  await click(page, 'Add an ink')
  await field(page, 'there is a draw-down of it').check()
  await page.getByRole('button', { name: 'from a picture' }).nth(1).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture at all') })
  await expect(page.getByText('“notes.txt” is no picture this browser can read')).toBeVisible()
  const card = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(300, 200)
    const context = canvas.getContext('2d')!
    context.fillStyle = '#7a4a2c'
    context.fillRect(0, 0, 150, 200)
    context.fillStyle = '#20130b'
    context.fillRect(150, 0, 150, 200)
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())]
  })
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from(card) })
  await page.locator('.picker canvas').click({ position: { x: 60, y: 80 } })
  await expect(page.getByLabel('Colour over white')).toHaveValue('#7a4a2c')
  await page.getByRole('button', { name: 'from a picture' }).nth(2).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from(card) })
  await page.getByLabel('across', { exact: false }).fill('0.8')
  await click(page, 'Take')
  await expect(page.getByLabel('Colour over black')).toHaveValue('#20130b')
})

test('two zones of one layer lie side by side, never one over the other, and move together', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openInk(page, server.url)
  await unfold(page, 'Ink of each zone')
  await click(page, 'One more zone')
  const second = page.locator('.v-select', { hasText: 'Batch' }).nth(1)
  await expect(async () => {
    await second.click()
    await page.getByRole('option', { name: /^dusk rose/ }).click({ timeout: 3_000 })
    await expect(second).toContainText('dusk rose', { timeout: 1_500 })
  }).toPass()
  // Reloaded before it is stored, nothing of it would be there.
  const stored = page.waitForResponse(/\/api\/commands$/)
  await click(page, 'Use this ink')
  await stored
  await expect(page.getByRole('heading', { name: /^zone 2/ })).toBeVisible()
  await page.reload()
  const strips = page.locator('figure.strips').first()
  await expect(strips).toContainText('transparent blue, whole block')
  await expect(strips).toContainText('transparent blue, zone 2')
  // Of eight overlaps the two in which both zones would lie on each other are none.
  await expect(strips.getByRole('button')).toHaveCount(6)
  await click(page, 'Lay rust earlier')
  await expect(strips).toContainText('rust, then transparent blue, whole block, then transparent blue, zone 2')
  const kept = page.waitForResponse(/\/api\/commands$/)
  await click(page, 'Keep this order and its wishes')
  await kept
  await page.reload()
  await expect(strips).toContainText('rust, then transparent blue, whole block')
})
