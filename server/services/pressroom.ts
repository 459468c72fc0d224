import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Connections, lockFolder, openConnections } from '../database/connections'
import { migrate } from '../database/migrations'
import { rebuildSummaries } from '../database/summaries'
import { HandOuts } from './hand-outs'
import { Ledger } from './ledger'
import { Live } from '../live/live'
import type { StudioState } from '#core/stores/studio/state'
import { PassBook } from './pass-book'
import { People } from './people'
import { Pictures } from './pictures'

/** Everything one running pressroom holds. */
export interface Pressroom {
  folder: string
  demo: boolean
  secret: string
  db: Connections
  ledger: Ledger
  live: Live
  people: People
  handOuts: HandOuts
  passBook: PassBook
  pictures: Pictures
  close: () => Promise<void>
}

/** Secret that seals the session cookies: made once, readable by the owner of the folder alone. */
function sessionSecret(folder: string): string {
  const file = join(folder, 'session-secret')
  if (!existsSync(file)) writeFileSync(file, randomBytes(48).toString('base64url'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

export async function openPressroom(folder: string, demo: boolean): Promise<Pressroom> {
  mkdirSync(folder, { recursive: true })
  const unlock = await lockFolder(folder)
  const db = await openConnections(folder)
  await migrate(db.writer)
  const live = new Live(db.long)
  const passBook = new PassBook()
  const ledger = new Ledger(db, (events, states) => {
    passBook.take(states)
    live.publish(events)
  })
  await ledger.open()
  const rebuilt = await rebuildSummaries(db.writer, db.long, (done, of) => {
    if (done % 500 === 0) console.info(`Rebuilding the lists from the ledger: ${done} of ${of}`)
  })
  if (rebuilt > 0) console.info(`Rebuilt ${rebuilt} lines of the lists from the ledger.`)
  await passBook.load(db, await ledger.read<StudioState>('studio'))
  const people = new People(db, ledger)
  await people.load()
  return {
    folder,
    demo,
    secret: sessionSecret(folder),
    db,
    ledger,
    live,
    people,
    handOuts: new HandOuts(),
    passBook,
    pictures: new Pictures(folder),
    close: async () => {
      live.close()
      await db.close()
      await unlock()
    },
  }
}
