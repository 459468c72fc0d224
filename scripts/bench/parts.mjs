import { measurePulls } from './pulls.mjs'
import { measureFirstLoad, measureLongTally } from './page.mjs'
import { measurePlanning } from './planning.mjs'
import { measureInk } from './ink.mjs'
import { measurePress } from './press.mjs'
import { measureMinute } from './minute.mjs'
import { measureLongRun } from './long-run.mjs'
import { measureCharts, measureFrames } from './frames.mjs'
import { measureRecordPdf, measureStudioFile } from './files.mjs'
import { measureCharges } from './charges.mjs'
import { measureTimetable } from './timetable.mjs'
import { measureClass } from './class.mjs'
import { measureGreedy } from './greedy.mjs'
import { measureCurating } from './curating.mjs'
import { measureRooms } from './rooms.mjs'
import { measureStream } from './stream.mjs'
import { fillLedger } from './ledger.mjs'
import { measureLists, measureEdition, measureLargeReply } from './reading.mjs'

const ms = (time) => `${time.toFixed(1)} ms`
const kilobytes = (bytes) => `${Math.round(bytes / 1000)} kB`

/**
 * What is measured, a part each: it says what was measured, what is wanted, and whether that is met, or null where nothing
 * is wanted.
 */
export const parts = [
  {
    name: 'planning',
    async run(say) {
      const planning = await measurePlanning()
      say(
        'tear plan, sheets to 1400 × 1000, pieces from 100 mm, 95 of 100',
        `${planning.usual.toFixed(1)} ms`,
        'under 50 ms',
        planning.usual < 50,
      )
      say('  the slowest of 200', `${planning.usualMost.toFixed(1)} ms`, 'under 50 ms', planning.usualMost < 50)
      const worst = planning.hardest[0]
      say(
        `  pieces from 60 mm, the slowest of ${planning.hardest.length} (middle of three): ${worst.given[2]} × ${worst.given[3]} mm`,
        `${worst.ms.toFixed(1)} ms`,
        'under 1 s',
        worst.ms < 1000,
      )
      for (const [i, least] of [100, 60].entries()) {
        const { middle, usual, most, worst, of } = planning.deckled[i]
        say(
          `  deckles wished on all sides, nearly square pieces from ${least} mm, middle of ${of}`,
          ms(middle),
          'under 50 ms',
          middle < 50,
        )
        say(
          '    95 of 100',
          ms(usual),
          least === 100 ? 'under 50 ms' : 'under 1 s',
          usual < (least === 100 ? 50 : 1000),
        )
        say(`    the slowest: ${worst.slice(0, 4).join(' × ')}`, ms(most), 'under 1 s', most < 1000)
      }
      for (const { what, ms: took } of planning.odds) {
        const most = what.includes('answers') ? 90 : 100
        say(what, ms(took), `under ${most} ms`, took < most)
      }
    },
  },
  {
    name: 'ink',
    async run(say) {
      const ink = await measureInk()
      say(
        'swatch and its strip of films while a share is dragged, 95 of 100',
        `${ink.swatch.toFixed(1)} ms`,
        'under 8 ms',
        ink.swatch < 8,
      )
      say('all orders of 7 layers by 12 wishes', `${ink.orders.toFixed(0)} ms`, 'under 2 s', ink.orders < 2000)
      say(
        'a colour matched from 24 inks, the slowest of 4',
        `${ink.match.toFixed(0)} ms`,
        'under 1 s',
        ink.match < 1000,
      )
      say('inked share of a 12-megapixel picture', `${ink.share.toFixed(0)} ms`, 'under 1.5 s', ink.share < 1500)
    },
  },
  {
    name: 'press',
    async run(say, folder) {
      const press = await measurePress(folder)
      say(
        'cards for a missing thickness from 40 kinds, slowest of 60',
        ms(press.cards),
        'under 50 ms',
        press.cards < 50,
      )
      say('finder’s answer over 10,000 trials', ms(press.finder), 'under 20 ms', press.finder < 20)
      say('drift limit for any planned share, slowest of 199', ms(press.drift), 'under 50 ms', press.drift < 50)
      say('60 proofs with pictures drawn', ms(press.proofs), 'under 100 ms', press.proofs < 100)
      say('a turned screw’s reading on screen, slowest of 10', ms(press.gauge), 'under 200 ms', press.gauge < 200)
    },
  },
  {
    name: 'pulls',
    async run(say, folder) {
      const { small, large, shared, beside, peer } = await measurePulls(folder)
      const asRate = ({ rate }) => `${rate.toFixed(0)} a second`
      say(
        'durable pulls over HTTP, 20 stations, editions of 60 sheets',
        asRate(small),
        'at least 400',
        small.rate >= 400,
      )
      say('  their p95', ms(small.p95), 'under 100 ms', small.p95 < 100)
      for (const [what, setting] of [
        ['20 stations, editions of 3,000 sheets', large],
        ['30 stations on ten editions of 1,000', shared],
      ]) {
        const share = setting.rate / small.rate
        say(`  ${what}`, `${asRate(setting)}, ${share.toFixed(2)} of it`, 'at least 0.8', share >= 0.8)
      }
      const kept = beside.rate / shared.rate
      say(
        '  the same beside six idle browsers',
        `${asRate(beside)}, ${kept.toFixed(2)} of it`,
        'at least 0.9',
        kept >= 0.9,
      )
      const ratio = small.rate / peer.rate
      say('  a bare peer, in turn', `${asRate(peer)}, ours ${ratio.toFixed(2)} of it`, 'at least 0.6', ratio >= 0.6)
    },
  },
  {
    name: 'greedy',
    async run(say, folder) {
      const greedy = await measureGreedy(folder, fillLedger)
      say(
        `a pull beside six greedy readers (${greedy.read} readings of 5,000 pulls), 95 of 100`,
        `${ms(greedy.beside)}, alone ${ms(greedy.alone)}`,
        'under 150 ms',
        greedy.beside < 150,
      )
    },
  },
  {
    name: 'edition',
    async run(say, folder) {
      const edition = await measureEdition(folder, fillLedger)
      say('edition of 3,000 events, from disk', `${edition.cold.toFixed(1)} ms`, 'under 50 ms', edition.cold < 50)
      say('  from memory', `${edition.warm.toFixed(1)} ms`, 'under 60 ms', edition.warm < 60)
    },
  },
  {
    name: 'reply',
    async run(say, folder) {
      const reply = await measureLargeReply(folder, fillLedger)
      say(
        'reply of an edition of 5,000 pulls',
        `${kilobytes(reply.sent)} sent, ${kilobytes(reply.whole)} whole, ${ms(reply.ms)}`,
        'under 300 kB',
        reply.sent < 300_000,
      )
    },
  },
  {
    name: 'first-load',
    async run(say, folder) {
      const page = await measureFirstLoad(folder)
      say(
        'first load, compressed script until the floor stands',
        kilobytes(page.before),
        'under 200 kB',
        page.before < 200_000,
      )
      say('  with what is fetched ahead', kilobytes(page.all), 'under 300 kB', page.all < 300_000)
      say('  of it executed', `${(page.executed * 100).toFixed(0)} %`, 'at least 60 %', page.executed >= 0.6)
      say('  floor usable after', `${page.usable.toFixed(0)} ms`, 'under 1000 ms', page.usable < 1000)
      say('stroke after a tap', `${page.tap.toFixed(1)} ms`, 'under 50 ms', page.tap < 50)
    },
  },
  {
    name: 'rooms',
    async run(say, folder) {
      const { rooms, requests, bytes } = await measureRooms(folder)
      say(
        `first open of ${rooms.length} rooms`,
        `${requests} requests, ${kilobytes(bytes)} with the live stream`,
        'half of 26 and of 4,073 kB',
        requests <= 13 && bytes <= 2_036_000,
      )
      for (const room of rooms) say(`  ${room.path}`, `${room.requests} requests, ${kilobytes(room.bytes)}`, '', null)
    },
  },
  {
    name: 'live-stream',
    async run(say, folder) {
      const stream = await measureStream(folder)
      say(
        'a student’s live stream, 30 stations pulling',
        `${kilobytes(stream.bytes)} a minute, ${stream.each.toFixed(0)} bytes a pull`,
        '',
        null,
      )
    },
  },
  {
    name: 'tally',
    async run(say, folder) {
      const long = await measureLongTally(folder, fillLedger)
      say('  with 1,500 strokes drawn, 95 of 100', ms(long), 'under 33 ms', long < 33.4)
    },
  },
  {
    name: 'frames',
    async run(say, folder) {
      const frames = await measureFrames(folder, fillLedger)
      say(
        `frames while ${frames.pulls} pulls come at 4 a second`,
        `${frames.rate.toFixed(1)} a second, 95 of 100 within ${ms(frames.p95)}`,
        'at least 58, within 25 ms',
        frames.rate >= 58 && frames.p95 < 25,
      )
    },
  },
  {
    name: 'charts',
    async run(say, folder) {
      const charts = await measureCharts(folder, fillLedger)
      say(
        'stream of 3,000 impressions, from the click, middle of 5',
        ms(charts.stream),
        'under 150 ms',
        charts.stream < 150,
      )
      say('  a chart told apart anew, slowest of 7', ms(charts.charts), 'under 200 ms', charts.charts < 200)
    },
  },
  {
    name: 'curating',
    async run(say, folder) {
      const curating = await measureCurating(folder, fillLedger)
      say(
        'curating 500 prints: a key to the next in front, 95 of 100',
        ms(curating.key),
        'under 50 ms',
        curating.key < 50,
      )
      say('  their numbers given, to the answer', ms(curating.numbers), 'under 300 ms', curating.numbers < 300)
    },
  },
  {
    name: 'class',
    async run(say, folder) {
      const room = await measureClass(folder)
      say(
        'class of 30 at work: a stroke elsewhere until it is shown, middle of 25',
        ms(room.usual),
        'under 1 s',
        room.usual < 1000,
      )
      say('  the slowest', ms(room.most), 'under 1 s', room.most < 1000)
    },
  },
  {
    name: 'timetable',
    async run(say) {
      const ahead = await measureTimetable()
      say(
        'timetable of 40 editions, 300 tasks, 5 presses: first plan',
        ms(ahead.first),
        'under 1 s',
        ahead.first < 1000,
      )
      say(
        `improved (${ahead.rounds} better ones, ${Math.round(ahead.lateBefore / 60)} h late before, ${Math.round(ahead.lateAfter / 60)} h after)`,
        ms(ahead.whole),
        'under 10 s',
        ahead.whole < 10_000 && ahead.longestStep < 500 && ahead.lateAfter <= ahead.lateBefore && ahead.unplaced === 0,
      )
    },
  },
  {
    name: 'charges',
    async run(say, folder) {
      const owed = await measureCharges(folder, fillLedger)
      say(
        `statements of 100,000 pulls (${owed.lines} lines), slowest of 3`,
        ms(owed.most),
        'under 2 s',
        owed.most < 2000 && owed.lines > 0,
      )
    },
  },
  {
    name: 'record',
    async run(say, folder) {
      const record = await measureRecordPdf(folder, fillLedger)
      say('record of 250 prints as PDF, from the touch to the file', ms(record), 'under 3 s', record < 3000)
    },
  },
  {
    name: 'studio-file',
    async run(say, folder) {
      const file = await measureStudioFile(folder, fillLedger)
      say(
        `studio file of ${file.impressions} impressions (${(file.bytes / 1024 / 1024).toFixed(0)} MB), to its last byte`,
        `${(file.took / 1000).toFixed(1)} s`,
        'under 10 s',
        file.took < 10_000 && file.impressions >= 100_000,
      )
      say('  memory the server took beside', `${file.grown} MB`, 'under 150 MB', file.grown < 150)
    },
  },
  {
    name: 'hour',
    isLong: true,
    async run(say, folder) {
      const hour = await measureLongRun(folder, fillLedger)
      say(
        `an hour at the bench (${hour.pulls} pulls): left behind by each`,
        `${(hour.bytes / 1000).toFixed(1)} kB, ${hour.nodes.toFixed(1)} nodes, ${hour.listeners} listeners in all`,
        'under 12 kB, a listener a bundle',
        // Strokes close up into bundles, each a button that listens.
        hour.bytes < 12_000 && hour.listeners <= hour.pulls / 25 + 5,
      )
    },
  },
  {
    name: 'minute',
    isLong: true,
    async run(say, folder) {
      const minute = await measureMinute(folder)
      say(
        `30 stations for a minute, ${minute.pulls} pulls: stored, 95 of 100`,
        ms(minute.p95),
        'under 200 ms',
        minute.p95 < 200,
      )
      say('  lost, or there more than once', `${minute.lost}, ${minute.more}`, 'none', minute.lost + minute.more === 0)
    },
  },
  {
    name: 'lists',
    isLong: true,
    async run(say, folder) {
      const lists = await measureLists(folder, fillLedger)
      say(
        'editions list, 2,000 editions, 1,000,000 impressions',
        `${lists.list.toFixed(1)} ms`,
        'under 100 ms',
        lists.list < 100,
      )
      say('  searched', `${lists.search.toFixed(1)} ms`, 'under 100 ms', lists.search < 100)
      say(
        '  found, a sheet or an edition, slowest of 40',
        `${lists.find.toFixed(1)} ms`,
        'under 100 ms',
        lists.find < 100,
      )
      say('  server memory, highest', `${lists.memory} MB`, 'under 300 MB', lists.memory < 300)
    },
  },
]
