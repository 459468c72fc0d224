import { firstManager, startServer } from './server.mjs'

/** Statements for a year of so many pulls at presses: ms to the answer, the slowest of three. */
export async function measureCharges(folder, fillLedger) {
  await fillLedger(folder, 35, 970, 3, undefined, undefined, undefined, undefined, (give, { layers }) => {
    for (const { id: layerId } of layers)
      give('set-press', {
        layerId,
        pressId: 'bench',
        packing: [],
        block: null,
        sheet: null,
        nip: null,
        left: { turns: 0, divisions: 0 },
        right: { turns: 0, divisions: 0 },
        note: '',
      })
  })
  const server = await startServer(folder)
  const setUp = await fetch(`${server.url}/api/setup`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: server.url },
    body: JSON.stringify(firstManager),
  })
  const cookie = setUp.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ')
  const times = []
  let lines = 0
  for (let i = 0; i < 3; i++) {
    const began = performance.now()
    const answer = await fetch(`${server.url}/api/charges?from=2000-01-01&to=2099-12-31`, { headers: { cookie } })
    lines = (await answer.json()).lines.length
    times.push(performance.now() - began)
  }
  await server.stop()
  return { most: Math.max(...times), lines }
}
