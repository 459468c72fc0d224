import { describe, expect, it } from 'vitest'
import { closuresIn } from './calendar-in'

const zone = 'Europe/Oslo'
const file = (...events: string[][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:x',
    ...events.flatMap((lines, i) => ['BEGIN:VEVENT', `UID:${i}`, 'DTSTAMP:20260101T000000Z', ...lines, 'END:VEVENT']),
    'END:VCALENDAR',
    '',
  ].join('\r\n')
/** So many days from now, as a calendar writes it and as we do. */
const dayIn = (days: number) => {
  const iso = new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
  return { written: iso.replaceAll('-', ''), iso }
}

describe('a calendar file', () => {
  it('closes whole days as whole days, and hours by the room’s clock', async () => {
    const [from, until] = [dayIn(5), dayIn(7)]
    const { closures } = await closuresIn(
      file(
        [`DTSTART;VALUE=DATE:${from.written}`, `DTEND;VALUE=DATE:${until.written}`, 'SUMMARY:Fair'],
        ['DTSTART:20990110T120000Z', 'DTEND:20990110T140000Z', 'SUMMARY:Plumber'],
      ),
      zone,
    )
    expect(closures).toEqual([
      { from: `${from.iso}T00:00`, until: `${until.iso}T00:00`, personId: null, why: 'Fair' },
      { from: '2099-01-10T13:00', until: '2099-01-10T15:00', personId: null, why: 'Plumber' },
    ])
  })

  it('unrolls what comes back, from today on, however long ago it began', async () => {
    const { closures } = await closuresIn(
      file(['DTSTART;VALUE=DATE:19990104', 'RRULE:FREQ=WEEKLY', 'SUMMARY:Shut on Mondays']),
      zone,
    )
    expect(closures).toHaveLength(60)
    for (const { from } of closures) {
      expect(new Date(`${from}Z`).getUTCDay()).toBe(1)
      expect(Date.parse(`${from}Z`)).toBeGreaterThan(Date.now() - 9 * 86_400_000)
    }
  })

  it('leaves out what is past, and says of other files that they are none', async () => {
    expect((await closuresIn(file(['DTSTART;VALUE=DATE:20200101', 'SUMMARY:Long ago']), zone)).closures).toEqual([])
    await expect(closuresIn('no calendar', zone)).rejects.toThrow('That is no calendar file')
  })
})
