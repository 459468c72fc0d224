import { reading } from '../../services/reading'
import { readStation } from '../../services/stations'

/** One station of the room: who is there, what was used so far, how it was found and left before. */
export default defineEventHandler((event) =>
  reading(event, (room) => readStation(room, getRouterParam(event, 'id') ?? ''), {
    // While nobody is there nothing is used there.
    on: ({ station }) => (station.open ? undefined : [`station:${station.id}`]),
  }),
)
