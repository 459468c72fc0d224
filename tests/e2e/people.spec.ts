import { choose, expect, test } from '../fixtures/browser'

test('the manager adds a person, who signs in, may print, and may not close', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of (400|401|403|422)/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/office`)
  await page.getByLabel('Someone new').fill('Sorrel Wick')
  await choose(page, 'Role', 'student')
  await page.getByLabel('PIN or passphrase').fill('12')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('4 to 200 characters')).toBeVisible()
  await page.getByLabel('PIN or passphrase').fill('wick 42')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('cell', { name: 'Sorrel Wick', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Check the ledger' }).click()
  await expect(page.getByText(/\d+ events, and every one follows from the one before/)).toBeVisible()

  const context = await browser.newContext()
  const student = await context.newPage()
  await student.goto(`${server.url}/sign-in?to=/editions`)
  await student.getByRole('button', { name: 'Sign in' }).click()
  await expect(student.getByText('Choose your name first.')).toBeVisible()
  await choose(student, 'Name', /Sorrel Wick/)
  await student.getByLabel('PIN or passphrase').fill('wrong')
  await student.getByRole('button', { name: 'Sign in' }).click()
  await expect(student.getByText('does not fit')).toBeVisible()
  await student.getByLabel('PIN or passphrase').fill('wick 42')
  await student.getByRole('button', { name: 'Sign in' }).click()
  await expect(student.getByRole('link', { name: 'Sorrel Wick, student' })).toBeVisible()
  await student.getByRole('link', { name: 'Harbour Scales' }).click()
  await student.getByRole('link', { name: /^Close/ }).click()
  await student.getByRole('button', { name: 'Close', exact: true }).click()
  await expect(student.getByText('A student may not do this.')).toBeVisible()
  await student.goto(`${server.url}/office`)
  await expect(student.getByText('the manager adds and changes people')).toBeVisible()
  await expect(student.getByRole('button', { name: /^Change/ })).toHaveCount(0)
  await context.close()
})

test('taps made while signed out wait, and go in under their own name after signing in', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 401|Failed to load resource/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = (await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()) as {
    editions: { id: string }[]
  }
  const path = `/bench/${editions[0]!.id}`
  await page.goto(`${server.url}${path}`)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const strokes = page.locator('.tally g.stroke')
  const before = await strokes.count()
  await page.context().clearCookies()
  await page.keyboard.press(' ')
  await page.keyboard.press('r')
  await expect(page.getByText(/2 taps not stored yet: Sign in first/)).toBeVisible()
  await page.keyboard.press('c')
  await expect(page.getByText('Who is at the press?')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  await page.goto(`${server.url}/sign-in?to=${path}`)
  await choose(page, 'Name', /Merle Tarn/)
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.locator('.tally .base')).toHaveCount(before + 2)
  const { state } = (await (await page.request.get(`${server.url}/api/editions/${editions[0]!.id}`)).json()) as {
    state: { pulls: { by: string }[] }
  }
  const { people } = (await (await page.request.get(`${server.url}/api/people`)).json()) as {
    people: { id: string; name: string }[]
  }
  expect(people.find((person) => person.id === state.pulls.at(-1)!.by)!.name).toBe('Ansa Quill')
})

test('two tabs of one browser share what waits, and each tap counts once', async ({
  page,
  context,
  pressroom,
  quiet,
}) => {
  quiet.allow(/Failed to load resource|net::ERR_/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { editions } = (await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()) as {
    editions: { id: string }[]
  }
  const other = await context.newPage()
  for (const tab of [page, other]) {
    await tab.goto(`${server.url}/bench/${editions[0]!.id}`)
    await expect(tab.getByText('every pull stored', { exact: true })).toBeVisible()
  }
  const strokes = (tab: typeof page) => tab.locator('.tally .base')
  const before = await strokes(page).count()
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press(' ')
    await other.keyboard.press(' ')
  }
  for (const tab of [page, other]) await expect(strokes(tab)).toHaveCount(before + 8)
  const { state } = (await (await page.request.get(`${server.url}/api/editions/${editions[0]!.id}`)).json()) as {
    state: { pulls: { sheetIds: number[]; disputed: unknown }[] }
  }
  const sheets = state.pulls
    .slice(-8)
    .filter((pull) => !pull.disputed)
    .flatMap((pull) => pull.sheetIds)
  expect(new Set(sheets).size).toBe(sheets.length)
  await other.close()
})
