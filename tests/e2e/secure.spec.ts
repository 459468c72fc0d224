import { chromium, type Page } from '@playwright/test'
import { join } from 'node:path'
import { serverCertificate } from '../../scripts/https.mjs'
import { newFolder } from '../fixtures/server'
import { expect, test } from '../fixtures/browser'

/** A browser elsewhere in the room, to which this machine goes by the name of the pressroom. */
async function elsewhere(what: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP pressroom.local 127.0.0.1'],
  })
  const context = await browser.newContext({ ignoreHTTPSErrors: true })
  await what(await context.newPage())
  await browser.close()
}

const hosts = { AMPLE_TALLY_HOSTS: 'pressroom.local' }
const withheld = 'Without HTTPS others in the network can read along'

test('over HTTPS a tablet of the room signs in and is kept private', async ({ pressroom }) => {
  const { cert, key } = await serverCertificate(join(newFolder(), 'https'))
  const { port } = await pressroom({
    demo: true,
    https: true,
    env: { ...hosts, NITRO_SSL_CERT: cert, NITRO_SSL_KEY: key },
  })
  await elsewhere(async (page) => {
    await page.goto(`https://pressroom.local:${port}/`)
    await expect(page.getByRole('heading', { name: 'The floor' })).toBeVisible()
    await expect(page.getByText(withheld)).toHaveCount(0)
    expect(await page.evaluate(() => window.isSecureContext)).toBe(true)
    const cookies = await page.context().cookies()
    expect(cookies.length).toBeGreaterThan(0)
    expect(cookies.every(({ secure, httpOnly, sameSite }) => secure && httpOnly && sameSite === 'Strict')).toBe(true)
  })
})

test('over plain HTTP the page says what is lost', async ({ pressroom }) => {
  const { port } = await pressroom({ demo: true, env: hosts })
  await elsewhere(async (page) => {
    await page.goto(`http://pressroom.local:${port}/`)
    await expect(page.getByText(withheld)).toBeVisible()
  })
})
