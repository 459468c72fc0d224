import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { imageOf } from '../fault-places'
import { FaultPlace } from '../state'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

/** So far outside the image a margin reaches, mm. */
const margin = 300

const faultPlaced = defineEvent(edition, 'fault-placed', (state, data: FaultPlace) =>
  changed(state, {
    faultPlaces: [
      ...state.faultPlaces.filter(({ pullId, fault }) => pullId !== data.pullId || fault !== data.fault),
      data,
    ],
  }),
)

/** Where on the print a fault is seen; said again, it is there instead. */
export const placeFault = defineAct(edition, 'place-fault', FaultPlace, theirs, {
  events: [faultPlaced],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void. Restore it before judging it.')
    if (!pull.faults.includes(data.fault))
      return refuse('fault-not-named', 'Name the fault of this pull first, then where it is.', 'fault')
    const image = imageOf(edition)
    if (!image)
      return refuse(
        'image-missing',
        'Nobody said how large the image is. Give it under Paper or Block, then the place.',
      )
    const isNear = (at: number, size: number) => at >= -margin && at <= size + margin
    if (!isNear(data.x, image.width) || !isNear(data.y, image.height))
      return refuse(
        'off-the-sheet',
        `The image is ${image.width} × ${image.height} mm: that place is off the sheet.`,
        'x',
      )
    return [faultPlaced.on(edition, data)]
  },
})
