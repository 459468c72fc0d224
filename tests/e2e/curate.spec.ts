import {
  choose,
  countOf as count,
  expect,
  expectAccessible,
  goTo as stop,
  openEdition,
  say,
  test,
} from '../fixtures/browser'

test('a stack is curated by keys, a run of like verdicts as one act, and a reload half-way loses none', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Curate/)
  await expect(page.locator('figcaption b')).toBeVisible()
  const id = page.url().match(/editions\/([^/]+)/)![1]!
  const curated = async () => {
    const { state } = (await (await page.request.get(`${server.url}/api/editions/${id}`)).json()) as {
      state: { sheets: { id: number; curated: { seq: number; place: number; verdict: string } | null }[] }
    }
    return state.sheets.flatMap(({ curated: said }) => said ?? [])
  }
  const asked = page.getByRole('group', { name: 'Only the prints that are' })
  await page.keyboard.press('Home')
  // Only what stands as good, so that no key asks for a reason.
  for (let i = 0; i < 3; i++) await page.keyboard.press(' ')
  await page.reload()
  await expect(count(page, 'curated good')).toHaveText('3')
  await expect.poll(async () => (await curated()).length).toBe(3)
  const run = await curated()
  expect(new Set(run.map(({ seq }) => seq)).size).toBe(1)
  expect(run.map(({ place }) => place)).toEqual([0, 1, 2])

  // The last verdict is taken back while its run is open, and the print is in front again.
  await asked.getByRole('button', { name: /^not looked at yet/ }).click()
  const front = page.locator('figcaption b')
  const first = await front.textContent()
  await page.keyboard.press('g')
  await expect(front).not.toHaveText(first!)
  await page.keyboard.press('u')
  await expect(front).toHaveText(first!)
  await expectAccessible(page)

  // What answers a question is all that lies on the table, and a changed verdict asks why.
  await asked.getByRole('button', { name: /^doubtful/ }).click()
  await expect(page.getByText('doubtful', { exact: true }).first()).toBeVisible()
  await page.keyboard.press(' ')
  await page.getByLabel(/was judged doubtful: why is it good now/).fill('the speck is the paper’s')
  await page.keyboard.press('Enter')
  await expect(count(page, 'curated good')).toHaveText('4')

  // One to the proofs, one to the archive, and back again.
  await asked.getByRole('button', { name: /^not looked at yet/ }).click()
  await page.keyboard.press('a')
  await expect(asked.getByRole('button', { name: 'set aside for AP 1' })).toBeVisible()
  await page.keyboard.press('x')
  await expect(count(page, 'archive')).toHaveText('1')
  await asked.getByRole('button', { name: 'set aside for the archive 1' }).click()
  await page.keyboard.press('e')
  await expect(count(page, 'archive')).toHaveCount(0)
  await expect(page.getByText('balances')).toBeVisible()
  await page.getByRole('button', { name: /^Keep the \d+ judged good/ }).click()
  await stop(page, /^Sign/)
  await page.getByLabel('Series').first().click({ force: true })
  await page.getByRole('option', { name: 'AP', exact: true }).click()
  await expect(page.getByText(/^1 print gets its number over/)).toBeVisible()
})

test('two people look each for themselves; what they agree on is settled in one touch, where they differ is shown', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Curate/)
  const path = new URL(page.url()).pathname
  const alone = async (keys: string[]) => {
    await say(page, 'How it is decided', 'each for themselves first')
    await page.keyboard.press('Home')
    for (const key of keys) await page.keyboard.press(key)
    await say(page, 'How it is decided', 'settled at once')
  }
  await alone(['g', 'g', 'd', 'g'])
  await expect(page.getByText('curated good', { exact: true })).toHaveCount(0)
  await page.goto(`${server.url}/sign-in?to=${path}`)
  await choose(page, 'Name', /Merle Tarn/)
  await page.getByLabel('PIN or passphrase').fill('2580')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Beside the BAT' })).toBeVisible()
  await alone(['g', 'g', 'g', 'g'])
  const seen = page.getByRole('heading', { name: 'Seen by several' }).locator('..').locator('..')
  await expect(seen.getByText(/Ansa Quill doubtful, Merle Tarn good/)).toBeVisible()
  await expect(seen.getByText('3 prints all call good')).toBeVisible()
  await expectAccessible(page)
  await seen.getByRole('button', { name: 'So it is' }).click()
  await expect(count(page, 'curated good')).toHaveText('3')
  await seen.getByRole('button', { name: /^Sheet \d+$/ }).click()
  await page.keyboard.press('g')
  await expect(count(page, 'curated good')).toHaveText('4')
})

test('prints are laid in an order by keys and by dragging, and numbered so', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tin Roofs', /^Plan/)
  await say(page, 'Number 1 goes to', 'by hand')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await stop(page, /^Curate/)
  await page.getByRole('button', { name: 'Keep the 19 judged good' }).click()
  const rows = page.locator('.ranked button')
  await expect(rows).toHaveCount(19)
  const third = (await rows.nth(2).textContent())!.replace(/^\D*\d+\s*/, '')
  await rows.nth(2).focus()
  await page.keyboard.press('Home')
  await expect(rows.first()).toContainText(third)
  await expect(rows.first()).toBeFocused()
  const fifth = (await rows.nth(4).textContent())!.replace(/^\D*\d+\s*/, '')
  await page.locator('.ranked li').nth(4).dragTo(page.locator('.ranked li').nth(1))
  await expect(rows.nth(1)).toContainText(fifth)
  await expectAccessible(page)
})
