import { pluralise } from '#core/units/pluralise'
import { randomBytes } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Connections, DatabaseUnusable, lockFolder, openConnections } from '../database/connections'
import { lastPosition } from '../database/events'
import { chainHead, HeadFile, missingFrom } from '../database/heads'
import { beginLineage, forgetBeyond, type Lineage, lineageOf } from '../database/lineage'
import { migrate } from '../database/migrations'
import { rebuildSummaries } from '../database/summaries'
import { BringingIn } from '../studio-file/bringing-in'
import { Backups } from './backups'
import { Devices } from '../devices/devices'
import { HourlyAir } from './hourly-air'
import { HandOuts } from './hand-outs'
import { Ledger } from './ledger'
import { LedgerCheck } from './ledger-check'
import { Live } from '../live/live'
import { Owners } from '../live/owners'
import { Streams } from '../live/streams'
import type { StudioState } from '#core/stores/studio/state'
import { PassBook } from './pass-book'
import { PulledLately } from './pulled-lately'
import { People } from './people'
import { Pictures } from './pictures'
import { RoomZone } from './room-zone'
import { Readings } from './readings'
import { SecurityLog } from './security-log'
import { SetUpToken } from './set-up-token'
import { SignIns } from './sign-ins'
import { WrittenStates } from './written-states'

/** Bytes of states that are kept written out. */
const mostWritten = 32 * 1024 * 1024

/** Everything one running pressroom holds. */
export interface Pressroom {
  folder: string
  demo: boolean
  lineage: Lineage
  /** What its cookies are named after. */
  name: string
  secret: string
  db: Connections
  ledger: Ledger
  zone: RoomZone
  live: Live
  owners: Owners
  streams: Streams
  people: People
  signIns: SignIns
  log: SecurityLog
  setUpToken: SetUpToken
  check: LedgerCheck
  backups: Backups
  handOuts: HandOuts
  readings: Readings
  devices: Devices
  written: WrittenStates
  hourlyAir: HourlyAir
  passBook: PassBook
  pulledLately: PulledLately
  pictures: Pictures
  bringingIn: BringingIn
  /** Read anew what is kept in memory beside the ledger, after a whole ledger came in. */
  reload: () => Promise<void>
  close: () => Promise<void>
}

/** Secret that seals the session cookies: made once, readable by the owner of the folder alone. */
function sessionSecret(folder: string): string {
  const file = join(folder, 'session-secret')
  if (!existsSync(file)) writeFileSync(file, randomBytes(48).toString('base64url'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

/** @throws DatabaseUnusable when there can be no such folder */
function makeFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    throw new DatabaseUnusable(
      code === 'EEXIST' || code === 'ENOTDIR'
        ? `${folder} is a file, or lies in one. Name a folder in AMPLE_TALLY_DATA.`
        : `The folder ${folder} cannot be made (${code}). Check its permissions and the disk.`,
    )
  }
}

/** Names, secrets and pictures are nobody's but the room's: what is there already, and what is made from now on. */
function shutToOthers(folder: string): void {
  process.umask(0o077)
  try {
    chmodSync(folder, 0o700)
    for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true }))
      if (!entry.isSymbolicLink()) chmodSync(join(entry.parentPath, entry.name), entry.isDirectory() ? 0o700 : 0o600)
  } catch (error) {
    console.warn(`What lies in ${folder} could not be shut to others: ${(error as Error).message}`)
  }
}

/** @throws DatabaseUnusable when a ledger of no bytes lies where there has been one */
function refuseEmptied(folder: string): void {
  const file = join(folder, 'ledger.sqlite')
  const isEmpty = existsSync(file) && statSync(file).size === 0
  const wasUsed = ['pictures', 'session-secret', 'head'].some((name) => existsSync(join(folder, name)))
  const isGone = !existsSync(file) && existsSync(join(folder, 'head'))
  if ((isEmpty && wasUsed) || isGone)
    throw new DatabaseUnusable(
      `${file} is ${isGone ? 'not there' : 'empty'}, though this folder has held a pressroom. Nothing was changed. Bring the newest backup back with npm run restore.`,
    )
}

