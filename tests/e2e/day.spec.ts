import { writeFileSync } from 'node:fs'
import { v7 } from 'uuid'
import { dayOf, daysAfter } from '#core/time/room-day'
import { demoZone } from '../../demo/days'
import type { CalendarReply } from '#shared/replies/calendar'
import { expect, expectAccessible, say, signInAs, test, unfold } from '../fixtures/browser'
import type { Page } from '@playwright/test'

const today = dayOf(Date.now(), demoZone)
/** The day after tomorrow: nothing of the demo is booked there. */
const on = daysAfter(today, 2)
const tomorrow = daysAfter(today, 1)

const strip = (page: Page, words: RegExp) => page.getByRole('button', { name: words })

test('a press is booked, moved by keys and by hand, and a clash is answered by the nearest free time', async ({
  page,
  pressroom,
  quiet,
}) => {
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Oona Vell', `/day?on=${on}`)
  await page.getByRole('button', { name: 'Book a press' }).click()
  await say(page, 'Place', 'Small platen')
  await say(page, 'From', '10:00')
  await say(page, 'Until', '12:00')
  await say(page, 'For which edition', 'Slack Water')
  await say(page, 'For which layer', 'rust')
  // Half-way a reload keeps what was said.
  await page.reload()
  await expect(page.getByRole('button', { name: 'For which layer: rust' })).toBeVisible()
  await page.getByRole('button', { name: 'Book it' }).click()
  const own = strip(page, /^10:00–12:00 Oona Vell, Slack Water, rust/)
  await expect(own).toBeVisible()

  // By keys: an hour later, and kept; then held elsewhere and left.
  await own.focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  const later = strip(page, /^11:00–13:00 Oona Vell/)
  await expect(later).toBeVisible()
  await later.focus()
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('Escape')
  await expect(later).toBeVisible()

  // By hand, along the day.
  const box = (await later.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + box.width, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(strip(page, /^13:00–15:00 Oona Vell/)).toBeVisible()
  await page.reload()
  await expect(strip(page, /^13:00–15:00 Oona Vell/)).toBeVisible()

  // A second one at the same hour is refused, and the nearest free time taken instead.
  quiet.allow(/status of 422/)
  await page.getByRole('button', { name: 'Book a press' }).click()
  await say(page, 'Place', 'Small platen')
  await say(page, 'From', '13:30')
  await say(page, 'Until', '14:30')
  await page.getByRole('button', { name: 'Book it' }).click()
  await expect(page.getByRole('alert')).toContainText('It is booked already')
  await page.getByRole('button', { name: /^Take .*12:00 to 13:00|^Take .*15:00 to 16:00/ }).click()
  await expect(strip(page, /^(12:00–13:00|15:00–16:00) Oona Vell/)).toBeVisible()

  // And given back.
  await strip(page, /^13:00–15:00 Oona Vell/).click()
  await page.getByRole('button', { name: 'Give it back' }).click()
  await expect(strip(page, /^13:00–15:00 Oona Vell/)).toHaveCount(0)
  await expectAccessible(page)
})

test('an hour in which the room is shut is refused, days are shut by hand and from a calendar file', async ({
  page,
  pressroom,
  quiet,
}, info) => {
  quiet.allow(/status of 422/)
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Ansa Quill', `/day?on=${on}`)
  await unfold(page, 'Days shut and away')
  await say(page, 'First day shut', on)
  await say(page, 'Last day shut', on)
  await say(page, 'Why it is shut', 'stocktaking')
  await page.getByRole('button', { name: 'Shut it' }).click()
  await expect(page.getByText('the room is shut, stocktaking')).toBeVisible()
  await page.getByRole('button', { name: 'Book a press' }).click()
  await say(page, 'Day', on)
  await page.getByRole('button', { name: 'Book it' }).click()
  await expect(page.getByRole('alert')).toContainText('The room is closed from')
  await page.getByRole('button', { name: 'Leave it' }).click()

  const day = tomorrow.replaceAll('-', '')
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', 'BEGIN:VEVENT', 'UID:1', 'DTSTAMP:20260101T000000Z']
  const file = info.outputPath('town.ics')
  writeFileSync(
    file,
    [...lines, `DTSTART;VALUE=DATE:${day}`, 'SUMMARY:Rope walk fair', 'END:VEVENT', 'END:VCALENDAR', ''].join('\r\n'),
  )
  await page.getByLabel(/^Closures from a calendar file/).setInputFiles(file)
  await expect(page.getByText('1 closure from town.ics.')).toBeVisible()
  // The demo has four bookings tomorrow: they stay, and are told.
  await expect(page.getByText(/the room is shut, Rope walk fair · 4 bookings lie in it/)).toBeVisible()
  const broken = info.outputPath('broken.ics')
  writeFileSync(broken, 'no calendar at all')
  await page.getByLabel(/^Closures from a calendar file/).setInputFiles(broken)
  await expect(page.getByRole('alert')).toContainText('That is no calendar file')
  await expectAccessible(page)
})

test('the day’s runs are put in the order that changes over least', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await signInAs(page, server.url, 'Oona Vell', `/day?on=${tomorrow}`)
  const order = page.getByRole('region', { name: 'Order of the day at Long press' })
  await expect(order).toBeVisible()
  await expect(order).toContainText(/of changing over/)
  const first = (await order.getByRole('listitem').first().innerText()).replace(/^\d\d:\d\d /, '').split('\n')[0]!
  await order.getByRole('button', { name: 'Take this order' }).click()
  await expect(order).toHaveCount(0)
  await expect(strip(page, new RegExp(`^09:00–.* Oona Vell, ${first}`))).toBeVisible()
})

