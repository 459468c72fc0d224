import { spawn } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { root } from '../ready.mjs'

export async function freePort() {
  return await new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

/** What sets up an empty room to be measured. */
export const firstManager = {
  token: 'MEASURED22',
  studio: 'Bench',
  name: 'Bench',
  secret: 'bench',
  line: 'number-signature',
  currency: '€',
}

/**
 * The built server on a data folder, in a process of its own.
 * @param giveUpAfter ms after which it is given back as it is, ready or not; null waits until it answers
 */
export async function startServer(folder, demo = false, giveUpAfter = null) {
  const port = await freePort()
  const child = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      HOST: '127.0.0.1',
      AMPLE_TALLY_DATA: folder,
      AMPLE_TALLY_DEMO: demo ? '1' : '',
      AMPLE_TALLY_SET_UP_TOKEN: firstManager.token,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const url = `http://127.0.0.1:${port}`
  if (giveUpAfter !== null) {
    await new Promise((resolve) => setTimeout(resolve, giveUpAfter))
    return { kill: () => child.kill('SIGKILL') }
  }
  for (let tries = 0; tries < 3000; tries++) {
    if (
      await fetch(`${url}/api/session`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break
    if (child.exitCode !== null) throw new Error('The server stopped.')
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return {
    url,
    /** Resident memory now and at its highest, MB. */
    memory() {
      const status = readFileSync(`/proc/${child.pid}/status`, 'utf8')
      const of = (key) => Math.round(Number(new RegExp(`${key}:\\s+(\\d+)`).exec(status)[1]) / 1024)
      return { now: of('VmRSS'), most: of('VmHWM') }
    },
    /** Open files and sockets. */
    handles: () => readdirSync(`/proc/${child.pid}/fd`).length,
    kill: () => child.kill('SIGKILL'),
    async stop() {
      const gone = new Promise((resolve) => child.once('exit', resolve))
      child.kill('SIGTERM')
      await gone
    },
  }
}

export function median(values) {
  return quantile(values, 0.5)
}

export function quantile(values, q) {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]
}
