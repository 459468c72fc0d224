import { buoyLights } from './shared-paper'
import { studioDefaults } from '#core/stores/studio/state'
import type { Desk } from './desk'
import { bakeryDoor, tideTable, tinRoofs } from './finished'
import { ferryClock, netLoftStairs, slackWater, weighbridge } from './many-layers'
import { keepCalendar } from './calendar'
import { eveningClass } from './class'
import { harbourScales } from './one-layer'
import { hangRacks } from './racks'
import { equipStations } from './stations'
import { rollers, stock } from './stores'

const day = 24 * 60 * 60_000
const hour = 60 * 60_000

/** The whole invented pressroom, dated around `desk.now`, the same on every start. */
export async function fillPressroom(desk: Desk): Promise<void> {
  const manager = await desk.person('Ansa Quill', 'manager', '2580')
  await desk.give(
    manager,
    'studio',
    'set-studio',
    {
      name: 'Ropewalk Pressroom',
      line: 'number-title-signature',
      destroyedNumber: 'retired',
      currency: '€',
      ...studioDefaults,
      inkGram: 0.09,
      pressHour: 6,
      labourHour: 0,
    },
    desk.now - 41 * day,
  )
  const instructor = await desk.person('Piers Haddow', 'instructor', '2580')
  const [merle, oona] = [
    await desk.person('Merle Tarn', 'member', '2580'),
    await desk.person('Oona Vell', 'member', '2580'),
  ]
  const students: [string, string][] = []
  for (const name of ['Ibb Fenner', 'Tansy Crake', 'Rook Alder', 'Wren Maddox', 'Jory Pell'])
    students.push([await desk.person(name, 'student', '2580'), name])
  for (const roller of rollers) await desk.give(manager, 'studio', 'set-roller', roller, desk.now - 40 * day)
  const stores = await stock(desk, manager)
  await desk.give(
    manager,
    'studio',
    'add-past-editions',
    {
      editions: [
        { title: 'Lock Gates', method: 'reduction', work: 'press', passed: 118, rejected: 9, finished: 32, lost: 1 },
        { title: 'Slipway', method: 'reduction', work: 'press', passed: 80, rejected: 7, finished: 24, lost: 2 },
        { title: 'Chandler’s Cat', method: 'single', work: 'press', passed: 61, rejected: 3, finished: 58, lost: 1 },
        {
          title: 'Evening class, last spring',
          method: 'single',
          work: 'beginners',
          passed: 74,
          rejected: 22,
          finished: 60,
          lost: 6,
        },
      ],
    },
    desk.now - 39 * day,
  )
  await desk.give(
    manager,
    'studio',
    'set-series-format',
    { id: 'harbour-set', name: 'Harbour set', topLine: 30, footLine: 37.5, mat: { width: 220, height: 160 } },
    desk.now - 39 * day,
  )
  await equipStations(desk, manager, oona)
  const racks = await hangRacks(desk, manager)
  await bakeryDoor(desk, manager, stores)
  await tideTable(desk, oona, stores)
  await tinRoofs(desk, merle, stores)
  await weighbridge(desk, instructor, stores)
  await buoyLights(desk, oona, stores)
  const ferry = await ferryClock(desk, oona, stores)
  await eveningClass(desk, instructor, students, stores)
  const slack = await slackWater(desk, oona, stores)
  const loft = await netLoftStairs(desk, manager, stores, racks)
  const scales = await harbourScales(desk, merle, stores)
  await keepCalendar(desk, { manager, oona, merle }, stores, { slack, ferry, loft, scales })
  const ration = await desk.give(
    instructor,
    `lot:${stores.laid.id}`,
    'ration-paper',
    { personId: students[0]![0], sheets: 4 },
    desk.now - 3 * hour,
  )
  await desk.give(
    instructor,
    `lot:${stores.laid.id}`,
    'release-paper',
    { rationId: ration.id, sheets: 2 },
    desk.now - 2 * hour,
  )
}
