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

for (const [width, height] of [
  [820, 1180],
  [390, 844],
] as const)
  test(`nothing runs off the edge at ${width} px`, async ({ page, pressroom }) => {
    test.setTimeout(180_000)
    const server = await pressroom({ demo: true })
    await page.setViewportSize({ width, height })
    await page.goto(server.url)
    await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
    const { editions } = await (await page.request.get(`${server.url}/api/editions?limit=100`)).json()
    const { courses } = await (await page.request.get(`${server.url}/api/courses`)).json()
    const idOf = (title: string) => editions.find((one: { title: string }) => one.title === title).id
    const pages = [
      ...rooms,
      ...stops.map((stop) => `/editions/${idOf('Net Loft Stairs')}/${stop}`),
      `/class/${courses[0].id}`,
      `/class/${courses[0].id}/kettle`,
      `/editions/${idOf('Kettle, Tansy')}/class`,
      ...['ink', 'sign', 'close'].map((stop) => `/editions/${idOf('Tide Table')}/${stop}`),
    ]
    for (const path of pages) {
      await page.goto(`${server.url}${path}`)
      await expect(page.locator('main h1, main h2, main form').first()).toBeVisible()
      await settled(page)
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect([path, Math.max(0, wide)]).toEqual([path, 0])
    }
  })
