import { definePlainAct } from '../../ground/act'
import { refuse, refuseFault } from '../../ground/refusal'
import { registerFault, type RegisterPlan } from '../../register/registration'
import { studio } from '../../stores/studio/stream'
import { registerDrawn } from '../events/register-drawn'
import { edition } from '../stream'
import { theirs } from '../who'

interface Register {
  register: RegisterPlan
  formatId: string | null
}

/** The registration sheet is drawn. */
export const drawRegister = definePlainAct(edition, 'draw-register', theirs, {
  needs: (_data: Register) => ({ studio: studio.of() }),
  events: [registerDrawn],
  rule: ({ edition, studio }, data: Register) => {
    if (data.formatId !== null && !studio.seriesFormats.some((format) => format.id === data.formatId))
      return refuse(
        'unknown-format',
        'That series format is not kept here any more. Choose another, or none.',
        'formatId',
      )
    const fault = registerFault(data.register)
    return fault ? refuseFault('register-unfit', fault) : [registerDrawn.on(edition, data)]
  },
})
