import { Id, Part } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { Settling, settlingFault } from '../../register/growth'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class PaperSettled {
  static readonly sample: PaperSettled = {
    layerId: 'l',
    settling: {
      passes: 2,
      growth: { width: { before: 250, after: 251.5 }, height: { before: 180, after: 180.4 } },
    },
  }

  @Id('layer') layerId!: string
  @Part(() => Settling) settling!: Settling
}

const paperSettled = defineEvent(edition, 'paper-settled', (state, { layerId, settling }: PaperSettled) =>
  editLayer(state, layerId, (layer) => ({ ...layer, settling })),
)

/** Paper goes through the press blank before a layer, and is measured: its jig then lies where the paper has grown to. */
export const settlePaper = defineAct(edition, 'settle-paper', PaperSettled, theirs, {
  events: [paperSettled],
  rule: ({ edition }, data) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    const fault = settlingFault(data.settling)
    return fault ? refuseFault('settling-unfit', fault) : [paperSettled.on(edition, data)]
  },
})
