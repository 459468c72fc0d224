import { expect, expectAccessible, openEdition, say, test } from '../fixtures/browser'

test('when a layer is fit for what: said by the room’s air, touched, learnt from, and declared dry', async ({
  page,
  pressroom,
  quiet,
}) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await openEdition(page, server.url, 'Net Loft Stairs', /^Dry/)
  await expect(
    page.getByText(/^Not yet: fit to print on from .+ at the earliest, by .+ at the latest\.$/),
  ).toBeVisible()
  const drawing = page.getByRole('img', { name: /dry to the touch from .+; fit to print on from .+; fit to ship from/ })
  await expect(drawing).toBeVisible()
  const before = await drawing.getAttribute('aria-label')
  await expectAccessible(page)

  // A warm room, and a drier: everything is sooner.
  await say(page, 'Temperature of the room', '30')
  await expect(page.getByText('30 °C')).toBeVisible()
  await expect.poll(() => drawing.getAttribute('aria-label')).not.toBe(before)
  await say(page, 'Drier', 'with a drier, within its label’s range')
  await expect(page.getByText('with a drier, within its label’s range')).toBeVisible()

  // A touch: the room learns.
  await page.getByRole('button', { name: 'It is', exact: true }).click()
  await expect(page.getByText(/^dry to the touch after .+, expected after/)).toBeVisible()
  await expect(page.getByText(/it rests on \d+ touch tests? of this room and a guess worth three/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^dry to the touch after/)).toBeVisible()

  // Declared dry, and the strip says so.
  await expect(page.getByRole('link', { name: /^Dry 2\d wet/ })).toBeVisible()
  await page.getByRole('button', { name: /^Declare 2\d sheets dry/ }).click()
  await expect(page.getByText('Every sheet of this layer is declared dry.')).toBeVisible()
  await expect(page.getByRole('link', { name: /^Dry none wet/ })).toBeVisible()
})
