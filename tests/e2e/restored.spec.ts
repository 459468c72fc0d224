import { execFileSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '../fixtures/browser'
import { Server } from '../fixtures/server'

test('a backup is made in Office and brought back; the browser offers what it had done since', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/Failed to load resource|net::ERR_/)
  const server = await pressroom({ demo: true })
  await page.goto(`${server.url}/office`)
  await page.getByRole('button', { name: 'Make a backup' }).click()
  await expect(page.getByText(/The newest is of .*: \d+ events/)).toBeVisible()
  const { editions } = await (await page.request.get(`${server.url}/api/editions?search=Harbour`)).json()
  await page.goto(`${server.url}/bench/${editions[0].id}`)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  const stored = page.locator('.tally .base')
  const before = await stored.count()
  for (const key of [' ', 'd', ' ']) await page.keyboard.press(key)
  await expect(stored).toHaveCount(before + 3)
  await expect(page.getByText('every pull stored', { exact: true })).toBeVisible()
  // A page that is loaded again in between forgets none of it.
  await page.reload()
  await expect(stored).toHaveCount(before + 3)
  await server.stop()
  const backups = join(server.folder, 'backups')
  execFileSync(process.execPath, ['scripts/restore.mjs', join(backups, readdirSync(backups)[0]!)], {
    env: { ...process.env, AMPLE_TALLY_DATA: server.folder },
  })
  const again = await Server.start({ folder: server.folder, port: server.port, demo: true })
  // The page hears of another ledger, and loads itself afresh.
  await expect(
    page.getByText(/The ledger was put back to an earlier state, and 3 things done in this browser/),
  ).toBeVisible({ timeout: 45_000 })
  await expect(stored).toHaveCount(before)
  await page.getByRole('button', { name: 'Hand them in again' }).click()
  await expect(stored).toHaveCount(before + 3, { timeout: 30_000 })
  await page.reload()
  await expect(stored).toHaveCount(before + 3)
  await expect(page.getByText('The ledger was put back')).toHaveCount(0)
  await again.stop('SIGKILL')
})
