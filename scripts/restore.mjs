import { existsSync, readdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { load } from './load.mjs'
import { ensurePackages, stop } from './ready.mjs'

// Bring a backup back: `npm run restore -- data/backups/2026-11-25T23-10-04Z`. Stop the server first.

ensurePackages()
const data = resolve(process.env.AMPLE_TALLY_DATA || 'data')
const backups = resolve(process.env.AMPLE_TALLY_BACKUPS || join(data, 'backups'))
const [given] = process.argv.slice(2)
if (!given) {
  const names = existsSync(backups) ? readdirSync(backups).filter((name) => /^\d{4}-.*Z$/.test(name)) : []
  stop(
    names.length === 0
      ? `Say which backup: npm run restore -- FOLDER. There is none in ${backups}.`
      : `Say which backup: npm run restore -- FOLDER. There are\n${names
          .sort()
          .map((name) => `  ${join(backups, name)}`)
          .join('\n')}`,
  )
}
const backup = existsSync(given) ? resolve(given) : join(backups, given)
if (!existsSync(backup)) stop(`There is no folder ${given}. Nothing was changed.`)
const { restore } = await load('server/services/restore.ts')
try {
  const { events, made, replaced, remarks } = await restore(backup, data)
  console.info(`The backup of ${new Date(made).toLocaleString('en-GB')} is back in ${data}: ${events} events.`)
  for (const remark of remarks) console.warn(remark)
  if (replaced) console.info(`What was there lies in ${replaced}; take it away when nobody misses anything.`)
} catch (error) {
  stop(`${error.message} Nothing was changed.`)
}
