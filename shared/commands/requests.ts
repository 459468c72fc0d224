import { acts, type CommandType, shapeOf } from '#core/house/acts'
import type { ActShape } from '#core/ground/shape'

/** Acts that no browser sends: people have routes of their own, with their names and secrets. */
const byRoute = ['set-up', 'add-person', 'change-person'] as const

/** What a browser may send. */
export type RequestType = Exclude<CommandType, (typeof byRoute)[number]>

export const requestTypes = acts
  .map(({ type }) => type)
  .filter((type): type is RequestType => !byRoute.some((other) => other === type))

/** What each command of a browser must look like, by type. */
export const requestOf: ReadonlyMap<string, ActShape> = new Map(requestTypes.map((type) => [type, shapeOf(type)]))
