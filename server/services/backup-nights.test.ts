import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dayOf } from '#core/time/room-day'
import { hereZone } from '#core/time/zone'
import { keptFolder } from '../../tests/fixtures/kept-data'
import { backUp } from './back-up'
import { openPressroom, type Pressroom } from './pressroom'

/** The demo as the program before sign-ins left it, brought to this one’s shape by opening it. */
let folder: string
let room: Pressroom | null = null

beforeEach(async () => {
  folder = keptFolder('before-sign-ins')
  room = await openPressroom(folder, true)
})
afterEach(async () => {
  await room?.close()
  room = null
})

describe('a nightly backup', () => {
  it('is made in the small hours when it is wanted, and so many are kept', async () => {
    vi.useFakeTimers({
      toFake: ['setInterval', 'clearInterval', 'Date', 'performance'],
      now: new Date(2026, 10, 26, 1),
    })
    try {
      let backupsKept = 0
      room!.backups.everyNight(async () => ({ backupsKept }))
      const made = async () => (await room!.backups.reply()).backups.map(({ at }) => new Date(at).getDate())
      const days = async (count: number) => {
        for (let halfHour = 0; halfHour < count * 48; halfHour++) {
          vi.advanceTimersByTime(30 * 60_000)
          // What is begun is let come to its end before the night goes on.
          await room!.backups.looked()
        }
      }
      await days(1)
      expect(await made()).toEqual([])
      backupsKept = 2
      await days(4)
      expect(await made()).toEqual([30, 29])
    } finally {
      vi.useRealTimers()
    }
  })
})

/** Everyday and odd nights of a machine that runs, sleeps, or was woken with a wrong clock. */
describe('nightly backups', () => {
  const at = (day: number, hour: number) => new Date(2026, 10, day, hour)
  const rest = () => room!.backups.looked()
  const made = async () => (await room!.backups.reply()).backups.map((one) => new Date(one.at).getDate())

  const running = async (night: () => Promise<void>) => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date', 'performance'], now: at(26, 1) })
    try {
      room!.backups.everyNight(async () => ({ backupsKept: 3 }))
      await night()
    } finally {
      vi.useRealTimers()
    }
  }

  it('are made on a machine that sleeps at three, soon after it wakes', () =>
    running(async () => {
      for (const day of [26, 27, 28]) {
        vi.setSystemTime(at(day, 9))
        vi.advanceTimersByTime(30 * 60_000)
        await rest()
        vi.advanceTimersByTime(60 * 60_000)
        await rest()
      }
      expect(await made()).toEqual([28, 27, 26])
    }))

  it('go on behind one that is dated ahead, which proves nothing', () =>
    running(async () => {
      const { folder: backup } = await backUp(folder)
      const ahead = join(backup, '..', '2031-01-01T03-00-00Z')
      renameSync(backup, ahead)
      const note = JSON.parse(readFileSync(join(ahead, 'backup.json'), 'utf8')) as object
      writeFileSync(join(ahead, 'backup.json'), JSON.stringify({ ...note, made: '2031-01-01T03:00:00.000Z' }))
      vi.setSystemTime(at(27, 3))
      vi.advanceTimersByTime(30 * 60_000)
      await rest()
      const days = (await room!.backups.reply()).backups.map((one) => dayOf(one.at, hereZone()))
      expect(days).toEqual([dayOf('2031-01-01T03:00:00.000Z', hereZone()), '2026-11-27'])
      expect(await room!.backups.late(at(27, 12).getTime(), 0)).toBeNull()
      // Two days without one are told, whatever is dated ahead.
      const late = await room!.backups.late(at(29, 12).getTime(), 0)
      expect(dayOf(late!.at!, hereZone())).toBe('2026-11-27')
    }))
})
