import { join, resolve } from 'node:path'
import { existsSync } from 'node:fs'
import { load } from './load.mjs'
import { ensurePackages, stop } from './ready.mjs'

// A whole copy of the room, made while the server runs or not: `npm run backup`.

ensurePackages()
const data = resolve(process.env.AMPLE_TALLY_DATA || 'data')
if (!existsSync(join(data, 'ledger.sqlite')))
  stop(`There is no pressroom in ${data}. Name its folder in AMPLE_TALLY_DATA.`)
const { backUp } = await load('server/services/back-up.ts')
try {
  const { folder, note } = await backUp(data)
  console.info(`${note.events} events and ${note.pictures.length} pictures are in ${folder}.`)
  if (note.lost.length > 0)
    console.warn(`${note.lost.length} pictures that the record names are missing. Look for them in older backups.`)
} catch (error) {
  stop(`The backup could not be made: ${error.message}`)
}
