import { expect, test } from '../fixtures/browser'
import { Client } from '../fixtures/client'

test('twelve presses in full swing fit one screen', async ({ page, context, pressroom }) => {
  const server = await pressroom()
  const client = await new Client(server.url).setUp()
  for (let i = 1; i <= 12; i++) {
    const edition = await client.edition(6, `Bollard ${i}`)
    await client.give(edition.stream, 'pull', client.pull(edition.layerId, 1))
  }
  await context.addCookies(
    client.cookie.split('; ').map((cookie) => {
      const [name, ...value] = cookie.split('=')
      return { name: name!, value: value.join('='), url: server.url }
    }),
  )
  await page.goto(server.url)
  const presses = page.locator('.running > li')
  await expect(presses).toHaveCount(12)
  await expect(presses.last()).toBeInViewport({ ratio: 1 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
})
