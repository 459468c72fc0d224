import type { Page } from '@playwright/test'
import { expect, expectAccessible, openEdition, test } from '../fixtures/browser'

async function openBench(page: Page, url: string, title: string): Promise<void> {
  await openEdition(page, url, title, /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
}

/** What a printer would curse at: things cut off, things on one another, a page that scrolls. */
async function lookedAt(page: Page): Promise<string[]> {
  return await page.evaluate(() => {
    const found: string[] = []
    const { scrollWidth, scrollHeight } = document.documentElement
    if (scrollWidth > innerWidth) found.push(`the page is ${scrollWidth - innerWidth} px too wide`)
    if (scrollHeight > innerHeight) found.push(`the page is ${scrollHeight - innerHeight} px too tall`)
    const bars = [...document.querySelectorAll<HTMLElement>('button.bar')]
    const boxes = bars.map((bar) => ({ name: bar.innerText.trim(), box: bar.getBoundingClientRect() }))
    for (const { name, box } of boxes) {
      if (box.left < -1 || box.right > innerWidth + 1 || box.bottom > innerHeight + 1) found.push(`${name} is cut off`)
      if (box.height < Math.min(64, innerHeight / 8)) found.push(`${name} is ${box.height} px high`)
    }
    boxes.forEach((a, i) =>
      boxes.slice(i + 1).forEach((b) => {
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left)
        const tall = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top)
        if (wide > 1 && tall > 1) found.push(`${a.name} lies on ${b.name}`)
      }),
    )
    for (const bar of bars) if (bar.scrollWidth > bar.clientWidth + 1) found.push(`${bar.innerText} runs over its edge`)
    return found
  })
}

/** Whether the newest stroke can be seen. */
const seesNewest = (page: Page) =>
  page.evaluate(() => {
    const run = document.querySelector('.run')!.getBoundingClientRect()
    const newest = [...document.querySelectorAll('.run g.stroke')].at(-1)!.getBoundingClientRect()
    return newest.right <= run.right + 1 && newest.left >= run.left - 1 && newest.bottom <= run.bottom + 12
  })

for (const [width, height] of [
  [1280, 800],
  [1180, 820],
  [820, 1180],
  [390, 844],
  [1920, 1080],
  // A laptop's screen at twice its size.
  [640, 400],
] as const)
  test(`the bench fits ${width} × ${height}`, async ({ page, pressroom }) => {
    const server = await pressroom({ demo: true })
    await page.setViewportSize({ width: 1280, height: 800 })
    await openBench(page, server.url, 'Net Loft Stairs')
    await page.setViewportSize({ width, height })
    expect(await lookedAt(page)).toEqual([])
    await expect.poll(() => seesNewest(page)).toBe(true)
    await page.keyboard.press('r')
    const faults = page.getByRole('group', { name: 'Name the fault' })
    await expect(faults).toBeVisible()
    expect(await lookedAt(page)).toEqual([])
    await expect.poll(() => seesNewest(page)).toBe(true)
    for (const field of await faults.getByRole('button').all()) {
      const box = (await field.boundingBox())!
      expect(box.height).toBeGreaterThanOrEqual(64)
      expect(box.x + box.width).toBeLessThanOrEqual(width)
    }
    // The rest of the faults are within reach too, to the last.
    await faults.getByRole('button', { name: 'more' }).click()
    expect(await lookedAt(page)).toEqual([])
    await expect.poll(() => seesNewest(page)).toBe(true)
    await faults.getByRole('button').nth(-2).click()
    await faults.getByRole('button', { name: 'Go on' }).click()
    for (const key of ['a', 'm']) {
      await page.keyboard.press(key)
      expect(await lookedAt(page)).toEqual([])
    }
    if (width === 820) await expectAccessible(page)
  })

test('a key that can do nothing says why, where the eye is', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await openBench(page, server.url, 'Net Loft Stairs')
  await page.getByRole('combobox', { name: 'Layer' }).selectOption({ label: 'black' })
  const line = page.locator('.said')
  await expect(line).toContainText('Nobody has said the layer beneath is dry.')
  await page.keyboard.press('u')
  await expect(line).toContainText('There is nothing to take back on this layer.')
  await page.keyboard.press('b')
  await expect(line).toContainText('The last pull is no proof.')
  await page.keyboard.press('9')
  await expect(line).toContainText('1 to 5 hold the ink of the last pull against the standard')
  await page.getByRole('button', { name: /^Good/ }).click({ force: true })
  await expect(line).toContainText('Nobody has said the layer beneath is dry.')
  await expect(page.locator('.tally g.stroke')).toHaveCount(0)
})

test('a station gives back a sound and a flash, once they are switched on', async ({ page, pressroom }) => {
  await page.addInitScript(() => {
    const counted = window as unknown as { tones: number }
    counted.tones = 0
    const create = AudioContext.prototype.createOscillator
    AudioContext.prototype.createOscillator = function (this: AudioContext) {
      counted.tones += 1
      return create.call(this)
    }
  })
  const server = await pressroom({ demo: true })
  await openBench(page, server.url, 'Harbour Scales')
  const tones = () => page.evaluate(() => (window as unknown as { tones: number }).tones)
  await page.keyboard.press(' ')
  expect(await tones()).toBe(0)
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'Sound' }).click()
  await page.getByRole('button', { name: 'Flash' }).click()
  await page.locator('h1').hover()
  await page.keyboard.press('Escape')
  const flashes = page.waitForSelector('.flash-good')
  await page.keyboard.press('g')
  await flashes
  expect(await tones()).toBe(1)
  // It is remembered by the station.
  await page.reload()
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  await page.keyboard.press('m')
  await expect(page.getByRole('button', { name: 'Flash' })).toHaveAttribute('aria-pressed', 'true')
})

test('a long run closes up into counted bundles, which open on touch', async ({ page, pressroom }) => {
  test.setTimeout(120_000)
  const server = await pressroom({ demo: true })
  await openBench(page, server.url, 'Harbour Scales')
  const strokes = page.locator('.run g.stroke')
  const before = await strokes.count()
  for (let i = before; i < 128; i++) await page.keyboard.press('w')
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const bundles = page.getByRole('button', { name: /^strokes \d+–\d+/ })
  await expect(bundles).toHaveCount(2)
  await expect(strokes).toHaveCount(78)
  await expect.poll(() => seesNewest(page)).toBe(true)
  await expect(bundles.first()).toHaveAccessibleName(/^strokes 1–25 ?1\d good ?1 doubtful ?1 rejected/)
  await bundles.first().click()
  await expect(strokes).toHaveCount(103)
  await bundles.first().click()
  await expect(strokes).toHaveCount(78)
  await expectAccessible(page)
})
