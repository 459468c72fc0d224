import { choose, expect, expectAccessible, goTo, say, test, unfold } from '../fixtures/browser'

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
  await page.getByLabel('PIN or passphrase', { exact: true }).fill('12')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('4 to 200 characters')).toBeVisible()
  await page.getByLabel('PIN or passphrase', { exact: true }).fill('wick 42')
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
  // The manager knows that PIN: another is chosen first, and nothing else can be done before.
  await expect(student.getByRole('heading', { name: 'A PIN of your own' })).toBeVisible()
  await student.goto(`${server.url}/editions`)
  await expect(student.getByRole('heading', { name: 'A PIN of your own' })).toBeVisible()
  await expectAccessible(student)
  await student.getByLabel('PIN or passphrase until now').fill('wick 42')
  await student.getByLabel('The new one', { exact: true }).fill('tallow 7')
  await student.getByLabel('The new one again').fill('tallow 8')
  await student.getByRole('button', { name: 'Change it' }).click()
  await expect(student.getByText('was not typed the same twice')).toBeVisible()
  await student.getByLabel('The new one again').fill('tallow 7')
  await student.getByRole('button', { name: 'Change it' }).click()
  await expect(student.getByRole('link', { name: 'Sorrel Wick, student' })).toBeVisible()
  // Another's edition may be looked at.
  await student.getByRole('link', { name: 'Harbour Scales' }).click()
  await expect(student.getByText('You look on: Merle Tarn prints this edition.')).toBeVisible()
  await goTo(student, /^Plan/)
  await expect(student.getByRole('button', { name: 'Add the layer' })).toHaveCount(0)
  await expect(student.getByRole('button', { name: /^Prints: / })).toBeDisabled()
  await student.getByRole('link', { name: 'To the bench' }).click()
  await expect(student.getByText('You look on: ask to be named on this edition')).toBeVisible()
  await expect(student.getByRole('button', { name: /^Good/ })).toBeDisabled()
  // Named on it, the student prints.
  await page.getByRole('link', { name: 'Editions', exact: true }).click()
  await page.getByRole('link', { name: 'Harbour Scales' }).click()
  await goTo(page, /^Plan/)
  await unfold(page, 'Whose edition it is')
  await choose(page, 'Printed by', /^Sorrel Wick/)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Name them' }).click()
  await expect(page.getByRole('button', { name: 'Name them' })).toBeDisabled()
  const before = await student.locator('.tally .base').count()
  await expect(student.getByRole('button', { name: /^Good/ })).toBeEnabled()
  await student.keyboard.press(' ')
  await expect(student.locator('.tally .base')).toHaveCount(before + 1)
  await student.goto(`${server.url}/office`)
  await expect(student.getByText('the manager adds and changes people')).toBeVisible()
  await expect(student.getByRole('button', { name: /^Change [A-Z]/ })).toHaveCount(0)
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

test('a station nobody touches says so, signs its person out, and keeps what waits', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 401|Failed to load resource/)
  await page.clock.install()
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  // The demo signs in at a device of its own; at a shared one a minute is enough here.
  await page.goto(`${server.url}/office`)
  await say(page, 'Idle stations sign out after', '2')
  await page.getByRole('button', { name: 'Change the customs' }).click()
  await expect(page.getByText('Changed.', { exact: true })).toBeVisible()
  await page.goto(`${server.url}/sign-in?to=/editions`)
  await choose(page, 'Name', /Merle Tarn/)
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('link', { name: 'Merle Tarn, member' })).toBeVisible()
  await page.clock.fastForward('01:10')
  await expect(page.getByText(/Merle Tarn is signed out in \d+ s/)).toBeVisible()
  await page.getByRole('button', { name: 'Stay' }).click()
  await expect(page.getByText(/is signed out in/)).toHaveCount(0)
  await page.clock.fastForward('02:05')
  await expect(page.getByText('Nobody touched this station for a while, so it was signed out.')).toBeVisible()
  expect((await page.request.get(`${server.url}/api/floor`)).status()).toBe(401)

  // With the server off as well the station goes to the door once, and stays there.
  await choose(page, 'Name', /Merle Tarn/)
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('link', { name: 'Merle Tarn, member' })).toBeVisible()
  await server.stop('SIGKILL')
  await page.clock.fastForward('02:05')
  await expect(page).toHaveURL(/\/sign-in\?idle=1/)
  const door = page.url()
  for (let look = 0; look < 5; look++) await page.clock.fastForward('00:30')
  expect(page.url()).toBe(door)
})

test('eight tabs of one browser share one stream, and go on when the one that holds it closes', async ({
  page,
  context,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  let streams = 0
  context.on('request', (request) => {
    if (request.url().includes('/api/live')) streams += 1
  })
  await page.request.get(`${server.url}/api/session`)
  const { editions } = await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()
  const tabs = [...(await Promise.all(Array.from({ length: 7 }, () => context.newPage()))), page]
  for (const tab of tabs) {
    await tab.goto(`${server.url}/bench/${editions[0].id}`)
    await expect(tab.getByText('every pull stored', { exact: true })).toBeVisible()
  }
  const strokes = (tab: typeof page) => tab.locator('.tally .base')
  // What stands there already may be drawn a moment after the page says that all is stored.
  await expect(strokes(page)).not.toHaveCount(0)
  const before = await strokes(page).count()
  await tabs[7]!.keyboard.press(' ')
  for (const tab of tabs) await expect(strokes(tab)).toHaveCount(before + 1)
  expect(streams).toBe(1)
  const open = [...tabs]
  for (let i = 0; i < 3; i++) {
    await open.shift()!.close()
    await open.at(-1)!.keyboard.press(' ')
    for (const tab of open) await expect(strokes(tab)).toHaveCount(before + 2 + i)
  }
  // The server is killed at the end, which a tab that follows it would complain of.
  for (const tab of open) if (tab !== page) await tab.close()
})
