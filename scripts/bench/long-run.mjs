import { openBench } from './frames.mjs'

/** What the browser holds after everything that can go has gone. */
async function held(session) {
  await session.send('HeapProfiler.collectGarbage')
  const { metrics } = await session.send('Performance.getMetrics')
  const of = (name) => metrics.find((one) => one.name === name).value
  return { heap: of('JSHeapUsedSize'), listeners: of('JSEventListeners'), nodes: of('Nodes') }
}

/**
 * As many pulls as an hour has at one every six seconds, given as fast as they are stored: what each leaves behind, beside
 * its stroke, and whether anything that listens is left over.
 */
export async function measureLongRun(folder, fillLedger, pulls = 600) {
  const { page, close } = await openBench(folder, fillLedger, pulls + 120, 60)
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const give = async (count) => {
    for (let i = 0; i < count; i++) {
      await page.keyboard.press('g')
      if (i % 10 === 9) await page.getByText('every pull stored', { exact: true }).waitFor()
    }
    await page.evaluate(() => new Promise((rest) => requestIdleCallback(rest, { timeout: 2000 })))
  }
  // The first pulls fill caches that stay as they are.
  await give(40)
  const before = await held(session)
  await give(pulls)
  const after = await held(session)
  await close()
  return {
    pulls,
    bytes: (after.heap - before.heap) / pulls,
    listeners: after.listeners - before.listeners,
    nodes: (after.nodes - before.nodes) / pulls,
  }
}
