import { definePlainAct, defineEvent } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { type Settling, settlingFault } from '../../register/growth'
import { editLayer } from '../edit'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface PaperSettled {
  layerId: string
  settling: Settling
}

const paperSettled = defineEvent(edition, 'paper-settled', (state, { layerId, settling }: PaperSettled) =>
  editLayer(state, layerId, (layer) => ({ ...layer, settling })),
)

/** Paper goes through the press blank before a layer, and is measured: its jig then lies where the paper has grown to. */
export const settlePaper = definePlainAct(edition, 'settle-paper', theirs, {
  events: [paperSettled],
  rule: ({ edition }, data: PaperSettled) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    const fault = settlingFault(data.settling)
    return fault ? refuseFault('settling-unfit', fault) : [paperSettled.on(edition, data)]
  },
})
