import { expect, it } from 'vitest'
import { newFolder } from '../fixtures/server'

/** What the bench measures with, once in small: each part must still speak the language of the server when it is wanted. */
type Fill = (folder: string, editions: number, sheets: number, layers: number, ...more: unknown[]) => Promise<string[]>
type Measure = (...given: unknown[]) => Promise<object>
const part = async (file: string) =>
  (await import(`../../scripts/bench/${file}.mjs`)) as never as Record<string, Measure>

/** As it is filled for the bench, but with few editions, of few sheets. */
const few: Fill = async (folder, editions, sheets, layers, ...more) =>
  await (
    await filled()
  )(folder, Math.min(editions, 3), Math.min(sheets, 24), Math.min(layers, 2), ...more)
const filled = async () => (await part('ledger')).fillLedger as never as Fill

const greedy = { sheets: 40, readers: 3, pulls: 12, rest: 5 }
const pulls = { rounds: 1, seconds: 0.3, stations: 4, sheets: 30 }
const small: Record<string, () => Promise<object>> = {
  pulls: async () => await (await part('pulls')).measurePulls!(newFolder(), pulls),
  greedy: async () => await (await part('greedy')).measureGreedy!(newFolder(), few, greedy),
  minute: async () => await (await part('minute')).measureMinute!(newFolder(), 1),
  edition: async () => await (await part('reading')).measureEdition!(newFolder(), few),
  reply: async () => await (await part('reading')).measureLargeReply!(newFolder(), few),
  charges: async () => await (await part('charges')).measureCharges!(newFolder(), few),
  'studio file': async () => await (await part('files')).measureStudioFile!(newFolder(), few),
  record: async () => await (await part('files')).measureRecordPdf!(newFolder(), few, 6),
  frames: async () => await (await part('frames')).measureFrames!(newFolder(), few),
  charts: async () => await (await part('frames')).measureCharts!(newFolder(), few, 24),
  tally: async () => await (await part('page')).measureLongTally!(newFolder(), await filled(), 20, 5),
  curating: async () => await (await part('curating')).measureCurating!(newFolder(), few, 6),
  'long run': async () => await (await part('long-run')).measureLongRun!(newFolder(), few, 10),
  rooms: async () => await (await part('rooms')).measureRooms!(newFolder(), ['/racks']),
  stream: async () => await (await part('stream')).measureStream!(newFolder(), 1),
  class: async () => await (await part('class')).measureClass!(newFolder(), { students: 2, watched: 2, rest: 200 }),
}

/** Every number in what was measured. */
const numbers = (measured: unknown): number[] =>
  typeof measured === 'number'
    ? [measured]
    : typeof measured === 'object' && measured !== null
      ? Object.values(measured).flatMap(numbers)
      : []

// Most of the time of each is waited: they wait together.
it.concurrent.each(Object.entries(small))('the bench’s %s measures', { timeout: 120_000 }, async (_, measure) => {
  const found = numbers(await measure())
  expect(found.length).toBeGreaterThan(0)
  expect(found.filter((value) => !Number.isFinite(value))).toEqual([])
})
