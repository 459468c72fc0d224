import { readFileSync } from 'node:fs'
import type { Browser, Page } from '@playwright/test'
import sharp from 'sharp'
import { readStores } from '../fixtures/stores'
import { Client } from '../fixtures/client'
import { choose, expect, expectAccessible, say, test, signInAs, unfold } from '../fixtures/browser'

/** Somebody else at a browser of their own. */
async function signedIn(browser: Browser, url: string, name: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage()
  await signInAs(page, url, name)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  return page
}

test('a class is begun, given something to do and started in one act', async ({ page, pressroom, quiet }) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/class`)
  await page.getByRole('button', { name: 'Begin a class' }).click()
  await page.getByRole('button', { name: 'Begin the class' }).click()
  await expect(page.getByText('Give the class a name.')).toBeVisible()
  await say(page, 'Name of the class', 'Monday morning')
  await say(page, 'Term', 'winter')
  await say(page, 'First day', '2026-11-30')
  await say(page, 'Last day', '2026-11-02')
  await page.getByRole('button', { name: 'It meets on a day more' }).click()
  await say(page, 'Day 1', 'Monday')
  await say(page, 'Begins, day 1', '09:30')
  await say(page, 'Bell, day 1', '12:00')
  await page.getByRole('button', { name: 'Begin the class' }).click()
  await expect(page.getByText('before it begins on 2026-11-30')).toBeVisible()
  // Half-filled, it survives a reload.
  await page.reload()
  await page.getByRole('button', { name: 'Begin a class' }).click()
  await say(page, 'Last day', '2027-02-22')
  await page.getByRole('button', { name: 'Begin the class' }).click()
  await expect(page.getByRole('heading', { name: 'Monday morning' })).toBeVisible()
  await choose(page, 'Who comes to it', 'Ibb Fenner')
  await page.getByRole('option', { name: /^Rook Alder/ }).click()
  await page.getByRole('option', { name: /^Wren Maddox/ }).click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Put them on the list' }).click()
  await expect(page.getByText('Ibb Fenner, Rook Alder and Wren Maddox')).toBeVisible()
  await unfold(page, 'Students')
  await expect(page.getByText('comes to Evening class too')).toHaveCount(3)
  await page.getByRole('button', { name: 'Set the assignment' }).click()
  await expect(page.getByText('Give the edition a title')).toBeVisible()
  await say(page, 'Title of the assignment', 'Mooring post')
  await say(page, 'Prints', '4')
  await say(page, 'Paper', 'cream laid')
  await say(page, 'Large sheets for each', '3')
  await say(page, 'Handed in by', '2026-12-14')
  await page.getByRole('button', { name: 'Set the assignment' }).click()
  await page.getByRole('link', { name: 'Start everybody’s edition' }).click()
  await expect(page.getByText('3 editions, 9 large sheets put aside')).toBeVisible()
  await say(page, 'Wren Maddox prints', 'with Rook Alder')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Start 2 editions' }).click()
  await expect(page.getByRole('link', { name: 'Rook Alder and Wren Maddox' })).toBeVisible()
  await page.goBack()
  await expect(page.locator('.table')).toHaveCount(2)
  await expect(page.getByText(/\d sheets wait for the sign-off/)).toHaveCount(2)
  await expectAccessible(page)
})

test('a student asks at the bench, the instructor’s page shows it, and what is signed off may be done', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  test.setTimeout(120_000)
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await page.goto(server.url)
  await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
  const { courses } = (await (await page.request.get(`${server.url}/api/courses`)).json()).data
  const people = (await (await page.request.get(`${server.url}/api/people`)).json()).people as {
    id: string
    name: string
  }[]
  const jory = people.find(({ name }) => name === 'Jory Pell')!.id
  const instructor = await new Client(server.url).signIn(people.find(({ name }) => name === 'Piers Haddow')!.id, '2580')
  // A reduction of two layers, so that there is a cut to ask for.
  const [course] = courses as { id: string; seq: number; assignments: { plan: object }[] }[]
  const set = {
    assignmentId: 'two',
    title: 'Two states',
    plan: { ...course!.assignments[0]!.plan, method: 'reduction', layersPlanned: 2 },
    gates: ['paper', 'cut'],
    practice: 2,
    opens: null,
    mayReplan: false,
    due: null,
    paper: null,
    pictures: ['the whole edition'],
    points: ['even inking'],
    editionIds: [],
  }
  await instructor.give(`course:${course!.id}`, 'set-assignment', set, { expectedSeq: course!.seq })
  const started = await instructor.give(`course:${course!.id}`, 'start-assignment', {
    assignmentId: 'two',
    editions: [{ editionId: 'two-jory', personIds: [jory], title: 'Quay Steps', artist: 'Jory Pell' }],
    lotId: null,
  })
  expect(started.status).toBe(200)
  await page.goto(`${server.url}/class/${course!.id}`)
  await expect(page.getByRole('heading', { name: 'Who asks' })).toBeVisible()
  const table = page.locator('.table', { hasText: 'Jory Pell' })
  await expect(table).toHaveCount(1)

  const student = await signedIn(browser, server.url, 'Jory Pell')
  quiet.watch(student.context())
  await student.goto(`${server.url}/bench/two-jory`)
  await expect(student.getByRole('button', { name: /^Proof/ })).toBeEnabled()
  await student.keyboard.press('p')
  await expect(student.locator('.tally .base')).toHaveCount(1)
  // The stroke is on the instructor's page without anybody touching it.
  await expect(table.locator('.stroke')).toHaveCount(1)
  await student.getByRole('button', { name: /^Call/ }).click()
  const asks = page.locator('.ask', { hasText: 'Jory Pell' })
  await expect(asks).toContainText('asks for help')
  await student.getByRole('button', { name: 'Good paper: look at my proof' }).click()
  await expect(asks).toHaveCount(1)
  await expect(asks).toContainText('asks for good paper')
  await asks.getByRole('button', { name: 'Not yet' }).click()
  await asks.getByLabel('What is still wanted').fill('even out the top edge first')
  await asks.getByRole('button', { name: 'Tell them' }).click()
  await expect(asks).toHaveCount(0)
  await expect(student.getByText('even out the top edge first')).toBeVisible()

  // Torn without leave it is refused in the words that say what to do.
  await student.goto(`${server.url}/editions/two-jory/class`)
  await student.getByLabel('In words').fill('look again, please')
  await student.getByRole('button', { name: 'Good paper: look at my proof' }).click()
  await expect(asks).toContainText('look again, please')
  const hasty = await new Client(server.url).signIn(jory, '2580')
  const { lots } = await readStores(async (path) => (await page.request.get(`${server.url}${path}`)).json())
  const tear = {
    lotId: lots.find(({ use }) => use === 'edition')!.id,
    lotSheets: 2,
    count: 8,
    images: 1,
    wrong: 0,
    reason: '',
    width: 0,
    height: 0,
    rationId: null,
    offcuts: [],
  }
  expect((await hasty.give('edition:two-jory', 'tear', tear)).body.code).toBe('paper-gate')
  await asks.getByRole('button', { name: 'Sign off good paper' }).click()
  await expect(student.getByText('Good paper is signed off by')).toBeVisible()
  expect((await hasty.give('edition:two-jory', 'tear', tear)).status).toBe(200)

  // No cut without leave: neither by the page nor past it.
  await student.goto(`${server.url}/bench/two-jory`)
  await expect(student.getByRole('button', { name: /^Good/ })).toBeEnabled()
  for (let i = 0; i < 7; i++) await student.keyboard.press(' ')
  await expect(student.locator('.tally .base')).toHaveCount(8)
  await student.goto(`${server.url}/editions/two-jory/gate`)
  await expect(student.getByText('your instructor signs the cut off')).toBeVisible()
  await expect(student.getByRole('button', { name: /^Yes, it is cut/ })).toHaveCount(0)
  const { state } = await (await student.request.get(`${server.url}/api/editions/two-jory`)).json()
  const cut = await hasty.give(
    'edition:two-jory',
    'cut-further',
    { layerId: state.layers[0].id },
    { expectedSeq: state.seq },
  )
  expect(cut.body.code).toBe('cut-gate')
  await student.getByRole('link', { name: 'Ask for it' }).click()
  await student.getByRole('button', { name: /^May I cut after/ }).click()
  await asks.getByRole('button', { name: 'Sign off the cut' }).click()
  await student.goto(`${server.url}/editions/two-jory/gate`)
  await student.getByRole('button', { name: /^Yes, it is cut/ }).click()
  await expect(student.getByText('The block is cut further: this layer takes no more pulls.')).toBeVisible()
  await student.context().close()
})

test('work is handed in and commented on, and prints are exchanged by lot', async ({
  page,
  browser,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  const student = await signedIn(browser, server.url, 'Ibb Fenner')
  quiet.watch(student.context())
  await student.getByRole('link', { name: 'Class', exact: true }).click()
  // The floor names the editions of the class too.
  await student.waitForURL(/\/class/)
  await expect(student.getByRole('heading', { name: 'The floor' })).toHaveCount(0)
  await student.getByRole('link', { name: 'Kettle' }).click()
  await student.getByRole('button', { name: 'Hand it in' }).click()
  await expect(student.getByText('The assignment asks for a picture of the whole edition.')).toBeVisible()
  const dot = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#445566' } })
    .png()
    .toBuffer()
  const file = { name: 'print.png', mimeType: 'image/png', buffer: dot }
  await student.getByLabel(/picture of the whole edition/).setInputFiles(file)
  await expect(student.getByRole('img', { name: 'the whole edition' })).toBeVisible()
  await student.getByLabel(/picture of the block/).setInputFiles(file)
  await expect(student.getByRole('img', { name: 'the block' })).toBeVisible()
  await student.getByRole('button', { name: 'Hand it in' }).click()
  await expect(student.getByText('Say something to “even inking”, then hand in.')).toBeVisible()
  await student.getByLabel('even inking').fill('the fourth is pale')
  await student.getByLabel('clean margins').fill('all clean')
  await student.reload()
  await student.getByLabel('what I would do otherwise').fill('ink in two charges')
  await student.getByRole('button', { name: 'Hand it in' }).click()
  await expect(student.getByText('Handed in by Ibb Fenner')).toBeVisible()
  await expectAccessible(student)

  await page.goto(`${server.url}/class`)
  await page.getByRole('link', { name: 'Evening class' }).click()
  await page.getByRole('link', { name: 'The assignment' }).click()
  await expect(page.getByText('not looked at yet')).toBeVisible()
  const sheet = page.waitForEvent('download')
  await page.getByRole('button', { name: 'All prints on one sheet' }).click()
  expect((await sheet).suggestedFilename()).toBe('kettle-contact-sheet.pdf')
  const pages = readFileSync(await (await sheet).path(), 'latin1')
  expect(pages.match(/\/Type \/Page\b/g)).toHaveLength(1)
  expect(pages).toContain('/Subtype /Image')
  const list = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Class list' }).click()
  expect((await list).suggestedFilename()).toBe('kettle-class-list.pdf')
  await page.getByRole('button', { name: 'Draw', exact: true }).click()
  await expect(page.getByText(/gives to/)).toHaveCount(5)
  await page.getByRole('button', { name: 'Draw again' }).click()
  await expect(page.getByText('Say why it is drawn again.')).toBeVisible()
  await unfold(page, 'What it asks')
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Ibb Fenner' }).click()
  await page.getByLabel('What you see in the work').fill('A clean set; hold the fourth to the light.')
  await page.getByRole('button', { name: 'Say it to them' }).click()
  await expect(student.getByText('A clean set; hold the fourth to the light.')).toBeVisible()
  await student.context().close()
})
