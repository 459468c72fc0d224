import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { createInterface } from 'node:readline/promises'
import { parseArgs } from 'node:util'
import { certificateOf } from './certificate.mjs'
import { ensureBuild, ensurePackages, ensurePort, serve, stop } from './ready.mjs'

const loopback = ['127.0.0.1', 'localhost', '::1']

function options() {
  const known = { new: {}, 'as-it-is': {}, https: {}, http: {} }
  try {
    const given = parseArgs({
      options: Object.fromEntries(Object.keys(known).map((name) => [name, { type: 'boolean', default: false }])),
    })
    return given.values
  } catch {
    return stop('npm start -- takes --https, --http, --new and --as-it-is. The README says what they are for.')
  }
}

/** A folder that is named and not there is made only when that was said. */
async function dataFolder(isNew) {
  const named = process.env.AMPLE_TALLY_DATA
  if (named === undefined) return resolve('data')
  if (named.trim() === '') stop('AMPLE_TALLY_DATA is set and names no folder. Name one, or take the variable away.')
  const folder = resolve(named)
  if (existsSync(folder) || isNew) return folder
  if (!process.stdin.isTTY)
    stop(`There is no folder ${folder}. Look at its name in AMPLE_TALLY_DATA; for a new pressroom add --new.`)
  const asked = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await asked.question(`There is no folder ${folder}. Make it, for a new pressroom? (yes or no) `)
  asked.close()
  if (!/^y(es)?$/i.test(answer.trim())) stop('Nothing was made.')
  return folder
}

const given = options()
const data = await dataFolder(given.new)
const port = process.env.PORT ?? '4600'
const host = process.env.HOST ?? (given.https || given.http ? '0.0.0.0' : '127.0.0.1')
if (!loopback.includes(host) && !given.https && !given.http && !process.env.NITRO_SSL_CERT)
  stop(
    `HOST=${host} is beyond this machine. Start with --https, so that nobody can read along; or with --http if you mean to do without.`,
  )
await ensurePort(port, host)
ensurePackages()
const certificate = certificateOf()
ensureBuild()
Object.assign(process.env, {
  AMPLE_TALLY_NEW: '1',
  AMPLE_TALLY_AS_IT_IS: given['as-it-is'] ? '1' : '',
  ...certificate,
})
if (given.https) {
  const { openTo } = await import('./https.mjs')
  await openTo({ port, data })
}
await serve({ port, host, data, demo: false })
