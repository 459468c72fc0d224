import type { Viewer } from '#core/house/who-sees'
import type { Person } from './people'

/** A person as the table of who sees what knows them. */
export const viewerOf = ({ id, role }: Person): Viewer => ({ personId: id, role })