/**
 * What was acknowledged is there. Whoever knows of a loss and goes on all the same begins another lineage, so that
 * browsers hear of it.
 * @throws DatabaseUnusable when some of it is missing
 */
async function refuseLess(db: Connections, folder: string): Promise<void> {
  const missing = await missingFrom(db.long, HeadFile.read(folder))
  if (missing === null) return
  if (process.env.AMPLE_TALLY_AS_IT_IS !== '1')
    throw new DatabaseUnusable(
      `In ${folder} ${missing}. Nothing was changed. Bring the newest backup back with npm run restore; to go on without what is missing, start once with --as-it-is.`,
    )
  console.warn(`In ${folder} ${missing}. It goes on as it is.`)
  await forgetBeyond(db.writer, await lastPosition(db.writer))
  await chainHead(db.writer)
  await beginLineage(db.writer)
}

/** Open a data folder, making it when it is not there. @throws DatabaseUnusable when it cannot be used; nothing is held then */
export async function openPressroom(folder: string, demo: boolean): Promise<Pressroom> {
  makeFolder(folder)
  shutToOthers(folder)
  const unlock = await lockFolder(folder)
  let db: Connections | null = null
  try {
    refuseEmptied(folder)
    db = await openConnections(folder)
    await migrate(db.writer)
    await refuseLess(db, folder)
    return await fill(folder, demo, db, unlock)
  } catch (error) {
    await db?.close()
    await unlock()
    throw error
  }
}

async function fill(folder: string, demo: boolean, db: Connections, unlock: () => Promise<void>): Promise<Pressroom> {
  const owners = new Owners()
  const live = new Live(db.long, owners)
  const passBook = new PassBook()
  const pulledLately = new PulledLately()
  const headFile = await HeadFile.open(folder)
  const zone = new RoomZone()
  const ledger = new Ledger(
    db,
    (events, states) => {
      passBook.take(states)
      zone.take(states)
      pulledLately.take(events)
      live.publish(events, states)
    },
    (head) => headFile.write(head),
    () => zone.zone,
  )
  await ledger.open()
  await headFile.begin(ledger.reach)
  const check = new LedgerCheck(db, ledger, folder)
  const rebuilt = await rebuildSummaries(db.writer, db.long, (done, of) => {
    if (done % 500 === 0) console.info(`Rebuilding the lists from the ledger: ${done} of ${of}`)
  })
  if (rebuilt > 0) console.info(`Rebuilt ${pluralise(rebuilt, 'line')} of the lists from the ledger.`)
  const secret = sessionSecret(folder)
  const streams = new Streams()
  const signIns = new SignIns(db, secret, () => streams.endOver((id) => signIns.isOpen(id)))
  await signIns.load()
  const people = new People(db, ledger, signIns)
  const lineage: Lineage = await lineageOf(db.reader)
  const reload = async () => {
    Object.assign(lineage, await lineageOf(db.reader))
    await zone.load(ledger)
    await pulledLately.load(db.long, ledger.position)
    await passBook.load(db, await ledger.read<StudioState>('studio'))
    await people.load()
    await owners.load(db.long)
  }
  await reload()
  const bringingIn = new BringingIn(folder)
  // What a dead server left half read is nobody's.
  await bringingIn.forget()
  const log = new SecurityLog(db)
  const devices = new Devices()
  const hourlyAir = new HourlyAir(ledger, people, devices.sensor)
  hourlyAir.start()
  const backups = new Backups(db.long, folder, () => ledger.reach)
  return {
    folder,
    demo,
    lineage,
    name: (await db.reader.about.findByPk('room', { rejectOnEmpty: true })).get().value,
    secret,
    db,
    ledger,
    zone,
    live,
    owners,
    streams,
    people,
    signIns,
    log,
    setUpToken: new SetUpToken(),
    check,
    backups,
    handOuts: new HandOuts(),
    readings: new Readings(),
    devices,
    written: new WrittenStates(mostWritten),
    hourlyAir,
    passBook,
    pulledLately,
    pictures: new Pictures(folder),
    bringingIn,
    reload,
    close: async () => {
      streams.close()
      hourlyAir.stop()
      check.stop()
      await backups.stop()
      live.close()
      await log.write()
      await db.close()
      await headFile.close()
      await unlock()
    },
  }
}
