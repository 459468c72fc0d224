import { join } from 'node:path'
import { ensureBrowser, ensureBuild, ensurePackages, freshFolder, root } from './ready.mjs'

ensurePackages()
ensureBrowser()
ensureBuild()

const { measurePulls } = await import('./bench/pulls.mjs')
const { measureFirstLoad, measureLongTally } = await import('./bench/page.mjs')
const { measurePlanning } = await import('./bench/planning.mjs')
const { measureInk } = await import('./bench/ink.mjs')
const { measurePress } = await import('./bench/press.mjs')
const { measureMinute } = await import('./bench/minute.mjs')
const { measureLongRun } = await import('./bench/long-run.mjs')
const { measureCharts, measureFrames } = await import('./bench/frames.mjs')
const { measureRecordPdf, measureStudioFile } = await import('./bench/files.mjs')
const { measureCharges } = await import('./bench/charges.mjs')
const { measureTimetable } = await import('./bench/timetable.mjs')
const { measureClass } = await import('./bench/class.mjs')
const { measureGreedy } = await import('./bench/greedy.mjs')
const { measureCurating } = await import('./bench/curating.mjs')
const { measureRooms } = await import('./bench/rooms.mjs')
const { measureStream } = await import('./bench/stream.mjs')
const { fillLedger } = await import('./bench/ledger.mjs')
const { measureLists, measureEdition, measureLargeReply } = await import('./bench/reading.mjs')

const folder = (name) => freshFolder(join(root, '.cache/bench', name))
const lines = []
const say = (what, measured, wanted, met) =>
  lines.push({ what, measured, wanted, met: met === null ? '' : met ? 'yes' : 'NO' })

const ms = (time) => `${time.toFixed(1)} ms`

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
  say('    95 of 100', ms(usual), least === 100 ? 'under 50 ms' : 'under 1 s', usual < (least === 100 ? 50 : 1000))
  say(`    the slowest: ${worst.slice(0, 4).join(' × ')}`, ms(most), 'under 1 s', most < 1000)
}
for (const { what, ms: took } of planning.odds) say(what, ms(took), 'under 100 ms', took < 100)
const ink = await measureInk()
say(
  'swatch and its strip of films while a share is dragged, 95 of 100',
  `${ink.swatch.toFixed(1)} ms`,
  'under 8 ms',
  ink.swatch < 8,
)
say('all orders of 7 layers by 12 wishes', `${ink.orders.toFixed(0)} ms`, 'under 2 s', ink.orders < 2000)
say('a colour matched from 24 inks, the slowest of 4', `${ink.match.toFixed(0)} ms`, 'under 1 s', ink.match < 1000)
say('inked share of a 12-megapixel picture', `${ink.share.toFixed(0)} ms`, 'under 1.5 s', ink.share < 1500)

const press = await measurePress(folder('press'))
say('cards for a missing thickness from 40 kinds, slowest of 60', ms(press.cards), 'under 50 ms', press.cards < 50)
say('finder’s answer over 10,000 trials', ms(press.finder), 'under 20 ms', press.finder < 20)
say('drift limit for any planned share, slowest of 199', ms(press.drift), 'under 50 ms', press.drift < 50)
say('60 proofs with pictures drawn', ms(press.proofs), 'under 100 ms', press.proofs < 100)
say('a turned screw’s reading on screen, slowest of 10', ms(press.gauge), 'under 200 ms', press.gauge < 200)

const { small, large, shared, peer } = await measurePulls(folder('pulls'))
const asRate = ({ rate }) => `${rate.toFixed(0)} a second`
say('durable pulls over HTTP, 20 stations, editions of 60 sheets', asRate(small), 'at least 400', small.rate >= 400)
say('  their p95', ms(small.p95), 'under 100 ms', small.p95 < 100)
for (const [what, setting] of [
  ['20 stations, editions of 3,000 sheets', large],
  ['30 stations on ten editions of 1,000', shared],
]) {
  const share = setting.rate / small.rate
  say(`  ${what}`, `${asRate(setting)}, ${share.toFixed(2)} of it`, 'at least 0.8', share >= 0.8)
}
const ratio = small.rate / peer.rate
say('  a bare peer, in turn', `${asRate(peer)}, ours ${ratio.toFixed(2)} of it`, 'at least 0.6', ratio >= 0.6)

const greedy = await measureGreedy(folder('greedy'), fillLedger)
say(
  `a pull beside six greedy readers (${greedy.read} readings of 5,000 pulls), 95 of 100`,
  `${ms(greedy.beside)}, alone ${ms(greedy.alone)}`,
  'under 150 ms',
  greedy.beside < 150,
)

const edition = await measureEdition(folder('edition'), fillLedger)
say('edition of 3,000 events, from disk', `${edition.cold.toFixed(1)} ms`, 'under 50 ms', edition.cold < 50)
say('  from memory', `${edition.warm.toFixed(1)} ms`, 'under 60 ms', edition.warm < 60)

const reply = await measureLargeReply(folder('reply'), fillLedger)
const kilobytes = (bytes) => `${Math.round(bytes / 1000)} kB`
say(
  'reply of an edition of 5,000 pulls',
  `${kilobytes(reply.sent)} sent, ${kilobytes(reply.whole)} whole, ${ms(reply.ms)}`,
  'under 300 kB',
  reply.sent < 300_000,
)

