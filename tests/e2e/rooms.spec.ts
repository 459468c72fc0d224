import { choose, expect, expectAccessible, say, settled, test } from '../fixtures/browser'

const stops = [
  'plan',
  'block',
  'paper',
  'register',
  'gate',
  'dry',
  'finish',
  'press',
  'ink',
  'prove',
  'pull',
  'curate',
  'sign',
  'close',
  'recall',
  'papers',
]

test('every room and stop is accessible and quiet', async ({ page, pressroom }) => {
  test.setTimeout(180_000)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'At the presses' })).toBeVisible()
  await expectAccessible(page)
  const { editions } = (await (await page.request.get(`${server.url}/api/editions?limit=50`)).json()) as {
    editions: { id: string; title: string }[]
  }
  const { data } = (await (await page.request.get(`${server.url}/api/courses`)).json()) as {
    data: { courses: { id: string }[] }
  }
  const id = (title: string) => editions.find((edition) => edition.title === title)!.id
  const paths = [
    '/editions',
    '/editions/new',
    '/paper',
    '/ink',
    '/ink/mix',
    '/presses',
    '/racks',
    '/class',
    '/charges',
    '/day',
    '/day/ahead',
    '/orders',
    '/year',
    '/losses',
    '/finder',
    '/office',
    '/sign-in',
    `/class/${data.courses[0]!.id}`,
    `/class/${data.courses[0]!.id}/kettle`,
    `/editions/${id('Kettle, Tansy')}/class`,
    `/bench/${id('Kettle, Tansy')}`,
    `/bench/${id('Harbour Scales')}`,
    ...stops.map((stop) => `/editions/${id('Tide Table')}/${stop}`),
    `/editions/${id('Net Loft Stairs')}/pull`,
  ]
  for (const path of paths) {
    await page.goto(`${server.url}${path}`)
    await expect(page.locator('h1')).toBeVisible()
    await settled(page)
    await test.step(path, () => expectAccessible(page))
  }
})

test('the editions list finds, narrows and comes back to what was asked', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions`)
  await expect(page.getByRole('row')).toHaveCount(15)
  await page.getByRole('searchbox', { name: 'Title' }).fill('kettle')
  await expect(page.getByRole('row')).toHaveCount(6)
  await page.getByRole('link', { name: 'Kettle, Tansy' }).click()
  await expect(page.getByRole('heading', { name: 'Kettle, Tansy' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('searchbox', { name: 'Title' })).toHaveValue('kettle')
  await page.getByRole('searchbox', { name: 'Title' }).fill('nothing like it')
  await expect(page.getByText('No edition fits.')).toBeVisible()
})

test('a disputed pull is shown in the count and settled by a person', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = (await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()) as {
    editions: { id: string }[]
  }
  const id = editions[0]!.id
  const { state } = (await (await page.request.get(`${server.url}/api/editions/${id}`)).json()) as {
    state: { layers: { id: string }[] }
  }
  const { person } = (await (await page.request.get(`${server.url}/api/session`)).json()) as { person: { id: string } }
  const late = await page.request.post(`${server.url}/api/commands`, {
    headers: { origin: server.url },
    data: {
      commandId: '01a208e6-a59b-708a-bb35-6dffa470d8ee',
      device: 'late',
      by: person.id,
      occurredAt: new Date().toISOString(),
      type: 'pull',
      stream: `edition:${id}`,
      data: {
        layerId: state.layers[0]!.id,
        kind: 'pull',
        proofKind: null,
        verdict: 'good',
        sheetIds: [1],
        faults: [],
        rescued: null,
        wetOnWet: false,
        setupSeq: 0,
        batchIds: [],
      },
    },
  })
  expect(await late.json()).toMatchObject({ disputed: expect.stringContaining('carries black already') })
  await page.goto(`${server.url}/editions/${id}/pull`)
  await expect(page.getByRole('link', { name: '1 disputed pull' })).toBeVisible()
  await page.getByLabel('What really happened').fill('it was the next sheet')
  await page.getByLabel('It lies on sheet').fill('21')
  await page.getByRole('button', { name: 'Count it there' }).click()
  await expect(page.getByRole('heading', { name: 'Disputed pulls' })).toHaveCount(0)
  await expect(page.getByText('balances')).toBeVisible()
})

test('a phone shows the floor, and 200 % zoom the edition, without sideways scrolling', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  for (const [width, height] of [
    [390, 800],
    [640, 400],
  ] as const) {
    await page.setViewportSize({ width, height })
    for (const path of ['/', '/editions', '/paper', '/ink', '/ink/mix', '/office']) {
      await page.goto(`${server.url}${path}`)
      await expect(page.locator('h1')).toBeVisible()
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      ).toBeLessThanOrEqual(0)
    }
  }
})

test('an unknown edition says what to do', async ({ page, pressroom, quiet }) => {
  quiet.allow(/404/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions/01a208e6-0000-7000-8000-000000000000/pull`)
  await expect(page.getByText('There is no such edition here.')).toBeVisible()
})

test('the edition record prints without the house around it, on A4 and Letter', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions?search=Bakery`)
  await page.getByRole('link', { name: 'Bakery Door' }).click()
  await page.getByRole('link', { name: /^Close/ }).click()
  await expect(page.getByText('numbered 20 (20 signed)')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('header.plan')).toBeHidden()
  await expect(page.locator('.record h2')).toBeVisible()
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page\b/g)!.length).toBeLessThanOrEqual(2)
  }
})

test('a layer gets its routine and the order of its stack; a destroyed print keeps its line', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/editions?search=Ferry`)
  await page.getByRole('link', { name: 'Ferry Clock' }).click()
  await page.getByRole('link', { name: /^Plan/ }).click()
  await say(page, 'Routine of layer 1', 'charge, pass, blend')
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.locator('.routine li').last()).toHaveText('blend')
  await page.goto(`${server.url}/editions?search=Tide`)
  await page.getByRole('link', { name: 'Tide Table' }).click()
  await choose(page, 'Print', '2/12, sheet 2')
  await page.getByLabel('What happened').fill('water damage')
  await page.getByRole('button', { name: 'It is destroyed' }).click()
  await expect(page.locator('.count dl > div').filter({ hasText: 'destroyed' }).locator('dd')).toHaveText('1')
  await expect(page.getByText('balances')).toBeVisible()
})
