import { dayOf } from '#core/time/room-day'
import { demoZone } from '../../demo/days'
import { readFile } from 'node:fs/promises'
import {
  choose,
  expect,
  expectAccessible,
  givePinAgain,
  goTo as stop,
  openEdition,
  say,
  test,
} from '../fixtures/browser'

test('prints are signed by key as the stack lies, on another day too; what goes wrong has its way and its trace', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422|give-secret-again/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Tide Table', /^Sign/)
  const line = page.locator('figcaption .line')
  await expect(line).toHaveText('8/12 · Tide Table · Oona Vell')
  await page.locator('h1').click()
  await page.keyboard.press('ArrowDown')
  await expect(line).toHaveText('9/12 · Tide Table · Oona Vell')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press(' ')
  await givePinAgain(page)
  await expect(page.getByText(/^8 of 13 signed/)).toBeVisible()
  await page.reload()
  await expect(line).toHaveText('9/12 · Tide Table · Oona Vell')
  await expect(page.getByRole('row', { name: /8\/12/ })).toContainText('Ansa Quill')

  // The pencil wrote 10 on the print of 9: unsigned, the two change numbers; a signed one keeps its own and a trace.
  await choose(page, 'Print', /^9\/12/)
  await choose(page, 'Its number was written on', /^10\/12/)
  await page.getByLabel('What happened').fill('9 and 10 written on one another')
  await page.getByRole('button', { name: 'The two change numbers' }).click()
  await expect(page.getByLabel('What happened')).toHaveValue('')
  await choose(page, 'Print', /^8\/12/)
  await page.getByRole('button', { name: 'The pencil slipped; it was put right' }).click()
  await expect(page.getByText(/Say what was written and how it was put right/).first()).toBeVisible()
  await page.getByLabel('What happened').fill('a 3 rubbed out')
  await page.getByRole('button', { name: 'The pencil slipped; it was put right' }).click()
  await expect(page.getByRole('row', { name: /8\/12/ })).toContainText('a 3 rubbed out')

  // What is outside the edition gets its mark.
  const outside = page.locator('section', { has: page.getByRole('heading', { name: 'Outside the edition' }) })
  await outside
    .getByRole('button', { name: /carr(y|ies) it$/ })
    .first()
    .click()
  await expect(outside.getByText(/^1 of 1$/)).toBeVisible()
  await expectAccessible(page)

  // A line that the image is too narrow for is signed with initials.
  await stop(page, /^Plan/)
  await say(
    page,
    'Title',
    'Tide Table of the Inner and the Outer Harbour, with the Customs House at Low Water in the Year of the Flood',
  )
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await stop(page, /^Sign/)
  await expect(page.getByText(/mm wider than the image/)).toBeVisible()
  await page.getByRole('button', { name: 'Sign with initials' }).click()
  await expect(line).toContainText('O. V.')
})

test('the papers of an edition come as PDF with their letters in them; a letter that is lacking is said', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Bakery Door', /^Close/)
  const papers = page.locator('section', { has: page.getByRole('heading', { name: 'Papers', exact: true }) })
  const made = async (name: string | RegExp) => {
    const downloading = page.waitForEvent('download')
    await papers.getByRole('button', { name }).click()
    const pdf = (await readFile(await (await downloading).path())).toString('latin1')
    expect(pdf.startsWith('%PDF')).toBe(true)
    // The faces are embedded, not asked of the reader.
    expect(pdf).toContain('/FontFile2')
    return pdf.match(/\/Type\s*\/Page\b/g)!.length
  }
  expect(await made('Record')).toBeLessThanOrEqual(2)
  expect(await made('22 certificates')).toBe(22)
  await papers.getByLabel('Only this number').fill('7/20')
  expect(await made('Certificate')).toBe(1)
  await choose(page, 'Page', 'Letter')
  expect(await made('Labels')).toBe(1)
  expect(await made('Signing list')).toBe(1)
  await expectAccessible(page)

  // The same on screen, of one print or of all.
  await papers.getByRole('link', { name: 'Read certificates and labels here' }).click()
  await expect(page.getByRole('article')).toHaveCount(1)
  await expect(page.getByRole('article', { name: 'Certificate of 7/20' })).toContainText('Bakery Door')
  await say(page, 'Only this number', '21/20')
  await expect(page.getByText('No signed print bears 21/20.')).toBeVisible()
  await say(page, 'Only this number', '')
  await expect(page.getByRole('article')).toHaveCount(22)
  await say(page, 'Paper', 'Labels')
  await expect(page.getByRole('listitem').filter({ hasText: '20/20' })).toContainText('Bakery Door')
  await expectAccessible(page)

  // A title in letters that the faces lack is not printed wrongly.
  await openEdition(page, server.url, 'Tide Table', /^Plan/)
  await say(page, 'Title', '潮汐')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await expect(page.getByText('The plan is changed.')).toBeVisible()
  await stop(page, /^Close/)
  await papers.getByRole('button', { name: 'Record' }).click()
  await expect(papers.getByText(/The typeface of the papers has no “潮”, “汐”/)).toBeVisible()
})

test('where the prints of a closed edition went: one line each, found by number, and back from loan', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Bakery Door', /^Close/)
  const went = page.locator('section', { has: page.getByRole('heading', { name: 'Where the prints went' }) })
  await expect(went.getByText(/^4 gone, \d+ still here$/)).toBeVisible()
  await expect(went.getByRole('button', { name: 'It left' })).toBeDisabled()
  await choose(page, 'Print that leaves', /^7\/20/)
  await choose(page, 'It is', 'exchanged')
  await went.getByLabel('To', { exact: true }).fill('Slip Street studio')
  await went.getByLabel('On', { exact: true }).fill('2019-01-02')
  await went.getByRole('button', { name: 'It left' }).click()
  await expect(went.getByText(/it cannot have left on 2019-01-02/)).toBeVisible()
  await expect(went.getByLabel('To', { exact: true })).toHaveValue('Slip Street studio')
  await went.getByLabel('On', { exact: true }).fill(dayOf(Date.now(), demoZone))
  await went.getByRole('button', { name: 'It left' }).click()
  await expect(went.getByText(/^5 gone/)).toBeVisible()
  await expect(went.getByRole('row', { name: /^7\/20 exchanged Slip Street studio/ })).toBeVisible()
  await expectAccessible(page)

  const loan = went.getByRole('row', { name: /on loan/ })
  await loan.getByRole('button').click()
  await went.getByLabel(/^How .* came back$/).fill('the window is needed')
  await went.getByRole('button', { name: 'It is here' }).click()
  await expect(went.getByText(/^4 gone/)).toBeVisible()
  await expect(went.getByRole('row', { name: /on loan/ })).toHaveCount(0)
})
