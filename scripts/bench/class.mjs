import { chromium } from '@playwright/test'
import { v7 } from 'uuid'
import { args } from './page.mjs'
import { laid, plan, torn } from './requests.mjs'
import { firstManager, quantile, startServer } from './server.mjs'
import { Station } from './station.mjs'

const sheets = 200

/**
 * A class at its benches: ms from a stroke given elsewhere until the instructor's page shows it.
 * @param rest between two pulls of one student, ms: all of them at work, quicker than any class
 */
export async function measureClass(folder, { students: studentsAtWork = 30, watched = 25, rest = 4000 } = {}) {
  const server = await startServer(folder)
  const first = new Station(server.url)
  const { cookie, body } = await first.post('/api/setup', firstManager)
  Object.assign(first, { cookie, personId: body.person.id, browser: body.device })
  const { course, benches } = await fillClass(first, studentsAtWork)
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await context.addCookies(
    cookie.split('; ').map((pair) => {
      const at = pair.indexOf('=')
      return { name: pair.slice(0, at), value: pair.slice(at + 1), url: server.url }
    }),
  )
  const page = await context.newPage()
  await page.goto(`${server.url}/class/${course}`)
  await page
    .locator('.table')
    .nth(studentsAtWork - 1)
    .waitFor()
  let isOver = false
  const work = benches.slice(1).map(async (bench, i) => {
    await new Promise((done) => setTimeout(done, (i * rest) / studentsAtWork))
    const station = new Station(server.url, first)
    while (!isOver) {
      await station.post('/api/commands', station.pulling({ ...bench, sheet: bench.next++ }))
      await new Promise((done) => setTimeout(done, rest))
    }
  })
  const times = []
  for (let i = 0; i < watched; i++) {
    const shown = page.waitForFunction(
      (wanted) => document.querySelector('.table .figures b')?.textContent === wanted,
      String(benches[0].next),
      { polling: 10, timeout: 10_000 },
    )
    const began = performance.now()
    await first.post('/api/commands', first.pulling({ ...benches[0], sheet: benches[0].next++ }))
    await shown
    times.push(performance.now() - began)
    await new Promise((done) => setTimeout(done, 137))
  }
  isOver = true
  await Promise.all(work)
  await browser.close()
  await server.stop()
  return { usual: quantile(times, 0.5), most: Math.max(...times) }
}

/** A class with an edition for each student, its paper torn and ten pulls given. */
export async function fillClass(station, students = 30) {
  const [course, lotId] = [v7(), v7()]
  const stream = `course:${course}`
  const must = async (to, type, data, more = {}) => {
    const { status, body } = await station.post('/api/commands', { ...station.command(to, type, data), ...more })
    if (status !== 200) throw new Error(`${type}: ${JSON.stringify(body)}`)
    return body
  }
  await must(`lot:${lotId}`, 'add-lot', { ...laid, sheets: 50_000 })
  const personIds = []
  for (let i = 0; i < students; i++) {
    const { body } = await station.post('/api/people', { name: `Student ${i + 1}`, role: 'student', secret: 'bench' })
    personIds.push(body.people.find((one) => one.name === `Student ${i + 1}`).id)
  }
  const begun = await must(stream, 'begin-course', {
    name: 'Bench',
    term: '',
    from: null,
    until: null,
    meets: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '00:00', until: '23:59' })),
    instructorIds: [station.personId],
  })
  const enrolled = await must(stream, 'enrol-students', { personIds }, { expectedSeq: begun.seq })
  const editions = personIds.map((id, i) => ({
    editionId: v7(),
    personIds: [id],
    title: `Bench ${i}`,
    artist: 'Bench',
  }))
  await must(
    stream,
    'set-assignment',
    {
      assignmentId: 'a',
      title: 'Bench',
      plan: { ...plan, size: sheets / 2, proofs: { AP: 0, PP: 0, HC: 0 }, layering: 'ahead' },
      gates: [],
      practice: null,
      mayReplan: true,
      opens: null,
      due: null,
      paper: null,
      pictures: [],
      points: [],
      editionIds: [],
    },
    { expectedSeq: enrolled.seq },
  )
  await must(stream, 'start-assignment', { assignmentId: 'a', editions, lotId: null })
  const benches = []
  for (const { editionId } of editions) {
    const to = `edition:${editionId}`
    await must(to, 'tear', torn(lotId, sheets))
    const { state } = await fetch(`${station.url.origin}/api/editions/${editionId}`, {
      headers: { cookie: station.cookie },
    }).then((answer) => answer.json())
    const bench = { stream: to, layerId: state.layers[0].id, next: 1 }
    for (let i = 0; i < 10; i++) await station.post('/api/commands', station.pulling({ ...bench, sheet: bench.next++ }))
    benches.push(bench)
  }
  return { course, benches }
}
