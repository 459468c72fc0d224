import type { CommandData } from '#core/house/acts'
import type { Desk } from './desk'

const hour = 60 * 60_000
const day = 24 * hour

/** Where the demo's sheets dry, by id. */
export interface DemoRacks {
  long: string
  line: string
  shelf: string
}

/** The racks of the room, and its air by the hour since the sensor was hung up five days ago. */
export async function hangRacks(desk: Desk, manager: string): Promise<DemoRacks> {
  const at = desk.now - 39 * day
  const add = async (rack: CommandData<'add-rack'>) => {
    const id = desk.newId(at)
    await desk.give(manager, `rack:${id}`, 'add-rack', rack, at)
    return id
  }
  const racks = {
    long: await add({ name: 'Long rack', kind: 'rack', slots: 40, perSlot: 1, place: 'by the north wall' }),
    line: await add({ name: 'Line', kind: 'line', slots: 24, perSlot: 1, place: 'over the paper table' }),
    shelf: await add({ name: 'Window shelf', kind: 'shelf', slots: 6, perSlot: 4, place: 'under the east window' }),
  }
  const air = 'climate:room'
  const first = Math.floor((desk.now - 5 * day) / hour) * hour + 4 * 60_000
  await desk.give(manager, air, 'watch-climate', { isOn: true }, first - 5 * 60_000)
  for (let at = first, n = 0; at < desk.now; at += hour, n++) {
    // On the third night the sensor's plug was pulled by the vacuum cleaner.
    if (n > 60 && n < 68) continue
    await desk.give(manager, air, 'sense-climate', airAt(at, n), at)
  }
  return racks
}

/** Warmest in the afternoon, damper by night, and a wet day in the middle. */
function airAt(at: number, n: number): CommandData<'sense-climate'> {
  const swing = Math.cos((2 * Math.PI * (((at / hour) % 24) - 16)) / 24)
  const wet = Math.exp(-(((n - 45) / 14) ** 2))
  const tenth = (value: number) => Math.round(value * 10) / 10
  return {
    temperature: tenth(17.6 + 1.8 * swing - 1.2 * wet + 0.3 * Math.sin(n * 1.7)),
    humidity: tenth(56 - 4 * swing + 14 * wet + 0.8 * Math.sin(n * 2.3)),
  }
}
