import { IsBoolean, IsIn } from 'class-validator'
import { Id, Ids } from '../../ground/shape'
import { expectedHours, type Moment, momentsInOrder } from '../../drying/moments'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { batch } from '../../stores/batch/stream'
import { studio } from '../../stores/studio/stream'
import { conditionsOf } from '../dries'
import { layerOf } from '../layer'
import { isLive } from '../pull'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import type { TouchTest } from '../state'
import { theirs } from '../who'

class Touched {
  static readonly sample: Touched = { layerId: 'l', moment: 'touch', isDry: true, batchIds: ['b'], isDamp: false }

  @Id('layer') layerId!: string
  @IsIn(momentsInOrder) moment!: Moment
  @IsBoolean() isDry!: boolean
  /** Batches of the edition's inks, so that the family of each is known. */
  @Ids('batch', 40) batchIds!: string[]
  @IsBoolean() isDamp!: boolean
}

type Tested = Omit<TouchTest, 'at' | 'position' | 'by' | 'via'>

const touchTested = defineEvent(edition, 'touch-tested', (state, data: Tested, event) =>
  changed(state, { touchTests: appended(state.touchTests, { ...data, ...whenOf(event), ...doerOf(event) }) }),
)

/** A sheet was touched: the room learns how long such ink takes on such paper. */
export const touchTest = defineAct(edition, 'touch-test', Touched, theirs, {
  needs: ({ batchIds }) => ({ studio: studio.of(), batches: batchIds.map((id) => batch.of(id)) }),
  events: [touchTested],
  rule: ({ edition, studio, batches }, { layerId, moment, isDry, batchIds, isDamp }, { occurredAt }) => {
    const layer = layerOf(edition, layerId)
    if (!layer) return unknownLayer()
    const last = edition.pulls.findLast((pull) => pull.layerId === layerId && isLive(pull))
    if (!last) return refuse('not-pulled', `Nothing of ${layer.name} has been pulled yet that could be touched.`)
    const hours = (Date.parse(occurredAt) - Date.parse(last.at)) / 3600_000
    if (!(hours >= 0))
      return refuse('before-the-pull', 'That lies before the last pull of the layer. Look at this device’s clock.')
    const families = new Map(batchIds.flatMap((id, i) => (batches[i]?.name ? [[id, batches[i].family] as const] : [])))
    const by = conditionsOf(edition, layer, {
      familyOf: (id) => families.get(id) ?? null,
      climate: studio.climate,
      isDamp,
    })
    const expected = expectedHours(by, moment)
    const { family } = by
    return [touchTested.on(edition, { layerId, moment, isDry, hours, expected, family, paper: by.paper })]
  },
})
