import { choose, expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('a wet stack is laid in by a touch, a taken slot says who is there, and a full rack is told before the run', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(90_000)
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await page.getByRole('link', { name: 'Racks', exact: true }).click()
  await expect(
    page.getByRole('img', { name: /^Long rack, 40 slots\. slots 1 to 21: Net Loft Stairs, slate blue/ }),
  ).toBeVisible()
  await expectAccessible(page)

  // What is wet and lies nowhere: into a slot that is taken first, then by one touch.
  const stack = page.getByRole('listitem').filter({ hasText: 'Weighbridge, panel B: 2 sheets' })
  await choose(page, 'Into', /^Long rack/)
  await page.getByLabel('From slot').fill('four')
  await stack.getByRole('button', { name: 'Lay them in' }).click()
  await expect(page.getByText('“four” is no slot. Give its number')).toBeVisible()
  await page.getByLabel('From slot').fill('4')
  await stack.getByRole('button', { name: 'Lay them in' }).click()
  await expect(page.getByText('Slot 4 of Long rack holds a sheet of Net Loft Stairs.')).toBeVisible()
  await page.getByLabel('From slot').fill('')
  await stack.getByRole('button', { name: 'Lay them in' }).click()
  await expect(page.getByText(/Weighbridge, panel B: 2 sheets in slots 22 and 23, laid in just now/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/Weighbridge, panel B: 2 sheets in slots 22 and 23/)).toBeVisible()

  // Taken out by another touch.
  const laid = page.getByRole('listitem').filter({ hasText: 'Net Loft Stairs, slate blue' })
  await laid.getByRole('button', { name: 'Take out' }).click()
  await expect(page.getByRole('img', { name: /^Long rack, 40 slots\. slots 22 and 23: Weighbridge/ })).toBeVisible()
})

test('a rack is added and put right, and a run that the racks cannot take is told beforehand', async ({
  page,
  pressroom,
  quiet,
}) => {
  test.setTimeout(90_000)
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/racks`)
  await page.getByRole('button', { name: 'Add a rack' }).click()
  await page.getByRole('button', { name: 'Add the rack' }).click()
  await expect(page.getByText('Give the rack a name, as people call it.').first()).toBeVisible()
  await say(page, 'Name of the rack', 'Stair line')
  await say(page, 'Kind', 'a line')
  await say(page, 'Slots', '3')
  await page.getByRole('button', { name: 'Add the rack' }).click()
  await expect(page.getByRole('heading', { name: 'Stair line' })).toBeVisible()

  const putRight = async (rack: string, slots: string) => {
    const article = page.getByRole('article').filter({ has: page.getByRole('heading', { name: rack, exact: true }) })
    await article.getByRole('button', { name: 'put right' }).click()
    await say(page, 'Slots', slots)
    await page.getByRole('button', { name: 'Keep it so' }).click()
  }
  for (const rack of ['Line', 'Stair line', 'Window shelf']) {
    await putRight(rack, '1')
    await expect(page.getByRole('button', { name: 'Keep it so' })).toBeHidden()
  }
  // Fewer slots than something lies in are refused.
  await putRight('Long rack', '20')
  await expect(page.getByText('Something lies in slot 21. Take it out first').first()).toBeVisible()
  await say(page, 'Slots', '22')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('1 of 22 slots free')).toBeVisible()

  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await expect(page.getByText(/The racks have 7 places for the 18 to come: make room first\./)).toBeVisible()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText(/^Next: sheet 21\. The racks have 7 places for the 18 to come/)).toBeVisible()
})

test('the sensor is read by the hour, charted, silent when unplugged, and a hand reading counts instead', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/racks`)
  await expect(
    page.getByRole('img', { name: /^The air over 5 days, \d+ readings: .+ °C, .+ % humidity\.$/ }),
  ).toBeVisible()
  await expect(page.getByText(/now it shows [\d.]+ °C and [\d.]+ %/)).toBeVisible()
  await page.getByRole('button', { name: 'unplug it' }).click()
  await expect(page.getByText('The sensor says nothing')).toBeVisible()
  await say(page, 'Temperature of the room', '24')
  await expect(page.getByRole('button', { name: 'Temperature of the room: 24 °C' })).toBeVisible()
  await page.getByRole('button', { name: 'plug it in' }).click()
  await expect(page.getByText('The sensor says nothing')).toBeHidden()
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  expect((await csv).suggestedFilename()).toBe('air-of-the-room.csv')
  await page.getByRole('button', { name: 'Switch the sensor off' }).click()
  await page.getByRole('button', { name: 'Read it from the room sensor' }).click()
  await expect(page.getByRole('button', { name: 'Switch the sensor off' })).toBeVisible()
  await expectAccessible(page)
})
