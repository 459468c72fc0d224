import type { Locator, Page } from '@playwright/test'
import { expect, openSetUp, test } from '../fixtures/browser'
import type { Server } from '../fixtures/server'

/** How somebody gets at a thing on the screen: each of these is one act. */
interface Hand {
  type: (field: Locator, text: string) => Promise<void>
  touch: (what: Locator) => Promise<void>
}

const byMouse: Hand = {
  type: (field, text) => field.fill(text),
  touch: (what) => what.click(),
}

const byFinger: Hand = {
  async type(field, text) {
    await field.tap()
    await field.fill(text)
  },
  touch: (what) => what.tap(),
}

/** Tab until it has the focus; nothing else finds it. */
async function reach(page: Page, what: Locator): Promise<void> {
  await expect(what).toBeVisible()
  const has = () => what.evaluate((node) => node === document.activeElement)
  for (let tabs = 0; !(await has()); tabs++) {
    if (tabs === 90) throw new Error(`No Tab comes to ${what}`)
    await page.keyboard.press('Tab')
  }
}

const byKeyboard = (page: Page): Hand => ({
  async type(field, text) {
    await reach(page, field)
    await page.keyboard.press('Control+A')
    await page.keyboard.type(text)
  },
  async touch(what) {
    await reach(page, what)
    await page.keyboard.press('Enter')
  },
})

/** From the address that the server prints to ten pulls, told by what stands on the screen alone. */
async function toTheTenthStroke(page: Page, server: Server, hand: Hand): Promise<number> {
  let acts = 0
  const type = async (label: string, text: string) => {
    acts += 1
    await hand.type(page.getByLabel(label, { exact: true }), text)
  }
  const touch = async (role: 'button' | 'link', name: string | RegExp) => {
    acts += 1
    await hand.touch(page.getByRole(role, { name }).first())
  }
  await openSetUp(page, server)
  await type('Pressroom', 'Rope Works')
  await type('Your name, as manager', 'Ansa Quill')
  await type('Your PIN or passphrase', 'net loft')
  await touch('button', 'Open the pressroom')
  await touch('link', 'Start the first one')
  await type('Title', 'Tide Gauge')
  await touch('button', /^Start$/)
  await touch('link', /^Paper none torn/)
  await touch('button', 'Add paper to the store')
  await type('Name', 'cream laid')
  await type('Width', '760')
  await type('Height', '560')
  await type('Weight', '200')
  await type('Sheets', '10')
  await touch('button', 'Add the paper')
  await expect(page.getByText(/from a sheet/).first()).toBeVisible()
  await touch('button', /^As planned/)
  await touch('button', /^Tear$/)
  await expect(page.getByText('balances')).toBeVisible()
  await touch('link', 'To the bench')
  await expect(page.getByText('Next: sheet 1')).toBeVisible()
  return acts
}

test('from an empty room to the tenth stroke takes fewer than forty acts, and no documentation', async ({
  page,
  pressroom,
}) => {
  const acts = await toTheTenthStroke(page, await pressroom(), byMouse)
  for (let i = 0; i < 10; i++) await page.getByRole('button', { name: /^Good/ }).click()
  await expect(page.locator('.run .base')).toHaveCount(10)
  expect(acts + 10).toBeLessThan(40)
})

test('the same with the keyboard alone', async ({ page, pressroom }) => {
  await toTheTenthStroke(page, await pressroom(), byKeyboard(page))
  for (let i = 0; i < 10; i++) await page.keyboard.press('Space')
  await expect(page.locator('.run .base')).toHaveCount(10)
  await page.keyboard.press('u')
  await expect(page.locator('.run .base')).toHaveCount(9)
})

test.describe('on an upright tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } })
  test('the same with a finger alone, and a reject with its fault', async ({ page, pressroom }) => {
    await toTheTenthStroke(page, await pressroom(), byFinger)
    for (let i = 0; i < 9; i++) await page.getByRole('button', { name: /^Good/ }).tap()
    await page.getByRole('button', { name: /^Reject/ }).tap()
    const faults = page.getByRole('group', { name: 'Name the fault' })
    await faults.getByRole('button').first().tap()
    await faults.getByRole('button', { name: 'Go on' }).tap()
    await expect(page.locator('.run .base')).toHaveCount(10)
  })
})
