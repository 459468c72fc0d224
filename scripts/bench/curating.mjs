import { open } from './frames.mjs'
import { quantile } from './server.mjs'

/**
 * A stack of so many prints at the curating table: 95 of 100 keys, ms from the key to the next print in front; and their numbers
 * given, ms from the touch to the server's answer.
 */
export async function measureCurating(folder, fillLedger, prints = 500) {
  const { id, url, page, close } = await open(folder, fillLedger, prints, prints, {
    size: prints,
    sizeSchool: 'counted',
  })
  await page.goto(`${url}/editions/${id}/curate`)
  await page.locator('figcaption b').waitFor()
  const keys = []
  for (let i = 0; i < Math.min(80, prints - 1); i++)
    keys.push(
      await page.evaluate(
        () =>
          new Promise((done) => {
            const front = document.querySelector('figcaption b')
            const before = front.textContent
            const began = performance.now()
            const look = () =>
              front.textContent === before ? requestAnimationFrame(look) : done(performance.now() - began)
            window.dispatchEvent(new KeyboardEvent('keydown', { key: 'g' }))
            look()
          }),
      ),
    )
  await page.getByRole('button', { name: /^Keep the/ }).click()
  await page.getByText(/wait for numbers/).waitFor()
  await page.getByRole('link', { name: 'Give numbers' }).click()
  const give = page.getByRole('button', { name: 'Give numbers' })
  await give.waitFor()
  await page.waitForTimeout(2000)
  const numbers = await page.evaluate(
    () =>
      new Promise((done) => {
        const began = performance.now()
        new PerformanceObserver((list) => {
          const sent = list.getEntries().find(({ name }) => name.endsWith('/api/commands'))
          if (sent) done(sent.responseEnd - began)
        }).observe({ type: 'resource' })
        ;[...document.querySelectorAll('button')].find((one) => one.textContent.trim() === 'Give numbers').click()
      }),
  )
  await close()
  return { key: quantile(keys, 0.95), numbers }
}
