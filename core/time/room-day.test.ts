import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { isSkipped, localOf, minuteOfLocal, momentWords, noonOf, spanOfDays } from './room-clock'
import { dayOf, daysAfter, daysBetween, hourOf, weekdayOf } from './room-day'
import { isZone } from './zone'

const zones = ['Pacific/Auckland', 'Asia/Kolkata', 'America/New_York', 'UTC', 'Europe/Oslo', 'Australia/Lord_Howe']

describe('the day of a moment in the room', () => {
  it('is the one its calendar shows, whatever day it is elsewhere', () => {
    const evening = '2026-11-02T18:45:00.000Z'
    expect(zones.map((zone) => dayOf(evening, zone))).toEqual([
      '2026-11-03',
      '2026-11-03',
      '2026-11-02',
      '2026-11-02',
      '2026-11-02',
      '2026-11-03',
    ])
    expect(zones.map((zone) => hourOf(evening, zone))).toEqual([7, 0, 13, 18, 19, 5])
  })

  it('changes at its own midnight, half an hour past for some', () => {
    expect(dayOf('2026-11-02T18:29:59.999Z', 'Asia/Kolkata')).toBe('2026-11-02')
    expect(dayOf('2026-11-02T18:30:00.000Z', 'Asia/Kolkata')).toBe('2026-11-03')
  })

  it('holds through the hour that comes twice, and on a leap day', () => {
    for (const twice of ['2026-10-25T00:30:00.000Z', '2026-10-25T01:30:00.000Z'])
      expect([dayOf(twice, 'Europe/Oslo'), hourOf(twice, 'Europe/Oslo')]).toEqual(['2026-10-25', 2])
    expect(dayOf('2028-02-29T23:30:00.000Z', 'UTC')).toBe('2028-02-29')
    expect(dayOf('2028-02-28T12:00:00.000Z', 'Pacific/Auckland')).toBe('2028-02-29')
  })

  it('is the one of UTC where nobody knows the zone', () => {
    expect(dayOf('2026-11-02T23:30:00.000Z', 'Nowhere/Else')).toBe('2026-11-02')
    expect(['Europe/Oslo', 'Nowhere/Else', ''].map(isZone)).toEqual([true, false, false])
  })

  it('and its hour are those of another calendar, for any moment of two centuries', () => {
    const moment = fc.date({ min: new Date('1950-01-01'), max: new Date('2150-01-01'), noInvalidDate: true })
    fc.assert(
      fc.property(moment, fc.constantFrom(...zones), (at, zone) => {
        const there = DateTime.fromJSDate(at, { zone })
        expect(dayOf(at.toISOString(), zone)).toBe(there.toISODate())
        expect(hourOf(at.getTime(), zone)).toBe(there.hour)
      }),
    )
  })
})

describe('days', () => {
  it('follow each other over months, years and the days on which clocks change', () => {
    expect([daysAfter('2026-12-31', 1), daysAfter('2028-03-01', -1), daysAfter('2026-03-28', 2)]).toEqual([
      '2027-01-01',
      '2028-02-29',
      '2026-03-30',
    ])
    expect([daysBetween('2026-03-28', '2026-03-30'), daysBetween('2026-03-30', '2026-03-28')]).toEqual([2, -2])
    expect(['2026-11-02', '2026-11-08'].map(weekdayOf)).toEqual([1, 7])
  })

  it('last from midnight to midnight by the room’s clock', () => {
    const { from, until } = spanOfDays('2026-03-29', '2026-03-29', 'Europe/Oslo')
    expect([from, until]).toEqual(['2026-03-28T23:00:00.000Z', '2026-03-29T22:00:00.000Z'])
    for (const zone of zones) {
      const span = spanOfDays('2026-10-25', '2026-11-02', zone)
      expect(dayOf(span.from, zone)).toBe('2026-10-25')
      expect(dayOf(Date.parse(span.until) - 1, zone)).toBe('2026-11-02')
      expect(dayOf(span.until, zone)).toBe('2026-11-03')
      expect(dayOf(noonOf('2026-11-02', zone), zone)).toBe('2026-11-02')
    }
  })

  it('and times by the room’s clock are those of another calendar, clocks changing or not', () => {
    const minutes = fc.integer({ min: Date.UTC(1975, 0, 1) / 60_000, max: Date.UTC(2120, 0, 1) / 60_000 })
    // An hour around the changes of some years: never, once or twice.
    const changing = fc
      .tuple(
        fc.integer({ min: 2000, max: 2035 }),
        fc.constantFrom([2, 29], [9, 25], [3, 5], [10, 1], [2, 8]),
        fc.nat(4 * 60),
      )
      .map(([year, [month, day], later]) => Date.UTC(year, month, day + (later % 7)) / 60_000 + later)
    fc.assert(
      fc.property(fc.oneof(minutes, changing), fc.constantFrom(...zones), (face, zone) => {
        const local = new Date(face * 60_000).toISOString().slice(0, 16)
        const there = DateTime.fromISO(local, { zone })
        const minute = minuteOfLocal(local, zone)!
        expect(localOf(minute, zone)).toBe(there.toFormat("yyyy-MM-dd'T'HH:mm"))
        expect(there.toMillis() / 60_000 - minute).toBeOneOf([0, 60, 30])
        expect(momentWords(minute, zone)).toBe(there.setLocale('en-GB').toFormat('cccc d LLLL, HH:mm'))
        expect(isSkipped(local, zone)).toBe(localOf(minute, zone) !== local)
        // Of two times that show the same it is the first.
        for (const sooner of [30, 60]) expect(localOf(minute - sooner, zone)).not.toBe(local)
      }),
      { numRuns: 2000 },
    )
  })

  it('have an hour that never comes: a time in it is the one an hour later', () => {
    expect(minuteOfLocal('2026-03-29T02:30', 'Europe/Oslo')).toBe(minuteOfLocal('2026-03-29T03:30', 'Europe/Oslo'))
    for (const no of ['2026-02-31', '2026-02-31T10:00', '2026-W49-2', '2026-335', '2026-12-24T25:00', 'soon', ''])
      expect(minuteOfLocal(no, 'Europe/Oslo'), no).toBeNull()
  })
})