test('a booking whose time has come leads to the press, and the phone shows the day', async ({ page, pressroom }) => {
  const server = await pressroom({ demo: true })
  await page.setViewportSize({ width: 390, height: 800 })
  await signInAs(page, server.url, 'Ansa Quill', '/day')
  await expect(page.getByRole('button', { name: 'Book a press' })).toBeVisible()
  const now = Date.now()
  const asked = `from=${new Date(now).toISOString()}&until=${new Date(now + 86_400_000).toISOString()}`
  const told = (
    (await (await page.request.get(`${server.url}/api/calendar?${asked}`)).json()) as { data: CalendarReply }
  ).data
  const place = told.places.find(({ name }) => name === 'Rimmed board')!
  // The demo’s room is shut at night: it opens, so that this runs at any hour.
  await page.evaluate(
    async ({ placeId, bookingId, hoursId, from, until }) => {
      const session = (await (await fetch('/api/session')).json()) as {
        person: { id: string }
        device: string
      }
      const give = (type: string, data: object, commandId: string) =>
        fetch('/api/commands', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            commandId,
            device: `${session.device}~test`,
            by: session.person.id,
            occurredAt: new Date().toISOString(),
            type,
            stream: 'calendar',
            data,
          }),
        })
      const said = { placeId, personId: session.person.id, editionId: null, layerId: null, isFixed: false, note: '' }
      await give('set-hours', { timeZone: 'UTC', hours: [] }, hoursId)
      await give('book', { bookings: [{ bookingId, from, until, ...said }] }, bookingId)
    },
    {
      placeId: place.id,
      bookingId: v7(),
      hoursId: v7(),
      from: new Date(now - 5 * 60_000).toISOString(),
      until: new Date(now + 30 * 60_000).toISOString(),
    },
  )
  // The demo’s own bookings of her may run at this hour too.
  const come = page.getByRole('status').filter({ hasText: 'Your time at the Rimmed board has come' })
  await come.getByRole('link', { name: 'Look it over and open your session' }).click()
  await page.getByRole('button', { name: 'Open my session' }).click()
  await expect(page.getByText('You have a session open here')).toBeVisible()
  // The floor says who has which place today.
  await page.goto(server.url)
  await expect(
    page.getByRole('listitem').filter({ hasText: /\d\d:\d\d to \d\d:\d\d Rimmed board, Ansa Quill, now/ }),
  ).toBeVisible()
})
