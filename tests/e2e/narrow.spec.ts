import { expect, settled, test } from '../fixtures/browser'

const rooms = [
  '/',
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
]
const stops = [
  'plan',
  'block',
  'paper',
  'press',
  'ink',
  'prove',
  'pull',
  'curate',
  'sign',
  'close',
  'register',
  'gate',
  'dry',
  'finish',
  'recall',
  'papers',
]

const sizes = [
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
]

test('nothing runs off the edge of an upright tablet or a phone, opened there or turned', async ({
  page,
  pressroom,
}) => {
  test.setTimeout(240_000)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = await (await page.request.get(`${server.url}/api/editions?limit=100`)).json()
  const { courses } = (await (await page.request.get(`${server.url}/api/courses`)).json()).data
  const idOf = (title: string) => editions.find((one: { title: string }) => one.title === title).id
  const pages = [
    ...rooms,
    ...stops.map((stop) => `/editions/${idOf('Net Loft Stairs')}/${stop}`),
    `/class/${courses[0].id}`,
    `/class/${courses[0].id}/kettle`,
    `/editions/${idOf('Kettle, Tansy')}/class`,
    ...['ink', 'sign', 'close'].map((stop) => `/editions/${idOf('Tide Table')}/${stop}`),
  ]
  for (const [i, path] of pages.entries()) {
    // Each is opened at the size at which the one before it ended.
    const [opened, turned] = i % 2 === 0 ? sizes : sizes.toReversed()
    await page.setViewportSize(opened!)
    await page.goto(`${server.url}${path}`)
    await expect(page.locator('main h1, main h2, main form').first()).toBeVisible()
    for (const size of [opened!, turned!]) {
      await page.setViewportSize(size)
      await settled(page)
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect([path, size.width, Math.max(0, wide)]).toEqual([path, size.width, 0])
    }
  }
})
