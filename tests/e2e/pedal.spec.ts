import { expect, expectAccessible, openEdition, test } from '../fixtures/browser'

test('a foot pedal is learnt by treading on it, does what it is told, and has a stand-in on the screen', async ({
  page,
  pressroom,
}) => {
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Harbour Scales', /^Pull/)
  await page.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByText('Next: sheet 21', { exact: true })).toBeVisible()
  // A page key does nothing before it is learnt.
  await page.keyboard.press('PageDown')
  const open = async () => {
    await page.keyboard.press('m')
    await page.getByRole('button', { name: 'Foot pedal' }).click()
  }
  await open()
  await expectAccessible(page)
  const learn = page.getByRole('button', { name: /^(Learn its key|Tread on it now)/ })
  await learn.last().click()
  await page.keyboard.press('PageDown')
  await expect(learn.last()).toHaveText('Learn its key, now PageDown')
  await learn.first().click()
  await page.keyboard.press('PageDown')
  await expect(page.getByText('The right switch sends that key already. Tread on the left one.')).toBeVisible()
  await learn.first().click()
  await page.keyboard.press('PageUp')
  await expect(learn.first()).toHaveText('Learn its key, now PageUp')
  await expect(page.getByText(/^(The screen stays on|This browser may let the screen sleep)/)).toBeVisible()
  await page.getByRole('button', { name: 'Done', exact: true }).click()

  // Kept on this device.
  await page.reload()
  await expect(page.getByText('Next: sheet 21', { exact: true })).toBeVisible()
  await page.keyboard.press('PageDown')
  await expect(page.getByText('Next: sheet 22', { exact: true })).toBeVisible()
  await page.waitForTimeout(250)
  await page.keyboard.press('PageUp')
  await expect(page.getByText('Sheet 22, reject. What was it? One touch, or go on.')).toBeVisible()
  await page.waitForTimeout(250)
  const strokes = page.locator('.tally g.stroke')
  const before = await strokes.count()
  await page.keyboard.press('PageDown')
  await expect(strokes).toHaveCount(before + 1)

  await open()
  await page.getByLabel('The left switch does').selectOption('take back')
  await page.getByRole('button', { name: 'Stand-in: left switch' }).click()
  await expect(strokes).toHaveCount(before)
})