const page = await measureFirstLoad(folder('page'))
say('first load, compressed script', `${(page.script / 1000).toFixed(0)} kB`, 'under 350 kB', page.script < 350_000)
say('  floor usable after', `${page.usable.toFixed(0)} ms`, 'under 1500 ms', page.usable < 1500)
say('stroke after a tap', `${page.tap.toFixed(1)} ms`, 'under 50 ms', page.tap < 50)

const { rooms, requests, bytes } = await measureRooms(folder('rooms'))
say(
  `first open of ${rooms.length} rooms`,
  `${requests} requests, ${kilobytes(bytes)} with the live stream`,
  'half of 26 and of 4,073 kB',
  requests <= 13 && bytes <= 2_036_000,
)
for (const room of rooms) say(`  ${room.path}`, `${room.requests} requests, ${kilobytes(room.bytes)}`, '', null)
const stream = await measureStream(folder('stream'))
say(
  'a student’s live stream, 30 stations pulling',
  `${kilobytes(stream.bytes)} a minute, ${stream.each.toFixed(0)} bytes a pull`,
  '',
  null,
)

const long = await measureLongTally(folder('tally'), fillLedger)
say('  with 1,500 strokes drawn, 95 of 100', ms(long), 'under 33 ms', long < 33.4)

const frames = await measureFrames(folder('frames'), fillLedger)
say(
  `frames while ${frames.pulls} pulls come at 4 a second`,
  `${frames.rate.toFixed(1)} a second, 95 of 100 within ${ms(frames.p95)}`,
  'at least 58, within 25 ms',
  frames.rate >= 58 && frames.p95 < 25,
)
const charts = await measureCharts(folder('charts'), fillLedger)
say('stream of 3,000 impressions, from the click, middle of 5', ms(charts.stream), 'under 150 ms', charts.stream < 150)
say('  a chart told apart anew, slowest of 7', ms(charts.charts), 'under 200 ms', charts.charts < 200)

const curating = await measureCurating(folder('curating'), fillLedger)
say('curating 500 prints: a key to the next in front, 95 of 100', ms(curating.key), 'under 50 ms', curating.key < 50)
say('  their numbers given, to the answer', ms(curating.numbers), 'under 300 ms', curating.numbers < 300)

const room = await measureClass(folder('class'))
say(
  'class of 30 at work: a stroke elsewhere until it is shown, middle of 25',
  ms(room.usual),
  'under 1 s',
  room.usual < 1000,
)
say('  the slowest', ms(room.most), 'under 1 s', room.most < 1000)

const ahead = await measureTimetable()
say('timetable of 40 editions, 300 tasks, 5 presses: first plan', ms(ahead.first), 'under 1 s', ahead.first < 1000)
say(
  `improved (${ahead.rounds} better ones, ${Math.round(ahead.lateBefore / 60)} h late before, ${Math.round(ahead.lateAfter / 60)} h after)`,
  ms(ahead.whole),
  'under 10 s',
  ahead.whole < 10_000 && ahead.longestStep < 500 && ahead.lateAfter <= ahead.lateBefore && ahead.unplaced === 0,
)
const owed = await measureCharges(folder('charges'), fillLedger)
say(
  `statements of 100,000 pulls (${owed.lines} lines), slowest of 3`,
  ms(owed.most),
  'under 2 s',
  owed.most < 2000 && owed.lines > 0,
)

const record = await measureRecordPdf(folder('record'), fillLedger)
say('record of 250 prints as PDF, from the touch to the file', ms(record), 'under 3 s', record < 3000)
const file = await measureStudioFile(folder('studio-file'), fillLedger)
say(
  `studio file of ${file.impressions} impressions (${(file.bytes / 1024 / 1024).toFixed(0)} MB), to its last byte`,
  `${(file.took / 1000).toFixed(1)} s`,
  'under 10 s',
  file.took < 10_000 && file.impressions >= 100_000,
)
say('  memory the server took beside', `${file.grown} MB`, 'under 150 MB', file.grown < 150)

if (!process.argv.includes('--quick')) {
  const hour = await measureLongRun(folder('hour'), fillLedger)
  say(
    `an hour at the bench (${hour.pulls} pulls): left behind by each`,
    `${(hour.bytes / 1000).toFixed(1)} kB, ${hour.nodes.toFixed(1)} nodes, ${hour.listeners} listeners in all`,
    'under 12 kB, a listener a bundle',
    // Strokes close up into bundles, each a button that listens.
    hour.bytes < 12_000 && hour.listeners <= hour.pulls / 25 + 5,
  )
  const minute = await measureMinute(folder('minute'))
  say(
    `30 stations for a minute, ${minute.pulls} pulls: stored, 95 of 100`,
    ms(minute.p95),
    'under 200 ms',
    minute.p95 < 200,
  )
  say('  lost, or there more than once', `${minute.lost}, ${minute.more}`, 'none', minute.lost + minute.more === 0)

  const lists = await measureLists(folder('lists'), fillLedger)
  say(
    'editions list, 2,000 editions, 1,000,000 impressions',
    `${lists.list.toFixed(1)} ms`,
    'under 100 ms',
    lists.list < 100,
  )
  say('  searched', `${lists.search.toFixed(1)} ms`, 'under 100 ms', lists.search < 100)
  say('  found, a sheet or an edition, slowest of 40', `${lists.find.toFixed(1)} ms`, 'under 100 ms', lists.find < 100)
  say('  server memory, highest', `${lists.memory} MB`, 'under 300 MB', lists.memory < 300)
}

console.table(lines)
process.exit(lines.some((line) => line.met === 'NO') ? 1 : 0)
