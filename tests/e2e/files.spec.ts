import { readFile, writeFile } from 'node:fs/promises'
import { expect, expectAccessible, givePinAgain, openSetUp, test } from '../fixtures/browser'

test('the room is written as one file, harmed, refused, and brought whole into an empty pressroom', async ({
  page,
  pressroom,
  quiet,
}, info) => {
  quiet.allow(/status of 400 \(invalid\)/)
  const before = await pressroom({ demo: true })
  await page.goto(`${before.url}/office`)
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Write the studio file' }).click()
  await givePinAgain(page)
  const download = await downloading
  expect(download.suggestedFilename()).toBe('ropewalk-pressroom-studio.jsonl')
  const text = await readFile(await download.path(), 'utf8')
  const head = JSON.parse(text.slice(0, text.indexOf('\n'))) as { head: string; events: number }
  await expect(page.getByText(`It reaches event ${head.events} and hashes to ${head.head}`)).toBeVisible()
  const tables = page.waitForEvent('download')
  await page.getByRole('link', { name: 'impressions.csv' }).click()
  expect(await readFile(await (await tables).path(), 'utf8')).toMatch(/^edition,impression,layer,kind/)

  const after = await pressroom()
  const harmed = info.outputPath('harmed.jsonl')
  await writeFile(harmed, text.replace('Bakery Door', 'Bakery Floor'))
  const whole = info.outputPath('whole.jsonl')
  await writeFile(whole, text)
  await openSetUp(page, after)
  await page.getByRole('button', { name: 'Begin with a studio file' }).click()
  const chooser = page.getByLabel('Studio file', { exact: true })
  await chooser.setInputFiles(harmed)
  await expect(page.getByText('This file is not taken:')).toBeVisible()
  await expect(page.getByText('The file was changed after it was written')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Open this pressroom' })).toHaveCount(0)
  await expectAccessible(page)
  await chooser.setInputFiles(whole)
  await expect(page.getByText('14 editions')).toBeVisible()
  await expect(page.getByText(head.head)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Open this pressroom' }).click()
  await expect(page.getByText('The PIN or passphrase is a text of 4 to 200 characters')).toBeVisible()
  await page.getByLabel('Your PIN or passphrase here').fill('net loft')
  await page.getByRole('button', { name: 'Open this pressroom' }).click()
  await expect(page.getByText('Harbour Scales').first()).toBeVisible()
  await page.goto(`${after.url}/office`)
  await expect(page.getByText(`hashes to ${head.head}`)).toBeVisible()
})
