import { open } from './frames.mjs'
import { firstManager, startServer } from './server.mjs'

/** The whole room of so many impressions as one file: ms until its last byte, its size, and the memory it took beside. */
export async function measureStudioFile(folder, fillLedger) {
  // 35 editions of 1,000 sheets and three layers, and a few more that make it a hundred thousand.
  await fillLedger(folder, 35, 970, 3)
  const server = await startServer(folder)
  const ask = (path, body) =>
    fetch(`${server.url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: server.url, cookie },
      body: JSON.stringify(body),
    })
  let cookie = ''
  const setUp = await ask('/api/setup', firstManager)
  cookie = setUp.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ')
  await ask('/api/session/sure', { secret: firstManager.secret })
  const before = server.memory()
  const began = performance.now()
  const answer = await fetch(`${server.url}/api/studio-file`, { headers: { cookie } })
  let bytes = 0
  let impressions = 0
  let held = ''
  const text = new TextDecoder()
  for await (const chunk of answer.body) {
    bytes += chunk.length
    held += text.decode(chunk, { stream: true })
    const lines = held.split('\n')
    held = lines.pop()
    for (const line of lines) if (line.includes('"type":"pulled"')) impressions += 1
  }
  const took = performance.now() - began
  const grown = server.memory().most - before.most
  await server.stop()
  return { took, bytes, impressions, grown }
}

/** The record of an edition of so many signed prints as PDF: ms from the touch to the file. */
export async function measureRecordPdf(folder, fillLedger, prints = 250) {
  const { id, url, page, close } = await open(
    folder,
    fillLedger,
    prints + 5,
    prints,
    { size: prints },
    (give, state) => {
      const layerId = state.layers[0].id
      // Those that were rejects at the press are kept all the same: the record is to have so many lines.
      const sheetIds = Array.from({ length: prints }, (_, i) => i + 1)
      give('declare-dry', { layerId, sheetIds: sheetIds.filter((sheet) => sheet % 97 !== 0) })
      give('curate-run', { sheetIds: sheetIds.filter((sheet) => sheet % 97 !== 0), verdict: 'good', reason: '' })
      const good = sheetIds.filter((sheet) => sheet % 97 !== 0)
      give('give-numbers', {
        series: 'edition',
        size: prints,
        assignments: good.map((sheetId, i) => ({ sheetId, number: i + 1 })),
      })
      for (const sheetId of good) give('sign', { sheetId })
    },
  )
  await page.goto(`${url}/editions/${id}/close`)
  const button = page.getByRole('button', { name: 'Record', exact: true })
  await button.waitFor()
  await page.waitForTimeout(1500)
  const took = []
  for (let i = 0; i < 3; i++) {
    const downloading = page.waitForEvent('download')
    const began = performance.now()
    await button.click()
    await downloading
    took.push(performance.now() - began)
  }
  await close()
  // The first one fetches the faces too.
  return took[0]
}
